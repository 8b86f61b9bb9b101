<?php

declare(strict_types=1);

namespace App\Alike;

use App\Models\Assignment;
use App\Models\Mark;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Agreement\Completion;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Marking\CriterionGap;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Rubric\Criterion;

/**
 * The finished first and second marks of an assignment, told apart by what figures on agreement may use: pairs of marks
 * that were made blind, each with the chance of its script to have been picked. Third marks are left out: they are
 * asked for where two disagree.
 */
final readonly class BlindMarks
{
    /**
     * @param  list<object{key: string, code: string, script: int, marker: string, total: float, at: int, late: bool, section: string}>  $firsts  finished first marks
     * @param  list<array{script: MarkedScript, key: string, code: string, first: int, second: int}>  $pairs  first and second: ids of the marks
     * @param  array<string, int>  $apart  how many second marks are counted apart: open, check, chance
     */
    private function __construct(
        public Assignment $assignment,
        public array $firsts,
        public array $pairs,
        public array $apart,
    ) {
    }

    /**
     * What the marks are now, so that figures worked out from others, or in another form, are known to be old. A change
     * of section or of lateness alone is taken up with the next mark.
     */
    public static function digest(Assignment $assignment, int $form): string
    {
        // Whatever changes a finished mark opens it first and finishes it anew, later.
        $marks = DB::table('marks')->where('assignment_id', $assignment->id)
            ->whereIn('counting_seat', [Seat::First, Seat::Second])
            ->selectRaw('COUNT(done_at) AS n, MAX(done_at) AS last, SUM(total) AS total')->first();

        return hash('sha256', (string) json_encode(
            [(array) $marks, $form, $assignment->bands, $assignment->scheme->toArray()],
        ));
    }

    public static function of(Assignment $assignment): self
    {
        $rows = DB::table('marks')->join('scripts', 'scripts.id', '=', 'marks.script_id')
            ->leftJoin('sampled_scripts', 'sampled_scripts.script_id', '=', 'scripts.id')
            ->leftJoin('memberships', fn ($join) => $join->on('memberships.user_id', '=', 'scripts.student_id')
                ->where('memberships.module_id', $assignment->module_id))
            ->where('marks.assignment_id', $assignment->id)->whereNotNull('marks.done_at')
            ->whereIn('marks.counting_seat', [Seat::First->value, Seat::Second->value])
            ->orderBy('scripts.id')->orderBy('marks.seat')
            ->get([
                'marks.id', 'marks.script_id as script', 'marks.seat', 'marks.view', 'marks.marker_id as marker',
                'marks.total', 'marks.first_done_at', 'marks.done_at', 'scripts.public_id as key', 'scripts.code',
                'scripts.late', 'memberships.section', 'sampled_scripts.chance',
            ]);
        $isSampled = $assignment->scheme->second === SecondMarks::Sample;
        $firsts = $pairs = $byScript = [];
        $apart = ['open' => 0, 'check' => 0, 'chance' => 0];
        foreach ($rows as $row) {
            if ($row->seat === Seat::First->value) {
                $firsts[] = $byScript[$row->script] = (object) [
                    'id' => (int) $row->id, 'key' => $row->key, 'code' => $row->code, 'script' => (int) $row->script,
                    'marker' => "m{$row->marker}", 'total' => (float) $row->total,
                    'at' => (int) strtotime("{$row->first_done_at} UTC") ?: (int) strtotime("{$row->done_at} UTC"),
                    'late' => (bool) $row->late, 'section' => (string) $row->section,
                ];
            }
        }
        foreach ($rows as $row) {
            $first = $byScript[$row->script] ?? null;
            if ($row->seat !== Seat::Second->value || $first === null) {
                continue;
            }
            if ($row->view !== SecondView::Blind->value) {
                $apart[$row->view]++;

                continue;
            }
            if ($isSampled && $row->chance === null) {
                $apart['chance']++;

                continue;
            }
            $weight = $isSampled ? 1 / self::number((string) $row->chance) : 1.0;
            $pairs[] = [
                'script' => new MarkedScript(
                    (string) $row->code, [$first->marker => $first->total, "m{$row->marker}" => (float) $row->total],
                    $weight,
                ),
                'key' => (string) $row->key, 'code' => (string) $row->code, 'first' => $first->id,
                'second' => (int) $row->id,
            ];
        }

        return new self($assignment, $firsts, $pairs, $apart);
    }

    /**
     * @return list<MarkedScript>
     */
    public function scripts(): array
    {
        return array_column($this->pairs, 'script');
    }

    /**
     * Every finished first mark, with the second where it may be used.
     *
     * @return list<MarkedScript>
     */
    public function all(): array
    {
        $paired = array_column(array_map(fn (MarkedScript $one) => [$one->script, $one], $this->scripts()), 1, 0);

        return array_map(
            fn (object $first) => $paired[$first->code]
                ?? new MarkedScript($first->code, [$first->marker => $first->total]),
            $this->firsts,
        );
    }

    /**
     * First marks in the order of their work, by marker.
     *
     * @return array<string, list<Completion>>
     */
    public function completions(): array
    {
        $by = [];
        foreach ($this->firsts as $first) {
            $by[$first->marker][] = new Completion($first->at, $first->total, $first->section, ! $first->late);
        }

        return $by;
    }

    /**
     * What each criterion gave in either mark, in marks out of 100, of pairs marked with the same rubric.
     *
     * @return list<array{title: string, scripts: list<MarkedScript>}> in the order of the rubric
     */
    public function byCriterion(): array
    {
        $titles = $scripts = [];
        foreach (array_chunk($this->pairs, 500) as $some) {
            $marks = Mark::query()->whereKey([...array_column($some, 'first'), ...array_column($some, 'second')])
                ->with('rubricVersion')->get(['id', 'choices', 'rubric_version_id', 'marker_id', 'total'])->keyBy('id');
            foreach ($some as $pair) {
                [$first, $second] = [$marks->get($pair['first']), $marks->get($pair['second'])];
                if ($first === null || $second === null || $first->rubric_version_id !== $second->rubric_version_id) {
                    continue;
                }
                foreach (CriterionGap::between($first->score(), $second->score()) as $gap) {
                    $id = $gap->criterion->id();
                    $titles[$id] ??= $gap->criterion->title();
                    $scripts[$id][] = new MarkedScript(
                        $pair['code'], array_combine(
                            array_keys($pair['script']->marks), [$gap->first->toFloat(), $gap->second->toFloat()],
                        ), $pair['script']->weight,
                    );
                }
            }
        }
        $order = array_map(
            fn (Criterion $one) => $one->id(), $this->assignment->rubricVersion?->toCore()->criteria ?? [],
        );
        uksort($titles, fn (string $a, string $b) => array_search($a, $order, true) <=> array_search($b, $order, true));

        return array_map(
            fn (string $id) => ['title' => $titles[$id], 'scripts' => $scripts[$id]], array_keys($titles),
        );
    }

    /** A chance as it is kept: a decimal, or n/d. */
    private static function number(string $chance): float
    {
        [$above, $below] = [...explode('/', $chance), '1'];

        return (float) $above / (float) $below;
    }
}
