<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * Marks as bands by number, the lowest 0.
 */
final class Bands
{
    /**
     * @param  list<float>  $boundaries  where the second, third … band begins, rising
     */
    public static function of(float $mark, array $boundaries): int
    {
        $band = 0;
        foreach ($boundaries as $n => $from) {
            if ($mark >= $from) {
                $band = $n + 1;
            }
        }

        return $band;
    }
}
