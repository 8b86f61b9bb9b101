<?php

declare(strict_types=1);

namespace App\Extraction;

use App\Extraction\Pages\Box;
use App\Extraction\Pages\Sight;
use YoungHarbor\Core\Document\Picture;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Names\PictureNames;

/**
 * Looks through a picture of a document for its authors' names, and paints over them.
 */
final class PictureLooker
{
    /** A smaller picture holds no words that can be read. */
    private const NARROWEST = 100;

    private const LOWEST = 20;

    public function __construct(private readonly Sight $sight)
    {
    }

    /**
     * @param  list<Mask>  $masks
     * @return array{Picture, int}|null the picture, and how many words were painted over; null when it could not be read
     */
    public function look(Picture $picture, array $masks, PictureNames $seen): ?array
    {
        $image = @imagecreatefromstring($picture->bytes);
        if ($image === false || ! Sight::isThere()) {
            return null;
        }
        if (imagesx($image) < self::NARROWEST || imagesy($image) < self::LOWEST) {
            return [$picture, 0];
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'look');
        try {
            file_put_contents($path, $picture->bytes);
            $lines = $this->sight->read($path, 1.0);
        } finally {
            unlink($path);
        }
        if ($lines === null) {
            return null;
        }
        $named = [];
        foreach ($lines as $line) {
            $words = array_map(fn (Box $box) => $box->word, $line);
            array_push($named, ...array_map(fn (int $n) => $line[$n], $seen->in($words)));
            $at = 0;
            $places = array_merge(...array_map(fn (Mask $mask) => $mask->find(implode(' ', $words), true), $masks));
            foreach ($line as $box) {
                $to = $at + strlen($box->word);
                array_filter($places, fn (array $place) => $place[0] < $to && $place[1] > $at) === []
                    || $named[] = $box;
                $at = $to + 1;
            }
        }
        $named = array_values(array_unique($named, SORT_REGULAR));
        if ($named === []) {
            return [$picture, 0];
        }
        imagepalettetotruecolor($image);
        $grey = (int) imagecolorallocate($image, 0xDC, 0xDC, 0xDC);
        foreach ($named as $box) {
            imagefilledrectangle(
                $image, (int) $box->left - 3, (int) $box->top - 3, (int) $box->right + 3, (int) $box->bottom + 3, $grey,
            );
        }
        $covered = Pictures::encoded($image, $picture->type === 'image/jpeg');

        return $covered === null ? null : [$covered, count($named)];
    }
}
