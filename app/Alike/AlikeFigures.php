<?php

declare(strict_types=1);

namespace App\Alike;

use App\Models\AgreementReport;
use App\Models\Assignment;
use YoungHarbor\Core\Agreement\Bands;
use YoungHarbor\Core\Agreement\Drift;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\MarkerEffects;
use YoungHarbor\Core\Agreement\Pairs;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\Spread;
use YoungHarbor\Core\Agreement\StandingOut;

/**
 * Works out how alike an assignment is marked, and keeps it until a mark changes.
 */
final class AlikeFigures
{
    /** Of the plot of differences: marks to the left and right of it, and how far up and down it goes. */
    private const PLOT = ['width' => 640, 'height' => 260, 'apart' => 40];

    /** Goes up when what is kept has other parts than before, so that it is worked out anew. */
    private const FORM = 1;

    /** So many scripts are shown one by one. */
    private const FURTHEST = 20;

    public function of(Assignment $assignment): AgreementReport
    {
        $digest = BlindMarks::digest($assignment, self::FORM);
        $kept = AgreementReport::query()->where('assignment_id', $assignment->id)
            ->first(['id', 'assignment_id', 'digest', 'figures', 'updated_at']);
        if ($kept?->digest === $digest) {
            return $kept;
        }
        $marks = BlindMarks::of($assignment);
        $pairs = array_map(fn (array $pair) => [
            'key' => $pair['key'], 'code' => $pair['code'], 'markers' => array_keys($pair['script']->marks),
            'marks' => array_values($pair['script']->marks), 'weight' => $pair['script']->weight,
        ], $marks->pairs);

        return AgreementReport::query()->updateOrCreate(['assignment_id' => $assignment->id], [
            'digest' => $digest, 'figures' => [...$this->figures($marks), 'furthest' => self::furthest($pairs)],
            'pairs' => $pairs,
        ]);
    }

    /**
     * Scripts whose two marks lie furthest apart.
     *
     * @param  list<array{key: string, code: string, markers: list<string>, marks: list<float>, weight: float}>  $pairs
     * @return list<array{key: string, code: string, markers: list<string>, marks: list<float>, weight: float}>
     */
    public static function furthest(array $pairs): array
    {
        usort(
            $pairs,
            fn (array $a, array $b) => abs($b['marks'][0] - $b['marks'][1]) <=> abs($a['marks'][0] - $a['marks'][1]),
        );

        return array_slice($pairs, 0, self::FURTHEST);
    }

    /**
     * @return array<string, mixed>
     */
    public function figures(BlindMarks $marks): array
    {
        $assignment = $marks->assignment;
        $boundaries = array_map(fn ($one) => $one->toFloat(), $assignment->scale()->boundaries());
        $tolerance = $assignment->scheme->tolerance->toFloat();
        $scripts = $marks->scripts();
        $report = Report::of($scripts, $boundaries, $tolerance);
        $effects = MarkerEffects::of($marks->all());

        return [
            'firsts' => count($marks->firsts), 'pairs' => count($scripts), 'apart' => $marks->apart,
            'weighted' => count(array_unique(array_map(fn (MarkedScript $one) => $one->weight, $scripts))) > 1,
            'tolerance' => $tolerance, 'sets' => $effects->sets, 'connected' => $effects->isConnected(),
            'figures' => [...$report->figures, ...$report->icc->figures], 'why' => $report->why,
            'intervals' => $report->intervals, 'plot' => $this->plot($scripts),
            'markers' => $this->markers($marks, $effects, $boundaries),
            'criteria' => array_map(
                fn (array $one) => $this->criterion($one['title'], $one['scripts']), $marks->byCriterion(),
            ),
        ];
    }

    /**
     * @param  list<MarkedScript>  $scripts  with what one criterion gave
     * @return array<string, mixed>
     */
    private function criterion(string $title, array $scripts): array
    {
        $pairs = Pairs::of($scripts);

        return [
            'title' => $title, 'pairs' => $pairs->count(), 'mean' => $pairs->meanDifference(),
            'sd' => $pairs->sdDifference(), 'same' => $pairs->within(0.0),
            'interval' => $pairs->count() < Report::LEAST ? null : $pairs->meanInterval(),
            'shareInterval' => $pairs->count() < Report::LEAST ? null : $pairs->shareInterval($pairs->within(0.0)),
        ];
    }

    /**
     * @param  list<float>  $boundaries
     * @return list<array<string, mixed>> the harshest first
     */
    private function markers(BlindMarks $marks, MarkerEffects $effects, array $boundaries): array
    {
        $seed = (int) hexdec(substr(hash('sha256', $marks->assignment->public_id), 0, 12));
        $drifts = array_map(fn (array $own) => Drift::of($own, $seed), $marks->completions());
        $falls = Drift::holm(
            array_filter(array_map(fn (Drift $one) => $one->p, $drifts), fn (?float $p) => $p !== null)
        );
        $lies = StandingOut::of($effects)->markers;
        $totals = [];
        foreach ($marks->firsts as $first) {
            $totals[$first->marker][] = $first->total;
        }
        $found = [];
        foreach ($effects->markers as $id => $one) {
            $id = (string) $id;
            $drift = $drifts[$id] ?? null;
            $spread = Spread::of($marks->scripts(), $id);
            $own = $totals[$id] ?? [];
            $found[] = [
                'id' => $id, 'effect' => $lies[$id]['lie'] ?? null, 'interval' => $lies[$id]['interval'] ?? null,
                'component' => $one['component'], 'linked' => $one['linked'],
                'stands_out' => $lies[$id]['out'] ?? false,
                'spread' => $spread->ratio, 'spread_interval' => $spread->interval,
                'marks' => count($own), 'mean' => $own === [] ? null : array_sum($own) / count($own),
                'bands' => $this->bands($own, $boundaries),
                'drift' => $drift === null ? null : [
                    'marks' => $drift->marks, 'sittings' => $drift->sittings, 'slope' => $drift->slope,
                    'interval' => $drift->interval, 'p' => $falls[$id] ?? null,
                    'falls' => ($falls[$id] ?? 1) <= StandingOut::ALARM, 'power' => $drift->power(count($falls)),
                    ...$this->course($drift),
                ],
            ];
        }
        usort(
            $found,
            fn (array $a, array $b) => [
                $a['component'], $a['effect'] ?? 1000.0,
            ] <=> [$b['component'], $b['effect'] ?? 1000.0],
        );

        return $found;
    }

    /**
     * Marks against their place within a sitting, as dots of one line and the slope through them.
     *
     * @return array{dots: string, line: array{float, float}, low: float, high: float, far: int}
     */
    private function course(Drift $drift): array
    {
        $marks = array_column($drift->points, 'mark');
        $places = array_column($drift->points, 'place');
        $far = max([10, ...$places]);
        $low = $marks === [] ? 0.0 : floor(min($marks) / 10) * 10;
        $high = $marks === [] ? 100.0 : max($low + 10, ceil((max($marks) + 0.1) / 10) * 10);
        $x = fn (int $place): float => round(26 + 210 * ($place - 1) / ($far - 1), 1);
        $y = fn (float $mark): float => round(100 - 92 * ($mark - $low) / ($high - $low), 1);
        $dots = '';
        foreach ($drift->points as $one) {
            $dots .= "M{$x($one['place'])} {$y($one['mark'])}h0";
        }
        $mean = $marks === [] ? 0.0 : array_sum($marks) / count($marks);
        $middle = $places === [] ? 0.0 : array_sum($places) / count($places);

        return [
            'dots' => $dots, 'low' => $low, 'high' => $high, 'far' => $far, 'line' => [
                $y($mean + ($drift->slope ?? 0.0) * (1 - $middle)),
                $y($mean + ($drift->slope ?? 0.0) * ($far - $middle)),
            ],
        ];
    }

    /**
     * @param  list<float>  $marks
     * @param  list<float>  $boundaries
     * @return list<int> how many in each band, the lowest first
     */
    private function bands(array $marks, array $boundaries): array
    {
        $counts = array_fill(0, count($boundaries) + 1, 0);
        foreach ($marks as $mark) {
            $counts[Bands::of($mark, $boundaries)]++;
        }

        return array_values($counts);
    }

    /**
     * Differences against means, as dots of one line: the same cost for ten scripts and for two thousand.
     *
     * @param  list<MarkedScript>  $scripts
     * @return array{dots: string, low: float, high: float, apart: float}
     */
    private function plot(array $scripts): array
    {
        $means = $differences = [];
        foreach ($scripts as $script) {
            [$first, $second] = array_values($script->marks);
            $means[] = ($first + $second) / 2;
            $differences[] = $first - $second;
        }
        $low = $means === [] ? 0.0 : floor(min($means) / 10) * 10;
        $high = $means === [] ? 100.0 : max($low + 10, ceil(max($means) / 10) * 10);
        $apart = max(10.0, ceil(max([0.0, ...array_map(abs(...), $differences)]) / 5) * 5);
        $dots = '';
        foreach ($means as $n => $mean) {
            $x = round(
                self::PLOT['apart'] + (self::PLOT['width'] - self::PLOT['apart']) * ($mean - $low) / ($high - $low), 1,
            );
            $y = round(self::PLOT['height'] / 2 * (1 - $differences[$n] / $apart), 1);
            $dots .= "M{$x} {$y}h0";
        }

        return ['dots' => $dots, 'low' => $low, 'high' => $high, 'apart' => $apart];
    }
}
