<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Sample;
use App\Queries\Moderate\SampleDraft;
use App\Queries\Moderate\SampleSight;
use YoungHarbor\Core\Agreement\Sight;
use YoungHarbor\Core\Agreement\SightCurve;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\SampledScript;
use YoungHarbor\Core\Marking\SampleReason;
use YoungHarbor\Core\Marking\Scheme;

/**
 * A sample in words: how large, why each script, what it can see.
 */
final class SampleWords
{
    public static function size(SampleDraft $draft): string
    {
        $reasons = [];
        foreach ($draft->reasons() as $why => $scripts) {
            $reasons[] = trans_choice("moderate.counted.{$why}", $scripts, ['count' => $scripts]);
        }
        $size = count($draft->sample->scripts);

        return trans_choice('moderate.sample_size', $size, ['size' => $size, 'from' => count($draft->from)])
            .($reasons === [] ? '' : ' '.implode(', ', $reasons).'.');
    }

    /**
     * What has been drawn, and what waits.
     *
     * @param  iterable<Sample>  $samples  with their number of scripts
     */
    public static function soFar(iterable $samples, int $undecided): string
    {
        $drawn = (int) collect($samples)->sum('scripts_count');

        return trim(($drawn === 0 ? __('moderate.sample_so_far.none')
            : trans_choice('moderate.sample_so_far.drawn', $drawn, ['count' => $drawn])).' '
            .trans_choice('moderate.sample_so_far.wait', $undecided, ['count' => $undecided]));
    }

    /**
     * @param  list<string>  $keys  as they are stored
     */
    public static function keys(array $keys): string
    {
        return self::why(array_map(SampleReason::fromKey(...), $keys));
    }

    public static function lacking(SampleDraft $draft): string
    {
        $codes = array_map(fn (SampledScript $one) => $one->script, $draft->withoutSecond());

        return trans_choice('moderate.no_second', count($codes), [
            'scripts' => implode(', ', array_slice($codes, 0, 8)).(count($codes) > 8 ? ' …' : ''),
        ]);
    }

    public static function whatHappens(SampleDraft $draft, Scheme $scheme, bool $more): string
    {
        $given = count($draft->seconds);

        return trans_choice('moderate.given_out', $given, [
            'given' => $given, 'people' => count($draft->loads), 'view' => __("plan.view.{$scheme->view->value}"),
        ]).' '.($more
            ? __('moderate.opened_again')
            : trans_choice('moderate.keep_first', count($draft->from) - count($draft->sample->scripts), [
                'count' => count($draft->from) - count($draft->sample->scripts),
            ]));
    }

    /**
     * @param  list<SampleReason>  $reasons
     */
    public static function why(array $reasons): string
    {
        return implode(', ', array_map(fn (SampleReason $reason) => __("moderate.why_sampled.{$reason->why->value}", [
            'boundary' => $reason->boundary === null ? '' : Figure::plain($reason->boundary),
        ]), $reasons));
    }

    public static function chance(SampledScript $one): string
    {
        return Figure::shown($one->chance, 3);
    }

    /** "would be noticed about 4 times in 10; for 8 in 10 draw 9 more of theirs". */
    public static function sight(Sight $sight): string
    {
        if ($sight->power === null) {
            return __('moderate.sight.nothing');
        }
        $often = (int) round($sight->power * 10);
        $noticed = $sight->power >= 0.95
            ? __('moderate.sight.nearly_always')
            : trans_choice('moderate.sight.noticed', $often, ['often' => $often]);

        return $noticed.match (true) {
            $sight->more === 0 => '',
            $sight->more === null => __('moderate.sight.never'),
            default => __('moderate.sight.more', ['more' => $sight->more, 'wish' => (int) round(Sight::WISH * 10)]),
        };
    }

    public static function basis(SampleSight $sight): string
    {
        $sd = number_format($sight->noise->sd, 1);

        return ($sight->noise->isMeasured()
            ? __('moderate.sight.measured', ['sd' => $sd, 'pairs' => $sight->noise->pairs])
            : __('moderate.sight.assumed', ['sd' => $sd, 'least' => Sight::LEAST_PAIRS]))
            .' '.__('moderate.sight.alarms', [
                'markers' => count($sight->markers), 'alarms' => number_format($sight->falseAlarms(), 2),
                'percent' => (int) round(Sight::ALARM * 100),
            ]).($sight->unlinked > 1 ? ' '.__('moderate.sight.sets', ['sets' => $sight->unlinked]) : '')
            .' '.__('moderate.sight.cannot');
    }

    public static function curve(SampleSight $sight): string
    {
        $words = [];
        foreach ([3, 5, 8, 10] as $marks) {
            $words[] = "{$marks}: ".implode(', ', array_map(
                fn (array $curve) => number_format($curve[$marks] * 10, 0), $sight->curves,
            ));
        }

        return __('moderate.sight.curve', ['figures' => implode('; ', $words), 'farthest' => SightCurve::FARTHEST]);
    }
}
