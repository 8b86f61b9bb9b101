<?php

declare(strict_types=1);

namespace App\Support;

use App\Enums\HandInBy;
use App\Models\Assignment;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Fairway\Counts;

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
        // With one mark a group, the marks and the report of the group's script count for each member.
        $led = $assignments->contains(fn (Assignment $assignment) => $assignment->handin_by === HandInBy::GroupOneMark);
        $l = $led ? 'l' : 's';
        // Nothing is marked, settled or out before scripts are with markers: then there is less to look up.
        $shared = $assignments->contains(fn (Assignment $assignment) => $assignment->shared_out_at !== null);
        $rows = DB::table('scripts as s')
            ->when($led, fn ($query) => $query->leftJoin('scripts as l', 'l.id', '=', DB::raw('COALESCE(s.lead_id, s.id)')))
            ->leftJoin('overlap_reports as o', 'o.handin_id', '=', "{$l}.current_handin_id")
            ->join('assignments as a', 'a.id', '=', 's.assignment_id')
            // Joined, since some releases of MariaDB 10.11 take a subquery within a sum for a column that is not grouped by.
            ->leftJoinSub(DB::table('conversation_entries')->select('script_id')->distinct(), 'e', 'e.script_id', '=', 's.id')
            ->when($shared, fn ($query) => $query
                ->leftJoin('marks as f', fn ($join) => $join->on('f.script_id', '=', "{$l}.id")->where('f.part', 'first'))
                ->leftJoin('marks as m', fn ($join) => $join->on('m.script_id', '=', "{$l}.id")->where('m.part', 'second'))
                ->leftJoin('settlements as t', 't.script_id', '=', "{$l}.id")
                ->leftJoin('results as r', 'r.script_id', '=', 's.id'))
            ->whereIn('s.assignment_id', $assignments->keys())
            // Who has left without handing in is not waited for.
            ->where(fn ($query) => $query->whereNull('s.left_at')->orWhereNotNull('s.current_handin_id'))
            ->groupBy('s.assignment_id')
            ->selectRaw("s.assignment_id, COUNT(*) AS expected,
                COALESCE(SUM(s.current_handin_id IS NOT NULL), 0) AS handed_in,
                COALESCE(SUM(o.state = 'ready'), 0) AS screened,
                COALESCE(SUM(o.state = 'nothing'), 0) AS not_screened,
                COALESCE(SUM(o.state = 'failed'), 0) AS screening_failed,
                COALESCE(SUM(o.state = 'ready' AND s.lead_id IS NULL AND o.share >= a.overlap_look AND e.script_id IS NULL), 0) AS to_look".(! $shared ? ', COALESCE(SUM(s.held), 0) AS held' : ',
                COALESCE(SUM(f.id IS NOT NULL), 0) AS shared_out,
                COUNT(DISTINCT f.marker_id) AS tutors,
                COALESCE(SUM(f.done_at IS NOT NULL), 0) AS first_done,
                COALESCE(SUM(m.done_at IS NOT NULL), 0) AS second_done,
                COALESCE(SUM(s.lead_id IS NULL AND f.done_at IS NOT NULL AND m.done_at IS NOT NULL AND t.id IS NULL), 0) AS to_settle,
                COALESCE(SUM(t.id IS NOT NULL), 0) AS agreed,
                COALESCE(SUM(s.held AND t.id IS NOT NULL AND r.id IS NULL), 0) AS held,
                COALESCE(SUM(r.id IS NOT NULL), 0) AS released'))
            ->get()->keyBy('assignment_id');

        return $assignments->map(fn (Assignment $assignment) => $this->counts($assignment, $rows[$assignment->id] ?? null))->all();
    }

    private function counts(Assignment $assignment, ?object $row): Counts
    {
        $n = fn (string $column): int => (int) ($row->{$column} ?? 0);

        return new Counts(
            published: $assignment->isPublished(),
            pastDue: $assignment->isPastDue(),
            expected: $n('expected'),
            handedIn: $n('handed_in'),
            screened: $n('screened'),
            screeningFailed: $n('screening_failed'),
            notScreened: $n('not_screened'),
            sharedOut: $n('shared_out'),
            tutors: $n('tutors'),
            firstDone: $n('first_done'),
            secondMarking: $assignment->second_marking,
            secondDone: $n('second_done'),
            toSettle: $n('to_settle'),
            agreed: $n('agreed'),
            toLook: $n('to_look'),
            held: $n('held'),
            released: $n('released'),
        );
    }
}
