<?php

declare(strict_types=1);

namespace App\Extraction;

use ZipArchive;

/**
 * Pictures inside a document, as its page can show them: each is decoded and encoded anew, which leaves behind what the
 * file says of its author, and made no larger than a screen needs. What cannot be decoded, or would be too much, is left
 * out; the file itself has it.
 */
final class Pictures
{
    private const WIDEST = 1200;

    /** Pixels that are decoded at most: a small file can hold a very large picture. */
    private const MOST_PIXELS = 16_000_000;

    /** Bytes of all pictures of a text together. */
    private const MOST_BYTES = 2_500_000;

    /** Whether a document has any. */
    public function areIn(string $path): bool
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            return false;
        }
        for ($n = 0; $n < $zip->numFiles; $n++) {
            if (preg_match('~^(?:word/media/|Pictures/).+\.(?:png|jpe?g|gif|webp)$~i', (string) $zip->getNameIndex($n)) === 1) {
                return true;
            }
        }

        return false;
    }

    /** HTML in which only pictures made anew are left; their descriptions, which may name someone, go too. */
    public function slim(string $html): string
    {
        $number = 0;
        $bytes = 0;

        return (string) preg_replace_callback('~<img\b[^>]*>~i', function (array $tag) use (&$number, &$bytes): string {
            $made = preg_match('~\bsrc="data:image/[a-z+.-]+;base64,([A-Za-z0-9+/=\s]+)"~i', $tag[0], $data) === 1 ? $this->again((string) base64_decode($data[1], true)) : null;
            if ($made === null || $bytes + strlen($made[1]) > self::MOST_BYTES) {
                return '';
            }
            $number++;
            $bytes += strlen($made[1]);

            return "<img src=\"data:{$made[0]};base64,".base64_encode($made[1])."\" alt=\"Picture {$number} of the script\">";
        }, $html);
    }

    /**
     * @return array{string, string}|null kind and bytes
     */
    private function again(string $bytes): ?array
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || $size[0] < 1 || $size[1] < 1 || $size[0] * $size[1] > self::MOST_PIXELS) {
            return null;
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            return null;
        }
        if ($size[0] > self::WIDEST) {
            $image = imagescale($image, self::WIDEST) ?: $image;
        }
        ob_start();
        if ($size[2] === IMAGETYPE_JPEG) {
            imagejpeg($image, null, 78);
        } else {
            imagesavealpha($image, true);
            imagepng($image, null, 9);
        }
        $out = (string) ob_get_clean();

        return $out === '' ? null : [$size[2] === IMAGETYPE_JPEG ? 'image/jpeg' : 'image/png', $out];
    }
}
