<?php

declare(strict_types=1);

namespace App\Extraction;

use App\Documents\Pdf;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use RuntimeException;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Html;
use ZipArchive;

/**
 * Writes a file to take away from the tree of a text. Nothing of what was handed in is in it but what the tree holds:
 * fonts, page breaks and exact layout are lost. Everything in it is dated the same day.
 */
final class CopyWriter
{
    /** Letters that are set as PDF here in reasonable time, and alphabets that the font has. */
    private const MOST_SET = 120_000;

    private const NOT_SET = '/[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}\p{Thai}\p{Devanagari}\p{Bengali}\p{Tamil}\p{Arabic}\p{Hebrew}]/u';

    /** Parts of an OpenDocument file that show what it once looked like, or how its writer is set up. */
    private const LEFT_OUT = '~^(?:Thumbnails/|Configurations2/|docProps/thumbnail)~';

    public function __construct(
        private readonly Child $child,
        private readonly Pdf $printer,
    ) {
    }

    /** Whether a text can be set as PDF here. */
    public static function canSet(string $text): bool
    {
        return strlen($text) <= self::MOST_SET && preg_match(self::NOT_SET, $text) !== 1;
    }

    public function write(Document $document, CopyKind $kind): string
    {
        return match ($kind) {
            CopyKind::Html => Html::page($document, 'Script'),
            CopyKind::Pdf => $this->pdf($document),
            CopyKind::Docx, CopyKind::Odt => $this->pandoc($document, $kind),
        };
    }

    private function pandoc(Document $document, CopyKind $kind): string
    {
        return $this->inFolder(function (string $folder) use ($document, $kind): string {
            $to = "{$folder}/copy.{$kind->value}";
            file_put_contents("{$folder}/text.html", Html::ofFile($document));
            // Not in pandoc's sandbox, where it cannot read its own template; the cage has no network and no other
            // file.
            $made = $this->child->run(
                [
                    'pandoc', '--standalone', '--metadata=title: ', '--from=html', "--to={$kind->value}", '-o', $to,
                    '--', "{$folder}/text.html",
                ],
                limitAddressSpace: false, writes: $folder,
            );
            if ($made['exit'] !== 0 || ! is_file($to)) {
                throw new RuntimeException("The copy could not be made: {$made['error']}");
            }
            $this->repack($to, "{$folder}/packed");

            return (string) file_get_contents("{$folder}/packed");
        });
    }

    private function pdf(Document $document): string
    {
        return $this->inFolder(function (string $folder) use ($document): string {
            file_put_contents("{$folder}/set.pdf", $this->printer->ofHtml(Html::page($document, 'Script')));
            // Put anew: without the time it was set.
            $made = $this->child->run(
                [
                    'qpdf', '--empty', '--deterministic-id', '--pages', "{$folder}/set.pdf", '1-z', '--',
                    "{$folder}/copy.pdf",
                ],
                limitAddressSpace: true, writes: $folder,
            );

            return $made['exit'] === 0
                ? (string) file_get_contents("{$folder}/copy.pdf")
                : throw new RuntimeException("The copy could not be made: {$made['error']}");
        });
    }

    /** The same parts in a new archive, each dated the same. */
    private function repack(string $from, string $to): void
    {
        $in = new ZipArchive;
        $out = new ZipArchive;
        if ($in->open($from, ZipArchive::RDONLY) !== true || $out->open($to, ZipArchive::CREATE) !== true) {
            throw new RuntimeException('The copy could not be packed.');
        }
        for ($n = 0; $n < $in->count(); $n++) {
            $name = (string) $in->getNameIndex($n);
            if (str_ends_with($name, '/') || preg_match(self::LEFT_OUT, $name) === 1) {
                continue;
            }
            $part = (string) $in->getFromIndex($n);
            // An OpenDocument file lists its parts.
            $part = $name === 'META-INF/manifest.xml'
                ? (string) preg_replace(
                    '~\s*<manifest:file-entry\b[^>]*manifest:full-path="(?:Thumbnails|Configurations2)[^>]*/>~', '',
                    $part,
                )
                : $part;
            $out->addFromString($name, $part);
            // The kind of an OpenDocument file is read from its first bytes.
            $out->setCompressionName($name, $name === 'mimetype' ? ZipArchive::CM_STORE : ZipArchive::CM_DEFLATE);
            $out->setMtimeName($name, Child::DATED);
        }
        $in->close();
        $out->close();
    }

    /**
     * @param  callable(string): string  $make
     */
    private function inFolder(callable $make): string
    {
        $folder = sys_get_temp_dir().'/copy-'.Str::uuid()->toString();
        mkdir($folder, 0700);
        try {
            return $make($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
