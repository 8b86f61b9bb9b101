<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\Script;
use App\Models\User;
use App\Peers\TellOfRound;
use App\Queries\Peers\ReviewPlanning;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Peers\PlannedReviews;

/**
 * Works out who reviews what in a round and gives it out: at first, and again when people have come late, left, begun
 * nothing, offered more, or returned what they cannot review. What is begun never moves.
 */
final class PlanReviews
{
    private const AT_ONCE = 500;

    public function __construct(
        private readonly EnrolInRound $enrol,
        private readonly ReviewPlanning $planning,
        private readonly TellOfRound $tell,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @param  User|null  $by  null: by itself, at a time that was set
     *
     * @throws Refused
     */
    public function __invoke(Round $round, ?User $by): PlannedReviews
    {
        return DB::transaction(function () use ($round, $by): PlannedReviews {
            $stored = Round::query()->with('assignment.module')->lockForUpdate()->findOrFail($round->id);
            $stored->isOpened() || throw new Refused((string) __('peers.not_opened'));
            $stored->isClosed() && throw new Refused((string) __('peers.closed_no_change'));
            $version = $stored->assignment->rubric_version_id
                ?? throw new Refused((string) __('peers.needs_rubric'));
            ($this->enrol)($stored);
            $members = RoundMember::query()->where('round_id', $stored->id)->get();
            $works = RoundWork::query()->where('round_id', $stored->id)->get();
            $stored->settings->self && $this->giveOwn($stored, $members, $works, $version);
            $plan = $this->planning->of($stored, $members, $works);
            $this->take($stored, $plan, $members);
            $this->give($stored, array_map(
                fn (array $one) => [(int) $one[0], (int) $one[1], false], $plan->added,
            ), $works, $members, $version);
            $this->noteMissing($stored, $plan, $works);
            $this->tell->given($stored, $plan, $members);
            $stored->update([
                'given_at' => $stored->given_at ?? now(), 'planned_at' => now(), 'short' => array_sum($plan->short),
                'unsure' => $plan->unsure,
            ]);
            $this->logbook->write(
                Entry::of(LogEvent::ReviewsGiven)->on($stored->assignment)->with(
                    given: count($plan->added), moved: count($plan->removed), left: array_sum($plan->short),
                )->saying(title: $stored->title)->by($by),
            );

            return $plan;
        });
    }

    /**
     * @param  Collection<int, RoundMember>  $members  by id
     * @param  Collection<int, RoundWork>  $works  by id
     */
    private function giveOwn(Round $round, Collection $members, Collection $works, int $version): void
    {
        $has = PeerReview::query()->where('round_id', $round->id)->where('own', true)->pluck('round_member_id')->flip();
        $leads = Script::query()->where('assignment_id', $round->assignment_id)->pluck('lead_id', 'id');
        $byScript = $works->keyBy('script_id');
        $given = [];
        foreach ($members as $member) {
            $work = $byScript->get($leads[$member->script_id] ?? $member->script_id);
            if ($work !== null && ! isset($has[$member->id])) {
                $given[] = [$work->id, $member->id, true];
            }
        }
        $this->give($round, $given, $works, $members, $version);
    }

    /**
     * @param  list<array{int, int, bool}>  $pairs  work, member, whether it is their own
     * @param  Collection<int, RoundWork>  $works  by id
     * @param  Collection<int, RoundMember>  $members  by id
     */
    private function give(Round $round, array $pairs, Collection $works, Collection $members, int $version): void
    {
        $now = now();
        foreach (array_chunk($pairs, self::AT_ONCE) as $some) {
            $marks = $reviews = [];
            foreach ($some as [$work, $member, $own]) {
                $marks[] = $mark = Mark::ofStudent(
                    $round, $works->findOrFail($work), $members->findOrFail($member)->user_id,
                    $own ? Seat::OwnRating : Seat::Peer, $version,
                );
                $reviews[$mark['public_id']] = [
                    'public_id' => Str::uuid()->toString(), 'round_id' => $round->id, 'round_work_id' => $work,
                    'round_member_id' => $member, 'own' => $own, 'place' => random_int(0, 65_535),
                    'answer' => '', 'created_at' => $now, 'updated_at' => $now,
                ];
            }
            DB::table('marks')->insert($marks);
            $ids = DB::table('marks')->whereIn('public_id', array_keys($reviews))->pluck('id', 'public_id');
            DB::table('peer_reviews')->insert(array_map(
                fn (string $public) => $reviews[$public] + ['mark_id' => $ids[$public]], array_keys($reviews),
            ));
        }
    }

    /**
     * Takes back what is another's now; nothing was written in it.
     *
     * @param  Collection<int, RoundMember>  $members  by id
     */
    private function take(Round $round, PlannedReviews $plan, Collection $members): void
    {
        $lost = [];
        foreach (array_chunk($plan->removed, self::AT_ONCE) as $some) {
            $reviews = PeerReview::query()->where('round_id', $round->id)->where('own', false)
                ->whereIn(DB::raw('CONCAT(round_work_id, " ", round_member_id)'), array_map(
                    fn (array $one) => implode(' ', $one), $some,
                ))->get(['id', 'mark_id', 'round_member_id']);
            // Whoever began in the meantime keeps it: its author has one review more than was promised.
            $idle = Mark::query()->whereKey($reviews->pluck('mark_id'))->whereNull('begun_at')->lockForUpdate()
                ->pluck('id');
            $reviews = $reviews->whereIn('mark_id', $idle);
            PeerReview::query()->whereKey($reviews->modelKeys())->delete();
            Mark::query()->whereKey($idle)->delete();
            foreach ($reviews as $one) {
                $lost[$one->round_member_id] = ($lost[$one->round_member_id] ?? 0) + 1;
            }
        }
        $gained = $plan->gained();
        foreach ($lost as $member => $count) {
            $net = $count - ($gained[$member] ?? 0);
            $net > 0 && $members->findOrFail($member)->increment('lost', $net);
        }
    }

    /**
     * @param  Collection<int, RoundWork>  $works  by id
     */
    private function noteMissing(Round $round, PlannedReviews $plan, Collection $works): void
    {
        $wanted = ReviewPlanning::wanted(
            $round, $works->count(),
            RoundMember::query()->where('round_id', $round->id)->whereNull('left_at')->count(),
        );
        foreach ($works as $work) {
            $missing = $plan->short[$work->id] ?? 0;
            if ($work->missing !== $missing || $work->wanted !== $wanted) {
                $work->update(['missing' => $missing, 'wanted' => $wanted]);
            }
        }
    }
}
