<?php

declare(strict_types=1);

namespace App\Wording;

use YoungHarbor\Core\Agreement\Drift;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\Spread;

/**
 * Figures on how alike people mark, in sentences: what each says, and what it cannot tell.
 */
final class AlikeWords
{
    /** A figure in marks: −1.5, 0.0, 12.3. */
    public static function marks(float $marks): string
    {
        $shown = number_format(abs($marks), 1, '.', '');

        return ($marks < 0 && $shown !== '0.0' ? '−' : '').$shown;
    }

    /** The same, with a plus where it is above 0. */
    public static function signed(float $marks): string
    {
        $shown = self::marks($marks);

        return $marks > 0 && $shown !== '0.0' ? "+{$shown}" : $shown;
    }

    public static function share(float $share): string
    {
        return round(100 * $share).' %';
    }

    /** A coefficient: 0.62, −0.05. */
    public static function coefficient(float $figure): string
    {
        return str_replace('-', '−', number_format($figure, 2, '.', ''));
    }

    /**
     * @param  array{float, float}|null  $interval
     * @param  callable(float): string  $shown
     */
    public static function interval(?array $interval, callable $shown): string
    {
        return $interval === null
            ? ''
            : __('alike.interval', ['low' => $shown($interval[0]), 'high' => $shown($interval[1])]);
    }

    /**
     * What the page rests on.
     *
     * @param  array<string, mixed>  $figures
     * @return list<string>
     */
    public static function basis(array $figures): array
    {
        $apart = $figures['apart'];

        return array_values(array_filter([
            trans_choice(
                'alike.basis', (int) $figures['pairs'], ['pairs' => $figures['pairs'], 'firsts' => $figures['firsts']],
            ),
            $figures['weighted'] ? __('alike.weighted') : '',
            $apart['open'] + $apart['check'] > 0
                ? trans_choice(
                    'alike.apart', $apart['open'] + $apart['check'], ['count' => $apart['open'] + $apart['check']],
                )
                : '',
            $apart['chance'] > 0
                ? trans_choice('alike.no_chance', $apart['chance'], ['count' => $apart['chance']])
                : '',
        ]));
    }

    /**
     * How two marks of one script compare, in a sentence each.
     *
     * @param  array<string, mixed>  $figures
     * @return list<string>
     */
    public static function differences(array $figures): array
    {
        $f = $figures['figures'];
        if ($f['mean_difference'] === null || $figures['pairs'] < Report::LEAST) {
            return [__('alike.too_few', ['least' => Report::LEAST, 'pairs' => $figures['pairs']])];
        }
        $between = $figures['intervals']['mean_difference'] ?? null;
        $mean = $f['mean_difference'];
        $no = $between !== null && $between[0] <= 0 && $between[1] >= 0;

        return array_values(array_filter([
            __($no ? 'alike.mean_none' : ($mean > 0 ? 'alike.mean_higher' : 'alike.mean_lower'), [
                'by' => self::marks(abs($mean)), 'interval' => self::interval($between, self::signed(...)),
            ]),
            $f['limit_low'] === null ? '' : __('alike.limits', [
                'low' => self::signed($f['limit_low']), 'high' => self::signed($f['limit_high']),
                'lowInterval' => self::interval($figures['intervals']['limits'][0] ?? null, self::signed(...)),
                'highInterval' => self::interval($figures['intervals']['limits'][1] ?? null, self::signed(...)),
            ]),
            __('alike.within', [
                'share' => self::share($f['within_tolerance']), 'tolerance' => self::marks($figures['tolerance']),
                'interval' => self::interval($figures['intervals']['within_tolerance'] ?? null, self::share(...)),
            ]),
        ]));
    }

    /**
     * The coefficients: what each is, its figure, its interval, what it says.
     *
     * @param  array<string, mixed>  $figures
     * @return list<array{key: string, title: string, figure: string, interval: string, says: string}>
     */
    public static function coefficients(array $figures): array
    {
        $rows = [];
        foreach (__('alike.coefficients') as $key => [$title, $says]) {
            $figure = $figures['figures'][$key] ?? null;
            $interval = $figures['intervals'][$key] ?? null;
            $rows[] = [
                'key' => $key, 'title' => $title, 'figure' => $figure === null ? '–' : self::coefficient($figure),
                'interval' => $interval === null ? '' : self::interval($interval, self::coefficient(...)),
                'says' => match (true) {
                    $figure === null => __('alike.not_available', [
                        'why' => $figures['why'][$key] ?? __('alike.too_few_at_all'),
                    ]),
                    $interval === null => __('alike.too_few_for', [
                        'least' => str_starts_with($key, 'ICC') ? Report::LEAST : Report::LEAST_FOR_KAPPA,
                    ]),
                    default => strtr($says, [
                        ':of' => self::hundred($figure), ':rest' => self::hundred(1 - $figure),
                    ]),
                },
            ];
        }

        return $rows;
    }

    /**
     * Where a marker lies, in a sentence.
     *
     * @param  array<string, mixed>  $marker
     */
    public static function lie(array $marker): string
    {
        return match (true) {
            $marker['linked'] === 0 => __('alike.unlinked'),
            $marker['stands_out'] => __($marker['effect'] < 0 ? 'alike.harsher' : 'alike.more_generous', [
                'by' => self::marks(abs($marker['effect'])),
            ]),
            $marker['interval'] === null || $marker['linked'] < Spread::LEAST => trans_choice(
                'alike.linked_few', $marker['linked'], ['count' => $marker['linked']],
            ),
            default => __('alike.like_others'),
        };
    }

    /**
     * Who stands out of those whose work may be shown, in a sentence each; that nobody does, where nobody does.
     *
     * @param  list<array<string, mixed>>  $markers
     * @param  callable(string): string  $name
     * @param  int  $sets  how many sets the markers fall into that share no script
     * @return list<string>
     */
    public static function standOut(array $markers, callable $name, int $sets = 1): array
    {
        $said = [];
        foreach ($markers as $one) {
            $one['stands_out'] && $said[] = __($sets > 1 ? 'alike.stand_out.lie_in_set' : 'alike.stand_out.lie', [
                'name' => $name($one['id']), 'how' => self::lie($one), 'set' => $one['component'],
            ]).'.';
            ($one['drift']['falls'] ?? false) && $said[] = __(
                'alike.stand_out.'.($one['drift']['slope'] < 0 ? 'falls' : 'rises'), ['name' => $name($one['id'])],
            ).'.';
        }

        return $said === [] ? [__('alike.stand_out.nobody')] : $said;
    }

    /**
     * How widely a marker spreads marks.
     *
     * @param  array<string, mixed>  $marker
     */
    public static function spread(array $marker): string
    {
        $interval = $marker['spread_interval'];

        return match (true) {
            $interval === null => '',
            $interval[1] < 1 => __('alike.narrower'),
            $interval[0] > 1 => __('alike.wider'),
            default => __('alike.as_wide'),
        };
    }

    /**
     * Whether a marker's marks fall or rise within a sitting.
     *
     * @param  array<string, mixed>|null  $drift
     */
    public static function drift(?array $drift): string
    {
        if ($drift === null || $drift['slope'] === null) {
            return __('alike.drift_few', ['least' => Drift::LEAST]);
        }
        if ($drift['falls']) {
            return __(
                $drift['slope'] < 0 ? 'alike.falls' : 'alike.rises', ['by' => self::marks(abs($drift['slope']) * 25)],
            );
        }
        $often = (int) round(10 * ($drift['power'] ?? 0));

        return __('alike.steady').' '.trans_choice('alike.drift_power', $often, ['often' => $often]);
    }

    private static function hundred(float $share): string
    {
        return (string) max(0, min(100, (int) round(100 * $share)));
    }
}
