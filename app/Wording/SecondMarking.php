<?php

declare(strict_types=1);

namespace App\Wording;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\SampleForecast;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\SecondMarks;

/**
 * What a marking scheme asks for, in words.
 */
final class SecondMarking
{
    /** "every script twice, blind; within 5 marks the mean". */
    public static function short(Scheme $scheme): string
    {
        if (! $scheme->marksTwice()) {
            return __('plan.second.none');
        }

        return __("plan.second.{$scheme->second->value}").', '.__("plan.view.{$scheme->view->value}").'; '
            .__('plan.within', [
                'tolerance' => Figure::plain($scheme->tolerance), 'rule' => __("plan.rule.{$scheme->rule->value}"),
            ]);
    }

    /** "every fail and top band, every mark within 2 of a boundary; drawn besides: 10 %, at least 6, at least √n". */
    public static function rule(SampleRule $rule): string
    {
        $chosen = implode(' '.__('plan.and').' ', array_filter([
            $rule->fails ? __('plan.chosen.fail') : '', $rule->top ? __('plan.chosen.top') : '',
        ]));
        $chosen = implode(', ', array_filter([
            $chosen,
            $rule->near === null ? '' : __('plan.chosen.near', ['near' => Figure::plain($rule->near)]),
        ]));

        return ($chosen === '' ? '' : $chosen.'; ').__('plan.drawn_besides', [
            'share' => Figure::plain($rule->share->multipliedBy(100)), 'least' => $rule->least,
        ]).($rule->root ? ', '.__('plan.least_root') : '');
    }

    /** What it will mean for a cohort, about. */
    public static function forecast(Scheme $scheme, SampleForecast $forecast, int $markers, bool $isMeasured): string
    {
        $each = fn (int $marks): string => $markers < 1 ? '' : (
            intdiv($marks, $markers) === intdiv($marks + $markers - 1, $markers)
                ? (string) intdiv($marks, $markers)
                : intdiv($marks, $markers).' '.__('plan.or').' '.(intdiv($marks, $markers) + 1)
        );
        $key = $scheme->marksTwice() ? $scheme->second->value : SecondMarks::None->value;
        $size = $scheme->second === SecondMarks::Sample ? $forecast->size() : $forecast->cohort;

        return __("plan.forecast.{$key}", [
            'size' => $size, 'cohort' => $forecast->cohort, 'ends' => $forecast->ends, 'near' => $forecast->near,
            'drawn' => $forecast->drawn,
        ]).($markers < 1 || $key === SecondMarks::None->value ? '' : __('plan.forecast.each', [
            'each' => $each($size),
        ])).($scheme->second === SecondMarks::Sample && $key !== SecondMarks::None->value
            ? ' '.__($isMeasured ? 'plan.forecast.measured' : 'plan.forecast.usual')
            : '');
    }
}
