<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Enums\HandInBy;
use App\Models\Conflict;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\Script;
use Illuminate\Database\Eloquent\Collection;
use LogicException;
use YoungHarbor\Core\Peers\PlannedReviewer;
use YoungHarbor\Core\Peers\PlannedReviews;
use YoungHarbor\Core\Peers\ReviewedWork;
use YoungHarbor\Core\Peers\ReviewPlan;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * What a plan of reviews is made from: who may review, what is begun, and who must not review whose work.
 */
final class ReviewPlanning
{
    /** So long after they were given, reviews that nobody has begun are those of someone who begins nothing. */
    private const PATIENCE_HOURS = 24;

    /**
     * @param  Collection<int, RoundMember>  $members
     * @param  Collection<int, RoundWork>  $works
     */
    public function of(Round $round, Collection $members, Collection $works): PlannedReviews
    {
        if (! $round->settings->peers) {
            return new PlannedReviews([], [], [], 0, 0);
        }
        $authors = $this->authors($round, $works, $members);
        $fixed = $loose = $barred = $begun = $waits = [];
        foreach (
            PeerReview::query()->where('round_id', $round->id)->where('own', false)
                ->with('mark:id,begun_at,done_at')->get() as $review
        ) {
            $pair = [(string) $review->round_work_id, (string) $review->round_member_id];
            if ($review->returned_at !== null) {
                $barred[] = $pair;
            } elseif ($review->mark->begun_at !== null || $review->mark->done_at !== null) {
                $fixed[] = $pair;
                $begun[$review->round_member_id] = true;
            } else {
                $loose[] = $pair;
                $waits[$review->round_member_id] = ($waits[$review->round_member_id] ?? false)
                    || $review->created_at?->lt(now()->subHours(self::PATIENCE_HOURS)) === true;
            }
        }
        $reviewers = $members->filter(fn (RoundMember $one) => $one->left_at === null)->map(
            fn (RoundMember $one) => new PlannedReviewer(
                (string) $one->id, $round->settings->each + $one->extra,
                ($waits[$one->id] ?? false) && ! isset($begun[$one->id]),
            ),
        )->values()->all();

        $wanted = self::wanted($round, $works->count(), count($reviewers));

        return ReviewPlan::make(
            array_values($works->map(
                fn (RoundWork $one) => new ReviewedWork((string) $one->id, $authors[$one->id] ?? [], $wanted),
            )->all()), array_values($reviewers), $fixed, $loose,
            [...$barred, ...$this->conflicts($round, $works, $members, $authors)], $round->seed,
        );
    }

    /** Reviews a work is promised: as many as each writes, or what all can write where a group hands in one. */
    public static function wanted(Round $round, int $works, int $reviewers): int
    {
        $each = $round->settings->each;

        return match (true) {
            ! $round->settings->peers => 0,
            $round->assignment->handin_by === HandInBy::GroupOneMark && $works > 0 => max(
                $each, min(RoundSettings::MOST_WANTED, intdiv($each * $reviewers, $works)),
            ),
            default => $each,
        };
    }

    /**
     * Whose work each is, its author first: a group never reviews its own.
     *
     * @param  Collection<int, RoundWork>  $works
     * @param  Collection<int, RoundMember>  $members
     * @return array<int, list<string>> members by work
     */
    private function authors(Round $round, Collection $works, Collection $members): array
    {
        $scripts = Script::query()->where('assignment_id', $round->assignment_id)
            ->get(['id', 'lead_id', 'group_name', 'student_id']);
        $byScript = $members->keyBy('script_id');
        $byGroup = $scripts->whereNotNull('group_name')->groupBy('group_name');
        $authors = [];
        foreach ($works as $work) {
            $script = $scripts->find($work->script_id) ?? throw new LogicException('A work has its script.');
            $of = [];
            foreach (
                [$script, ...($script->group_name === null ? [] : $byGroup->get($script->group_name, []))] as $one
            ) {
                $member = $byScript->get($one->id);
                $member === null || $of[$member->id] = (string) $member->id;
            }
            $authors[$work->id] = array_values($of);
        }

        return $authors;
    }

    /**
     * @param  Collection<int, RoundWork>  $works
     * @param  Collection<int, RoundMember>  $members
     * @param  array<int, list<string>>  $authors
     * @return list<array{string, string}>
     */
    private function conflicts(Round $round, Collection $works, Collection $members, array $authors): array
    {
        $byPerson = $members->pluck('id', 'user_id');
        $against = [];
        foreach (
            Conflict::query()->where('module_id', $round->assignment->module_id)
                ->whereIn('marker_id', $byPerson->keys())->get(['marker_id', 'student_id']) as $one
        ) {
            if (isset($byPerson[$one->student_id])) {
                $against[(string) $byPerson[$one->student_id]][] = (string) $byPerson[$one->marker_id];
                $against[(string) $byPerson[$one->marker_id]][] = (string) $byPerson[$one->student_id];
            }
        }
        $barred = [];
        foreach ($against === [] ? [] : $works as $work) {
            foreach ($authors[$work->id] ?? [] as $author) {
                foreach ($against[$author] ?? [] as $other) {
                    $barred[] = [(string) $work->id, $other];
                }
            }
        }

        return $barred;
    }
}
