<?php

declare(strict_types=1);

namespace App\Wording;

use YoungHarbor\Core\Allocation\MarkerObstacle;
use YoungHarbor\Core\Allocation\WhyUnplaced;

/**
 * Why there is nobody for a mark, in words.
 */
final class UnplacedWords
{
    /**
     * @param  array{part: string, why: string, figures: array<string, int>, ...}  $unplaced
     */
    public static function of(array $unplaced): string
    {
        ['part' => $part, 'why' => $why, 'figures' => $figures] = $unplaced;

        return __("share-out.unplaced.{$why}", match (WhyUnplaced::from($why)) {
            WhyUnplaced::NobodyLeft => ['part' => $part, 'who' => self::keptAway($figures)],
            WhyUnplaced::GroupTogether => [],
            WhyUnplaced::TooFewOutside => [
                'short' => $figures['short'], 'each' => $figures['each'],
                'authors' => trans_choice('share-out.outside', $figures['outside']),
            ],
            WhyUnplaced::GroupTooLarge => ['short' => $figures['short'], 'each' => $figures['each']],
        });
    }

    /**
     * @param  array<string, int>  $figures
     */
    private static function keptAway(array $figures): string
    {
        $said = [];
        foreach (MarkerObstacle::cases() as $obstacle) {
            $count = $figures[$obstacle->value] ?? 0;
            if ($count > 0) {
                $key = $count === $figures['markers'] ? 'keeps_all_away' : 'keeps_away';
                $said[] = trans_choice("share-out.{$key}.{$obstacle->value}", $count);
            }
        }

        return implode(', ', $said);
    }
}
