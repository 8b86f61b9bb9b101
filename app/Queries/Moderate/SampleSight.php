<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Models\Assignment;
use YoungHarbor\Core\Agreement\Sight;
use YoungHarbor\Core\Agreement\SightCurve;
use YoungHarbor\Core\Marking\SecondView;

/**
 * What a sample could see of markers: for each, and as a curve for the one in the middle.
 */
final readonly class SampleSight
{
    /** More scripts than planned, as many times. */
    private const ALTERNATIVES = ['planned' => 1.0, 'half-more' => 1.5, 'twice' => 2.0];

    /**
     * @param  list<Sight>  $markers  in the order of their names
     * @param  array<string, list<float>>  $curves  by the keys of the alternatives
     */
    private function __construct(
        public PairNoise $noise,
        public array $markers,
        public array $curves,
        public ?string $middle,
        public int $unlinked,
    ) {
    }

    /** Null where second marks are made seeing the first: they do not show who marks how. */
    public static function of(Assignment $assignment, SampleDraft $draft, PairNoise $noise): ?self
    {
        if ($assignment->scheme->view !== SecondView::Blind) {
            return null;
        }
        $markers = array_map(fn (string $marker) => Sight::of(
            $draft->linking, $marker, $noise->sd, Sight::SEVERITY, Sight::ALARM, Sight::WISH,
        ), array_merge(...$draft->linking->sets));
        usort(
            $markers,
            fn (Sight $a, Sight $b) => ($draft->names[$a->marker] ?? '') <=> ($draft->names[$b->marker] ?? ''),
        );
        $seen = array_values(array_filter($markers, fn (Sight $one) => $one->power !== null));
        usort($seen, fn (Sight $a, Sight $b) => $a->power <=> $b->power);
        $middle = $seen[intdiv(count($seen), 2)] ?? null;
        $curves = [];
        foreach (self::ALTERNATIVES as $key => $times) {
            $curve = $middle === null
                ? null
                : SightCurve::of($draft->linking, $middle->marker, $noise->sd, Sight::ALARM, $times);
            $curve === null || $curves[$key] = $curve;
        }

        return new self(
            $noise, $markers, $curves, $middle?->marker,
            count(array_filter($draft->linking->sets, fn (array $set) => count($set) > 1)),
        );
    }

    /** Alarms to be expected over all markers although all mark alike. */
    public function falseAlarms(): float
    {
        return Sight::ALARM * count(array_filter($this->markers, fn (Sight $one) => $one->power !== null));
    }
}
