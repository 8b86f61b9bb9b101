<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Allocation\PeerPlan;
use YoungHarbor\Core\Allocation\Work;

/**
 * Who reviews what, worked out again while a round is under way: what is begun stays, what is not begun may move.
 *
 * Works are served in turns, those with the fewest reviews first, so that what cannot be had is missing evenly; each
 * review is found as an augmenting path (Ford and Fulkerson 1956), so that one is found whenever the rules leave any.
 * Among reviewers with room, those come first whom the authors do not review, then those with least to do. The same
 * input and seed give the same plan.
 */
final class ReviewPlan
{
    /** @var array<string, array<string, bool>> by work and reviewer: whether it is fixed */
    private array $reviewers = [];

    /** @var array<string, array<string, true>> by reviewer and work */
    private array $works = [];

    /** @var array<string, array<string, true>> works by author */
    private array $own = [];

    /** @var array<string, int> reviews a reviewer may still be given */
    private array $room = [];

    /** Of all reviewers together. */
    private int $spare = 0;

    /**
     * @param  array<string, ReviewedWork>  $wanted  by id
     * @param  array<string, PlannedReviewer>  $people  by id
     * @param  array<string, array<string, true>>  $barred  by work and reviewer
     */
    private function __construct(
        private readonly array $wanted, private readonly array $people, private readonly array $barred,
        private readonly Randomizer $random,
    ) {
        foreach ($wanted as $work) {
            $this->reviewers[$work->id] = [];
            foreach ($work->authors as $author) {
                $this->own[$author][$work->id] = true;
            }
        }
        foreach ($people as $person) {
            $this->works[$person->id] = [];
            $this->room[$person->id] = $person->room;
            $this->spare += max(0, $person->room);
        }
    }

    /**
     * @param  list<ReviewedWork>  $works
     * @param  list<PlannedReviewer>  $reviewers
     * @param  list<array{string, string}>  $fixed  work and reviewer of reviews that are begun or done
     * @param  list<array{string, string}>  $loose  of reviews that are given and not begun
     * @param  list<array{string, string}>  $barred  of pairs that must not be: conflicts, reviews that were returned
     */
    public static function make(
        array $works, array $reviewers, array $fixed, array $loose, array $barred, int $seed,
    ): PlannedReviews {
        $wanted = $people = $not = [];
        foreach ($works as $work) {
            $wanted[$work->id] = $work;
        }
        foreach ($reviewers as $person) {
            $people[$person->id] = $person;
        }
        foreach ($barred as [$work, $reviewer]) {
            $not[$work][$reviewer] = true;
        }
        $plan = new self($wanted, $people, $not, new Randomizer(new Xoshiro256StarStar($seed)));
        foreach ($fixed as [$work, $reviewer]) {
            isset($plan->reviewers[$work]) && $plan->give($work, $reviewer, true);
        }
        $idle = $plan->keep($loose);
        $fixed === [] && $loose === [] && $plan->begin($seed);
        $plan->fill(false);
        $plan->giveBack($idle);
        $plan->fill(true);
        $plan->untwine();

        return $plan->planned($loose);
    }

    /**
     * Lets what is not begun stay where it is, but with those who have begun nothing.
     *
     * @param  list<array{string, string}>  $loose
     * @return list<array{string, string}> what those have
     */
    private function keep(array $loose): array
    {
        $idle = [];
        foreach ($loose as [$work, $reviewer]) {
            $isHere = isset($this->wanted[$work], $this->people[$reviewer]);
            if (! $isHere || ! $this->may($work, $reviewer)) {
                continue;
            }
            if ($this->people[$reviewer]->idle) {
                $idle[] = [$work, $reviewer];
            } elseif ($this->room[$reviewer] > 0 && $this->isShort($work)) {
                $this->give($work, $reviewer);
            }
        }

        return $idle;
    }

    /** Where nothing is given yet and all review as much as they are reviewed, {@see PeerPlan} does it best. */
    private function begin(int $seed): void
    {
        $sizes = array_unique([
            ...array_map(fn (ReviewedWork $one) => $one->wanted, array_values($this->wanted)),
            ...array_values($this->room),
        ]);
        $authors = array_map(fn (ReviewedWork $one) => $one->authors[0] ?? '', array_values($this->wanted));
        $alone = array_filter($this->wanted, fn (ReviewedWork $one) => count($one->authors) !== 1) === [];
        sort($authors);
        $people = array_map(strval(...), array_keys($this->people));
        sort($people);
        if (count($sizes) !== 1 || ! $alone || $authors !== $people || $sizes[0] < 1 || $sizes[0] > 20) {
            return;
        }
        $work = array_map(strval(...), array_map(array_key_first(...), $this->own));
        $given = PeerPlan::make(
            array_map(fn (string $author) => new Work($author, null, null), $authors), $sizes[0], $seed,
        )['given'];
        foreach ($given as $one) {
            if ($this->may($work[$one->script], $one->marker)) {
                $this->give($work[$one->script], $one->marker);
            }
        }
    }

    /**
     * Serves works in turns, those with the fewest reviews first.
     *
     * @param  bool  $byIdle  also by those who have begun nothing
     */
    private function fill(bool $byIdle): void
    {
        $most = max([0, ...array_map(fn (ReviewedWork $one) => $one->wanted, array_values($this->wanted))]);
        $order = $this->random->shuffleArray(array_map(strval(...), array_keys($this->wanted)));
        for ($turn = 1; $turn <= $most; $turn++) {
            foreach ($order as $work) {
                if ($turn <= $this->wanted[$work]->wanted && count($this->reviewers[$work]) < $turn) {
                    $this->augment($work, $byIdle);
                }
            }
        }
    }

    private function augment(string $work, bool $byIdle): void
    {
        $isFree = fn (string $one): bool => $this->room[$one] > 0 && ($byIdle || ! $this->people[$one]->idle);
        if ($this->spare < 1) {
            return;
        }
        $from = [];
        $queue = [$work];
        $seen = [$work => true];
        $left = array_map(strval(...), array_keys($this->people));
        for ($at = 0; $at < count($queue); $at++) {
            $wanting = $queue[$at];
            $able = array_values(array_filter($left, fn (string $one) => $this->may($wanting, $one)));
            $free = array_filter($able, $isFree);
            if ($free !== []) {
                $this->takeOver($wanting, $this->best($wanting, array_values($free)), $from);

                return;
            }
            $left = array_values(array_diff($left, $able));
            foreach ($able as $reviewer) {
                foreach (array_keys($this->works[$reviewer]) as $other) {
                    $other = (string) $other;
                    if (! isset($seen[$other]) && ! $this->reviewers[$other][$reviewer]) {
                        $seen[$other] = true;
                        $from[$other] = [$reviewer, $wanting];
                        $queue[] = $other;
                    }
                }
            }
        }
    }

    /**
     * @param  array<string, array{string, string}>  $from  by work: whose reviewer takes over which other work
     */
    private function takeOver(string $work, string $reviewer, array $from): void
    {
        while (isset($from[$work])) {
            [$next, $wanting] = $from[$work];
            $this->take($work, $next);
            $this->give($work, $reviewer);
            [$work, $reviewer] = [$wanting, $next];
        }
        $this->give($work, $reviewer);
    }

    /**
     * @param  non-empty-list<string>  $free
     */
    private function best(string $work, array $free): string
    {
        $rank = fn (string $one): array => [
            $this->twines($work, $one) ? 1 : 0, count($this->works[$one]), -$this->room[$one],
        ];
        $best = min(array_map($rank, $free));
        $equal = array_values(array_filter($free, fn (string $one) => $rank($one) === $best));

        return $equal[$this->random->getInt(0, count($equal) - 1)];
    }

    /**
     * What nobody else could take stays with those who have begun nothing.
     *
     * @param  list<array{string, string}>  $idle
     */
    private function giveBack(array $idle): void
    {
        foreach ($idle as [$work, $reviewer]) {
            if (
                $this->room[$reviewer] > 0 && $this->isShort($work) && $this->may($work, $reviewer)
            ) {
                $this->give($work, $reviewer);
            }
        }
    }

    /** Exchanges reviews that are not begun so that fewer pairs review each other. */
    private function untwine(): void
    {
        foreach ($this->works as $reviewer => $works) {
            $reviewer = (string) $reviewer;
            foreach (array_map(strval(...), array_keys($works)) as $work) {
                if (
                    isset($this->reviewers[$work][$reviewer]) && ! $this->reviewers[$work][$reviewer]
                    && $this->twines($work, $reviewer)
                ) {
                    $this->exchange($work, $reviewer);
                }
            }
        }
    }

    private function exchange(string $work, string $reviewer): void
    {
        foreach ($this->reviewers as $other => $by) {
            $other = (string) $other;
            foreach ($by as $second => $isFixed) {
                $second = (string) $second;
                if (
                    ! $isFixed && $this->may($other, $reviewer) && $this->may($work, $second)
                    && ! $this->twines($other, $reviewer) && ! $this->twines($work, $second)
                ) {
                    $this->take($work, $reviewer);
                    $this->take($other, $second);
                    $this->give($work, $second);
                    $this->give($other, $reviewer);

                    return;
                }
            }
        }
    }

    /** Whether an author of the work reviews work of the reviewer. */
    private function twines(string $work, string $reviewer): bool
    {
        foreach ($this->own[$reviewer] ?? [] as $theirs => $_) {
            foreach ($this->wanted[$work]->authors as $author) {
                if (isset($this->reviewers[$theirs][$author])) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isShort(string $work): bool
    {
        return count($this->reviewers[$work]) < $this->wanted[$work]->wanted;
    }

    private function may(string $work, string $reviewer): bool
    {
        return ! isset($this->reviewers[$work][$reviewer]) && ! isset($this->barred[$work][$reviewer])
            && ! in_array($reviewer, $this->wanted[$work]->authors, true);
    }

    private function give(string $work, string $reviewer, bool $fixed = false): void
    {
        $this->reviewers[$work][$reviewer] = $fixed;
        $this->works[$reviewer][$work] = true;
        if (isset($this->room[$reviewer])) {
            $this->spare -= $this->room[$reviewer]-- > 0 ? 1 : 0;
        }
    }

    private function take(string $work, string $reviewer): void
    {
        unset($this->reviewers[$work][$reviewer], $this->works[$reviewer][$work]);
        $this->spare += $this->room[$reviewer]++ >= 0 ? 1 : 0;
    }

    /**
     * @param  list<array{string, string}>  $loose
     */
    private function planned(array $loose): PlannedReviews
    {
        $had = [];
        foreach ($loose as [$work, $reviewer]) {
            $had[$work][$reviewer] = true;
        }
        $added = $removed = $short = [];
        $unsure = 0;
        foreach ($this->reviewers as $work => $by) {
            $work = (string) $work;
            foreach ($by as $reviewer => $isFixed) {
                $reviewer = (string) $reviewer;
                $isFixed || isset($had[$work][$reviewer]) || $added[] = [$work, $reviewer];
            }
            $missing = $this->wanted[$work]->wanted - count($by);
            $missing > 0 && $short[$work] = $missing;
            $unsure += array_filter(
                array_keys($by), fn (int|string $one) => ! $by[$one] && ($this->people[$one]->idle ?? false),
            ) === [] ? 0 : 1;
        }
        foreach ($loose as [$work, $reviewer]) {
            isset($this->reviewers[$work][$reviewer]) || $removed[] = [$work, $reviewer];
        }

        return new PlannedReviews($added, $removed, $short, $unsure, $this->twinedPairs());
    }

    private function twinedPairs(): int
    {
        $twined = 0;
        foreach ($this->reviewers as $work => $by) {
            foreach (array_keys($by) as $reviewer) {
                $twined += $this->twines((string) $work, (string) $reviewer) ? 1 : 0;
            }
        }

        return intdiv($twined, 2);
    }
}
