<?php

declare(strict_types=1);

namespace App\Extraction;

use YoungHarbor\Core\Document\Picture;
use ZipArchive;

/**
 * Pictures of a document, each decoded and encoded anew, which leaves behind what the file says of its author, and made
 * no larger than a screen needs. They come from inside the document: nothing that it points at is fetched. What cannot
 * be decoded, or would be too much, is left out.
 */
final class Pictures
{
    private const WIDEST = 1200;

    /** Pixels that are decoded at most: a small file can hold a very large picture. */
    private const MOST_PIXELS = 16_000_000;

    /** Bytes of all pictures of a text together. */
    private const MOST_BYTES = 2_500_000;

    private const LARGEST_PART = 20_000_000;

    /**
     * @return callable(string): (Picture|null) gives the picture that a source names
     */
    public function of(string $path, FileKind $kind): callable
    {
        $bytes = 0;

        return function (string $source) use ($path, $kind, &$bytes): ?Picture {
            $found = match (true) {
                preg_match(
                    '~\Adata:image/[a-z+.-]+;base64,([A-Za-z0-9+/=\s]+)\z~i', $source, $data,
                ) === 1 => (string) base64_decode($data[1], true),
                $kind === FileKind::Docx => $this->part($path, 'word/'.rawurldecode($source)),
                $kind === FileKind::Odt => $this->part($path, rawurldecode($source)),
                default => null,
            };
            $made = $found === null ? null : $this->again($found);
            if ($made === null || $bytes + strlen($made->bytes) > self::MOST_BYTES) {
                return null;
            }
            $bytes += strlen($made->bytes);

            return $made;
        };
    }

    public function again(string $bytes): ?Picture
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

        return self::encoded($image, $size[2] === IMAGETYPE_JPEG);
    }

    public static function encoded(\GdImage $image, bool $asJpeg): ?Picture
    {
        ob_start();
        if ($asJpeg) {
            imagejpeg($image, null, 78);
        } else {
            imagesavealpha($image, true);
            imagepng($image, null, 9);
        }
        $out = (string) ob_get_clean();

        return $out === '' ? null : Picture::of($asJpeg ? 'image/jpeg' : 'image/png', $out);
    }

    private function part(string $path, string $name): ?string
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            return null;
        }
        $size = $zip->statName($name)['size'] ?? null;
        $bytes = $size === null || $size > self::LARGEST_PART ? false : $zip->getFromName($name);
        $zip->close();

        return $bytes === false ? null : $bytes;
    }
}
