<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

use App\Extraction\Child;
use Dompdf\Adapter\CPDF;
use Dompdf\Dompdf;
use Dompdf\Options;
use RuntimeException;

/**
 * Pages as one PDF that holds nothing but their pictures, and behind each the words that may be searched and selected.
 */
final class PageBook
{
    /** Pages made at once: their pictures are in memory together. */
    private const AT_ONCE = 20;

    private const FONT = 'DejaVu Sans';

    /** @var list<string> */
    private array $parts = [];

    /** @var list<array{jpeg: string, width: float, height: float, words: list<Box>}> */
    private array $open = [];

    public function __construct(
        private readonly Child $child,
        private readonly string $folder,
    ) {
    }

    /**
     * @param  string  $jpeg  path of its picture
     * @param  float  $width  in points
     * @param  list<Box>  $words  with no name in them
     */
    public function add(string $jpeg, float $width, float $height, array $words): void
    {
        $first = $this->open[0] ?? null;
        if (
            $first !== null
            && (
                count($this->open) >= self::AT_ONCE || abs($first['width'] - $width) > 0.01
                || abs($first['height'] - $height) > 0.01
            )
        ) {
            $this->close();
        }
        $this->open[] = ['jpeg' => $jpeg, 'width' => $width, 'height' => $height, 'words' => $words];
    }

    /** Joins all pages into one file: without information, dates, or anything but pages. */
    public function finish(string $to): void
    {
        $this->close();
        $joined = $this->child->run(
            [
                'qpdf', '--empty', '--deterministic-id', '--object-streams=generate', '--pages', ...$this->parts, '--',
                $to,
            ],
            limitAddressSpace: true, writes: $this->folder,
        );
        if ($joined['exit'] !== 0 || ! is_file($to)) {
            throw new RuntimeException("The pages could not be joined: {$joined['error']}");
        }
    }

    private function close(): void
    {
        if ($this->open === []) {
            return;
        }
        ['width' => $width, 'height' => $height] = $this->open[0];
        $options = new Options;
        $options->setTempDir($this->folder);
        $options->setFontCache(storage_path('framework/cache'));
        $options->setIsFontSubsettingEnabled(true);
        $dompdf = new Dompdf($options);
        $dompdf->setPaper([0, 0, $width, $height]);
        $canvas = new CPDF([0, 0, $width, $height], 'portrait', $dompdf);
        $font = (string) $dompdf->getFontMetrics()->getFont(self::FONT);
        foreach ($this->open as $n => $page) {
            $n > 0 && $canvas->new_page();
            foreach ($page['words'] as $box) {
                $this->write($canvas, $dompdf, $font, $box);
            }
            // Over the words: the eye sees the picture, a search finds them.
            $canvas->image($page['jpeg'], 0, 0, $width, $height);
        }
        $part = $this->folder.'/part-'.count($this->parts).'.pdf';
        file_put_contents($part, $canvas->output());
        array_map(unlink(...), array_column($this->open, 'jpeg'));
        $this->parts[] = $part;
        $this->open = [];
    }

    /** A word as wide as the one in the picture, so that what is selected lies over what is seen. */
    private function write(CPDF $canvas, Dompdf $dompdf, string $font, Box $box): void
    {
        $wide = $dompdf->getFontMetrics()->getTextWidth($box->word, $font, 100.0) / 100.0;
        $size = max(1.0, min(100.0, ($box->right - $box->left) / max(0.1, $wide)));
        $canvas->text(
            $box->left, $box->top + max(0.0, ($box->bottom - $box->top - $size) / 2), $box->word, $font, $size,
            [1, 1, 1],
        );
    }
}
