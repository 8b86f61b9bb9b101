<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Allocation\GivenScript;
use YoungHarbor\Core\Allocation\Load;
use YoungHarbor\Core\Allocation\Marker;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Allocation\PeerPlan;
use YoungHarbor\Core\Allocation\UnplacedMark;
use YoungHarbor\Core\Allocation\Work;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A plan of allocation asked for and answered as JSON: who marks whose scripts, or who reviews whom.
 */
final class PlanJson
{
    private const MOST = 100_000;

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array{assignments: list<array{script: string, marker: string, part: string}>, loads: list<array<string, mixed>>, unplaced: list<array{script: string, part: string, why: string, figures: array<string, int>}>, notes: list<string>}
     *
     * @throws InvalidInput naming each fault with its place
     */
    public static function answer(array $asked): array
    {
        $read = new Document;
        $kind = $asked['kind'] ?? null;
        $seed = $asked['seed'] ?? null;
        if (! is_int($seed) || $seed < 0) {
            $read->fault('seed', 'must be a whole number from 0');
            $seed = 0;
        }
        if ($kind !== 'markers' && $kind !== 'peers') {
            $read->fault('kind', 'must be "markers" or "peers"');
            $read->throwFaults();
        }

        return $kind === 'peers' ? self::peers($asked, $seed, $read) : self::markers($asked, $seed, $read);
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array{assignments: list<array{script: string, marker: string, part: string}>, loads: list<array<string, mixed>>, unplaced: list<array{script: string, part: string, why: string, figures: array<string, int>}>, notes: list<string>}
     *
     * @throws InvalidInput
     */
    private static function markers(array $asked, int $seed, Document $read): array
    {
        self::known(
            $asked, ['kind', 'seed', 'scripts', 'markers', 'marks_per_script', 'keep_groups', 'second'], '', $read,
        );
        $works = [];
        foreach ($read->rows($asked, 'scripts', 'scripts', self::MOST) as $i => $row) {
            self::known($row, ['id', 'section', 'group', 'author'], "scripts[{$i}]", $read);
            $works[] = new Work(
                self::id($row, "scripts[{$i}]", $read), self::name($row, 'section', "scripts[{$i}]", $read),
                self::name($row, 'group', "scripts[{$i}]", $read),
                array_filter(
                    [self::name($row, 'author', "scripts[{$i}]", $read)], fn (?string $author) => $author !== null,
                ),
            );
        }
        $markers = [];
        foreach ($read->rows($asked, 'markers', 'markers', 10_000) as $i => $row) {
            self::known($row, ['id', 'share', 'sections', 'conflicts'], "markers[{$i}]", $read);
            $share = $row['share'] ?? 1;
            try {
                $markers[] = Marker::of(
                    self::id($row, "markers[{$i}]", $read),
                    is_int($share) ? (string) $share : (is_string($share) ? $share : ''),
                    isset($row['sections']) ? self::names($row, 'sections', "markers[{$i}]", $read) : null,
                    self::names($row, 'conflicts', "markers[{$i}]", $read),
                );
            } catch (InvalidInput $e) {
                $read->fault("markers[{$i}].share", $e->faults[0]->what);
            }
        }
        $perScript = $asked['marks_per_script'] ?? 1;
        is_int($perScript) || $read->fault('marks_per_script', 'must be 1, 2 or 3');
        $keep = $asked['keep_groups'] ?? false;
        is_bool($keep) || $read->fault('keep_groups', 'must be true or false');
        $second = $read->map($asked, 'second', 'second');
        self::known($second, ['share'], 'second', $read);
        $share = $second['share'] ?? null;
        if (isset($asked['second']) && ! is_string($share)) {
            $read->fault('second.share', 'must be a share of the scripts above 0 and at most 1, such as "0.2"');
        }
        if (isset($asked['second']) && is_int($perScript) && $perScript > 1) {
            $read->fault('second', 'goes with one mark a script: with more, every script has a second mark');
        }
        $read->throwFaults();
        $plan = MarkerPlan::make(
            $works, $markers, $seed, (int) (is_int($perScript) ? $perScript : 1), is_string($share) ? $share : null,
            $keep === true,
        );

        return self::written(
            $plan->given,
            array_map(
                fn (Load $load) => [
                    'marker' => $load->marker, 'given' => $load->given(), 'fair' => self::fair($load->fair),
                ],
                $plan->loads,
            ),
            $plan->unplaced, $plan->notes,
        );
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array{assignments: list<array{script: string, marker: string, part: string}>, loads: list<array<string, mixed>>, unplaced: list<array{script: string, part: string, why: string, figures: array<string, int>}>, notes: list<string>}
     *
     * @throws InvalidInput
     */
    private static function peers(array $asked, int $seed, Document $read): array
    {
        self::known($asked, ['kind', 'seed', 'per_reviewer', 'authors'], '', $read);
        $works = [];
        foreach ($read->rows($asked, 'authors', 'authors', self::MOST) as $i => $row) {
            self::known($row, ['id', 'group'], "authors[{$i}]", $read);
            $works[] = new Work(
                self::id($row, "authors[{$i}]", $read), null, self::name($row, 'group', "authors[{$i}]", $read),
            );
        }
        $each = $asked['per_reviewer'] ?? null;
        is_int($each) || $read->fault('per_reviewer', 'must be a whole number from 1 to 20');
        $read->throwFaults();
        $each = is_int($each) ? $each : 1;
        $plan = PeerPlan::make($works, $each, $seed);
        $written = array_count_values(array_map(fn (GivenScript $one) => $one->marker, $plan['given']));
        $pairs = $plan['reciprocal'];

        return self::written($plan['given'], array_map(
            fn (Work $work) => ['marker' => $work->id, 'given' => $written[$work->id] ?? 0, 'fair' => (string) $each],
            $works,
        ), $plan['unplaced'],
            $pairs === 0 ? [] : [
                $pairs === 1 ? '1 pair of authors reviews each other.' : "{$pairs} pairs of authors review each other.",
            ]);
    }

    /**
     * @param  list<GivenScript>  $given
     * @param  list<array<string, mixed>>  $loads
     * @param  list<UnplacedMark>  $unplaced
     * @param  list<string>  $notes
     * @return array{assignments: list<array{script: string, marker: string, part: string}>, loads: list<array<string, mixed>>, unplaced: list<array{script: string, part: string, why: string, figures: array<string, int>}>, notes: list<string>}
     */
    private static function written(array $given, array $loads, array $unplaced, array $notes): array
    {
        return [
            'assignments' => array_map(
                fn (GivenScript $one) => ['script' => $one->script, 'marker' => $one->marker, 'part' => $one->part], $given,
            ),
            'loads' => $loads,
            'unplaced' => array_map(fn (UnplacedMark $one) => $one->toArray(), $unplaced),
            'notes' => $notes,
        ];
    }

    /** To four decimals, without trailing zeros. */
    private static function fair(BigRational $fair): string
    {
        return Figure::plain($fair->toScale(4, RoundingMode::HALF_UP));
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function id(array $row, string $place, Document $read): string
    {
        return $read->text($row, 'id', "{$place}.id", 200, true);
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function name(array $row, string $key, string $place, Document $read): ?string
    {
        $name = isset($row[$key]) ? $read->text($row, $key, "{$place}.{$key}", 200) : '';

        return $name === '' ? null : $name;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return list<string>
     */
    private static function names(array $row, string $key, string $place, Document $read): array
    {
        $names = [];
        foreach ($read->map($row, $key, "{$place}.{$key}") as $i => $name) {
            is_string($name) ? $names[] = $name : $read->fault("{$place}.{$key}[{$i}]", 'must be text');
        }

        return $names;
    }

    /**
     * @param  array<array-key, mixed>  $from
     * @param  list<string>  $keys
     */
    private static function known(array $from, array $keys, string $place, Document $read): void
    {
        foreach (array_diff(array_map(strval(...), array_keys($from)), $keys) as $key) {
            $read->fault(
                $place === '' ? $key : "{$place}.{$key}", 'is not known here; there are '.implode(', ', $keys),
            );
        }
    }
}
