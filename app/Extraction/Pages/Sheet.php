<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

use App\Extraction\Child;
use RuntimeException;

/**
 * One page drawn in grey (Netpbm's PGM, 8 bits a dot): what it names is painted over before a picture is made of it.
 */
final class Sheet
{
    private const COVER = "\xDC";

    private const EDGE = "\x8C";

    /** Below this a dot counts as ink. */
    private const INK = 128;

    private function __construct(
        public readonly int $width,
        public readonly int $height,
        private string $dots,
    ) {
    }

    public static function from(string $path): self
    {
        $bytes = (string) file_get_contents($path);
        if (
            preg_match('/\AP5\s+(\d+)\s+(\d+)\s+255\s/', $bytes, $head) !== 1
            || strlen($bytes) - strlen($head[0]) < (int) $head[1] * (int) $head[2]
        ) {
            throw new RuntimeException('A page was not drawn as it should be.');
        }

        return new self((int) $head[1], (int) $head[2], substr($bytes, strlen($head[0])));
    }

    /** Paints over a box, with a little around it. */
    public function cover(Box $box, float $scale): void
    {
        $pad = 2;
        $left = max(0, (int) floor($box->left * $scale) - $pad);
        $right = min($this->width, (int) ceil($box->right * $scale) + $pad);
        $top = max(0, (int) floor($box->top * $scale) - $pad);
        $bottom = min($this->height, (int) ceil($box->bottom * $scale) + $pad);
        if ($right - $left < 1 || $bottom - $top < 1) {
            return;
        }
        // Dot by dot: a string that is changed in one place is not copied.
        for ($y = $top; $y < $bottom; $y++) {
            $row = $y * $this->width;
            for ($x = $left; $x < $right; $x++) {
                $this->dots[$row + $x] = $y === $top || $y === $bottom - 1 || $x === $left || $x === $right - 1
                    ? self::EDGE
                    : self::COVER;
            }
        }
    }

    /** The part of the page that is dark, looked at in every seventh dot. */
    public function ink(): float
    {
        $dark = $all = 0;
        for ($at = 0, $end = strlen($this->dots); $at < $end; $at += 7) {
            $all++;
            $dark += ord($this->dots[$at]) < self::INK ? 1 : 0;
        }

        return $all === 0 ? 0.0 : $dark / $all;
    }

    /** A grey JPEG; about 170 kB for a dense page at 150 dots an inch. */
    public function jpeg(Child $child): string
    {
        $made = $child->run(
            ['cjpeg', '-grayscale', '-optimize', '-quality', '60'], limitAddressSpace: true,
            input: "P5\n{$this->width} {$this->height}\n255\n{$this->dots}",
        );

        return $made['exit'] === 0 && $made['out'] !== ''
            ? $made['out']
            : throw new RuntimeException("A page could not be made a picture: {$made['error']}");
    }
}
