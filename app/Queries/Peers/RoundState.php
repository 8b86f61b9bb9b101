<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Enums\PeerReviewState;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\TrialMark;
use App\Peers\ReviewConcerns;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection as Models;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Peers\AmongReviewers;

/**
 * A round as its coordinator looks at it. People stand with their names and the codes they review under, works under
 * codes of the round: nothing leads from a name to a work.
 */
final class RoundState
{
    /** Scripts listed that staff should look at first. */
    private const LOOK_FIRST = 8;

    /** Always so many of those that are widest apart. */
    private const WIDEST = 3;

    /** Marks between the lowest and the highest from which a work is listed anyway. Common practice, no source. */
    private const FAR_APART = 15;

    /** @var Collection<int, PeerReview> */
    public readonly Collection $reviews;

    /** @var Models<int, RoundMember> */
    public readonly Collection $members;

    /** @var Models<int, RoundWork> */
    public readonly Collection $works;

    /** @var Collection<int, PeerReview>|null */
    private ?Collection $peers = null;

    /** @var Collection<int, Collection<int, BigDecimal>>|null */
    private ?Collection $marks = null;

    private function __construct(public readonly Round $round)
    {
        $this->members = RoundMember::query()->where('round_id', $round->id)->with('user:id,name')->get();
        $this->works = RoundWork::query()->where('round_id', $round->id)->orderBy('code')->get();
        $members = $this->members->getDictionary();
        $works = $this->works->getDictionary();
        $this->reviews = PeerReview::query()->where('round_id', $round->id)
            ->with('mark:id,script_id,work_id,done_at,begun_at,total,seconds', 'mark.handin:id,words')->get()
            ->each(fn (PeerReview $one) => $one->setRelation('round', $round)
                ->setRelation('member', $members[$one->round_member_id])
                ->setRelation('work', $works[$one->round_work_id]));
    }

    public static function of(Round $round): self
    {
        return new self($round);
    }

    /**
     * @return array{reviews: int, done: int, late: int, begun: int, people: int, nothing: int, works: int, enough: int, minutes: int|null}
     */
    public function counts(): array
    {
        $peers = $this->peers();
        $done = $peers->filter(fn (PeerReview $one) => $one->state() === PeerReviewState::Done);
        $byWork = $done->groupBy('round_work_id')->map->count();
        $busy = $peers->filter(fn (PeerReview $one) => $one->state() !== PeerReviewState::Given)
            ->pluck('round_member_id')->unique();
        $timed = $done->filter(
            fn (PeerReview $one) => $one->mark->seconds > 0
        )->map(fn (PeerReview $one) => $one->mark->seconds)
            ->sort()->values();

        return [
            'reviews' => $peers->count(), 'done' => $done->count(),
            'late' => $done->filter(fn (PeerReview $one) => $one->isLate())->count(),
            'begun' => $peers->filter(fn (PeerReview $one) => $one->state() === PeerReviewState::Begun)->count(),
            'people' => $this->members->whereNull('left_at')->count(),
            'nothing' => $this->members->whereNull('left_at')->whereNotIn('id', $busy)->count(),
            'works' => $this->works->count(),
            'enough' => $this->works->filter(fn (RoundWork $one) => ($byWork[$one->id] ?? 0) >= $one->wanted)->count(),
            // Half of the reviews took longer, half not so long.
            'minutes' => $timed->isEmpty() ? null : (int) round($timed->get(intdiv($timed->count(), 2)) / 60),
        ];
    }

    /**
     * Those that are asked for, of other people's work.
     *
     * @return Collection<int, PeerReview>
     */
    public function peers(): Collection
    {
        return $this->peers ??= $this->reviews->filter(
            fn (PeerReview $one) => ! $one->own && ! $one->isReturned(),
        );
    }

    /**
     * @return list<array{member: RoundMember, asked: int, done: int, late: int, begun: int, quick: int, minutes: int, returned: int, trials: int}>
     */
    public function people(): array
    {
        $by = $this->reviews->groupBy('round_member_id');
        $trials = TrialMark::query()->whereIn('round_member_id', $this->members->modelKeys())
            ->whereNotNull('done_at')->get(['round_member_id'])->countBy('round_member_id');

        return array_values($this->members->sortBy(
            'user.name', SORT_NATURAL | SORT_FLAG_CASE,
        )->map(function (RoundMember $one) use ($by, $trials): array {
            $all = $by->get($one->id, collect())->where('own', false);
            $asked = $all->reject(fn (PeerReview $review) => $review->isReturned());
            $done = $asked->filter(fn (PeerReview $review) => $review->state() === PeerReviewState::Done);

            return [
                'member' => $one, 'asked' => $asked->count(), 'done' => $done->count(),
                'late' => $done->filter(fn (PeerReview $review) => $review->isLate())->count(),
                'begun' => $asked->filter(
                    fn (PeerReview $review) => $review->state() === PeerReviewState::Begun
                )->count(),
                'quick' => $done->filter(fn (PeerReview $review) => ReviewConcerns::isQuick($review))->count(),
                'minutes' => (int) round($asked->sum(fn (PeerReview $review) => $review->mark->seconds) / 60),
                'returned' => $all->count() - $asked->count(), 'trials' => (int) ($trials[$one->id] ?? 0),
            ];
        })->all());
    }

    /**
     * @return Collection<int, PeerReview>
     */
    public function flagged(): Collection
    {
        return $this->reviews->whereNotNull('flagged_at')->sortBy('flagged_at')->values();
    }

    /**
     * @return Collection<int, PeerReview>
     */
    public function returned(): Collection
    {
        return $this->reviews->whereNotNull('returned_at')->whereNull('returned_seen_at')->sortBy('returned_at')
            ->values();
    }

    /**
     * Peers' marks by work, lowest first.
     *
     * @return Collection<int, Collection<int, BigDecimal>>
     */
    public function marks(): Collection
    {
        return $this->marks ??= $this->peers()->filter(fn (PeerReview $one) => $one->enters())->groupBy('round_work_id')
            ->map(fn (Collection $of) => $of->map(fn (PeerReview $one) => BigDecimal::of((string) $one->mark->total))
                ->sort(fn (BigDecimal $a, BigDecimal $b) => $a->compareTo($b))->values());
    }

    /**
     * What students wrote of the difference between their own rating and the result.
     *
     * @return list<array{string, string}> the code of the work, and what they wrote
     */
    public function learnt(): array
    {
        return array_values($this->reviews->filter(fn (PeerReview $one) => $one->own && $one->answer !== '')
            ->map(fn (PeerReview $one) => [$one->work->code, $one->answer])->sort()->all());
    }

    /** How alike peers mark the same work. */
    public function agreement(): AmongReviewers
    {
        $works = [];
        foreach ($this->marks() as $id => $marks) {
            $of = [];
            foreach ($marks as $n => $mark) {
                $of["review {$n}"] = $mark->toFloat();
            }
            $of === [] || $works[] = new MarkedScript("{$id}", $of);
        }

        return AmongReviewers::of($works);
    }

    /**
     * Works that staff should look at first, with why: peers far apart, few reviews, near the pass line.
     *
     * @return list<array{work: RoundWork, why: string, spread: float}>
     */
    public function lookFirst(): array
    {
        $pass = $this->round->assignment->scheme->passMark;
        $found = [];
        $works = $this->works->getDictionary();
        foreach ($this->marks() as $id => $marks) {
            $work = $works[$id] ?? null;
            [$low, $high] = [$marks->first(), $marks->last()];
            if ($work === null || $low === null || $high === null) {
                continue;
            }
            $found[] = [
                'work' => $work, 'near' => $low->isLessThan($pass) !== $high->isLessThan($pass),
                'few' => $marks->count() < $work->wanted, 'single' => $marks->count() === 1,
                'spread' => $work->low !== null && $work->high !== null
                    ? (float) $work->high - (float) $work->low : $high->minus($low)->toFloat(),
            ];
        }
        usort($found, fn (array $a, array $b) => [$b['near'], $b['spread']] <=> [$a['near'], $a['spread']]);
        $found = array_filter($found, fn (array $one, int $n) => $n < self::WIDEST || $one['near'] || $one['few']
            || $one['spread'] >= self::FAR_APART, ARRAY_FILTER_USE_BOTH);

        return array_map(fn (array $one) => [
            'work' => $one['work'], 'spread' => $one['spread'],
            'why' => implode(', ', array_filter([
                $one['near'] ? (string) __('peers.why.pass') : '',
                (string) __('peers.why.'.match (true) {
                    $one['work']->low !== null => 'interval', $one['single'] => 'one', default => 'apart',
                }, ['marks' => sprintf('%.0f', $one['spread'])]),
                $one['few'] ? (string) __('peers.why.few') : '',
            ])),
        ], array_slice($found, 0, self::LOOK_FIRST));
    }
}
