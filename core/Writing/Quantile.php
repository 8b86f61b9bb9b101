<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * Quantile by linear interpolation: definition 7 of R. Hyndman, Y. Fan, The American Statistician 50, 1996.
 */
final class Quantile
{
    /**
     * @param  list<float>  $values
     * @param  float  $share  0 to 1
     */
    public static function of(array $values, float $share): float
    {
        if ($values === []) {
            return 0.0;
        }
        sort($values);
        $at = $share * (count($values) - 1);
        $low = (int) floor($at);

        return $values[$low] + ($at - $low) * (($values[$low + 1] ?? $values[$low]) - $values[$low]);
    }
}
