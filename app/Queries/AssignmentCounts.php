<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Assignment;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Fairway\Counts;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Screening\Verdict;

/**
 * The numbers of an assignment, counted by the database in one query however many scripts and assignments there are.
 */
final class AssignmentCounts
{
    public function of(Assignment $assignment): Counts
    {
        return $this->ofMany([$assignment])[$assignment->id];
    }

    /**
     * @param  iterable<Assignment>  $assignments
     * @return array<int, Counts> by assignment id
     */
    public function ofMany(iterable $assignments): array
    {
        $assignments = collect($assignments)->keyBy('id');
        $in = fn (Standing|Verdict ...$of): string => "('".implode("', '", array_column($of, 'value'))."')";
        $marked = array_filter(Standing::cases(), fn (Standing $reached) => $reached->isMarked());
        $agreed = array_filter(Standing::cases(), fn (Standing $reached) => $reached->isAgreed());
        // All of it stands in one index of the scripts; where they stand was worked out when it changed.
        $rows = DB::table('scripts')->forceIndex('scripts_counts_index')->whereIn('assignment_id', $assignments->keys())
            // Who has left without handing in is not waited for.
            ->whereRaw("NOT (left_at IS NOT NULL AND reached = '".Standing::Expected->value."')")
            ->groupBy('assignment_id')
            ->selectRaw("assignment_id, COUNT(*) AS expected,
                SUM(reached <> '".Standing::Expected->value."') AS handed_in,
                SUM(screening IN {$in(...Verdict::compared())}) AS screened,
                SUM(screening = '".Verdict::NothingToCompare->value."') AS not_screened,
                SUM(screening = '".Verdict::Failed->value."') AS screening_failed,
                SUM(screening = '".Verdict::ToLookAt->value."' AND lead_id IS NULL) AS to_look,
                SUM(reached NOT IN {$in(Standing::Expected, Standing::HandedIn)}) AS shared_out,
                SUM(reached IN {$in(...$marked)}) AS first_done,
                SUM(second_done) AS second_done,
                SUM(sampled = '".Sampled::In->value."') AS sampled,
                SUM(sampled = '".Sampled::Undecided->value."' AND reached = '".Standing::MarkedOnce->value."'
                    AND lead_id IS NULL) AS undecided,
                SUM(reached = '".Standing::ToSettle->value."' AND lead_id IS NULL) AS to_settle,
                SUM(reached IN {$in(...$agreed)}) AS agreed,
                SUM(held AND reached = '".Standing::Agreed->value."') AS held,
                SUM(reached = '".Standing::Released->value."') AS released")
            ->get()->keyBy('assignment_id');
        $shared = $assignments->filter(fn (Assignment $assignment) => $assignment->shared_out_at !== null);
        $tutors = $shared->isEmpty()
            ? collect()
            // Grouped as their index has them, so that one row a marker is read, not one a script.
            : DB::table('marks')->whereIn('assignment_id', $shared->keys())
                ->whereIn('counting_seat', [Seat::First, Seat::Second])
                ->groupBy('assignment_id', 'counting_seat', 'marker_id')->get(['assignment_id', 'marker_id'])
                ->groupBy('assignment_id')->map(fn (Collection $marks) => $marks->unique('marker_id')->count());

        $talking = $assignments->filter(fn (Assignment $assignment) => $assignment->isTalking());
        $writing = $talking->isEmpty()
            ? collect()
            : DB::table('participations as p')->join('scripts as s', 's.id', '=', 'p.script_id')
                ->whereIn('s.assignment_id', $talking->keys())->whereNull('s.left_at')->whereNotNull('p.first_at')
                ->groupBy('s.assignment_id')->selectRaw('s.assignment_id, COUNT(*) AS writing')->pluck('writing', 'assignment_id');

        return $assignments->map(
            fn (Assignment $assignment) => $this->counts(
                $assignment, $rows[$assignment->id] ?? null, (int) ($tutors[$assignment->id] ?? 0),
                $assignment->isTalking() ? (int) ($writing[$assignment->id] ?? 0) : null,
            )
        )->all();
    }

    private function counts(Assignment $assignment, ?object $row, int $tutors, ?int $writing): Counts
    {
        $n = fn (string $column): int => (int) ($row->{$column} ?? 0);

        return new Counts(
            published: $assignment->isPublished(),
            pastDue: $assignment->isPastDue() && $writing === null,
            writing: $writing,
            observed: $assignment->isObserved() && ! $assignment->observing->slides,
            expected: $n('expected'),
            handedIn: $n('handed_in'),
            screened: $n('screened'),
            screeningFailed: $n('screening_failed'),
            notScreened: $n('not_screened'),
            sharedOut: $n('shared_out'),
            tutors: $tutors,
            firstDone: $n('first_done'),
            secondMarking: $assignment->scheme->marksTwice(),
            undecided: $assignment->scheme->second === SecondMarks::Sample ? $n('undecided') : null,
            sampled: $n('sampled'),
            secondDone: $n('second_done'),
            toSettle: $n('to_settle'),
            agreed: $n('agreed'),
            toLook: $n('to_look'),
            held: $n('held'),
            released: $n('released'),
        );
    }
}
