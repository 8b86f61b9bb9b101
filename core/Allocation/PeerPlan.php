<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Who reviews whose work: each k others, each by k others, never their own nor their group's, and not each other's when
 * that can be avoided. The same input and seed give the same plan.
 *
 * Usually everyone stands on a ring, groups side by side, and reviews those who stand k drawn distances further on, all
 * longer than the largest group and none the way back of another. Where the ring is too short for that, reviews are
 * placed as a maximum flow (augmenting paths), so that a plan is found when there is one, and reciprocal pairs are
 * exchanged away as far as single exchanges go.
 */
final class PeerPlan
{
    public const PART = 'peer';

    /** @var array<string, array<string, true>> authors by reviewer */
    private array $reviews = [];

    /** @var array<string, array<string, true>> reviewers by author */
    private array $reviewers = [];

    /**
     * @param  array<string, string>  $groups  by author; those without a group have one of their own
     */
    private function __construct(
        private readonly array $groups,
        private readonly int $each,
    ) {
        $this->reviews = $this->reviewers = array_fill_keys(array_keys($groups), []);
    }

    /**
     * @param  list<Work>  $works  one an author: its id is the author's
     * @param  int  $each  reviews written and received, 1 to 20
     * @return array{given: list<GivenScript>, unplaced: list<UnplacedMark>, reciprocal: int} with how many pairs review each other
     *
     * @throws InvalidInput
     */
    public static function make(array $works, int $each, int $seed): array
    {
        if ($each < 1 || $each > 20) {
            throw InvalidInput::at('per_reviewer', 'must lie from 1 to 20');
        }
        $groups = [];
        foreach ($works as $work) {
            if (isset($groups[$work->id])) {
                throw InvalidInput::at('authors', "{$work->id} stands in it twice");
            }
            $groups[$work->id] = $work->group === null ? "alone {$work->id}" : "group {$work->group}";
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $plan = new self($groups, $each);
        if (! $plan->ring($random)) {
            $plan->flow($random);
            $plan->untwine();
        }
        $given = [];
        foreach ($works as $work) {
            foreach (array_keys($plan->reviewers[$work->id]) as $reviewer) {
                $given[] = new GivenScript($work->id, (string) $reviewer, self::PART);
            }
        }

        return ['given' => $given, 'unplaced' => $plan->missing($works), 'reciprocal' => count($plan->reciprocal())];
    }

    private function ring(Randomizer $random): bool
    {
        $members = [];
        foreach ($this->groups as $author => $group) {
            $members[$group][] = (string) $author;
        }
        $count = count($this->groups);
        $largest = $members === [] ? 1 : max(array_map(count(...), $members));
        $distances = [];
        for ($distance = $largest; $distance < $count - $distance; $distance++) {
            $distances[] = $distance;
        }
        if (count($distances) < $this->each) {
            return false;
        }
        $ring = array_merge(
            ...array_map(
                fn (string $group) => $random->shuffleArray($members[$group]),
                $random->shuffleArray(array_map(strval(...), array_keys($members))),
            )
        );
        foreach (array_slice($random->shuffleArray($distances), 0, $this->each) as $distance) {
            $distance = $random->getInt(0, 1) === 0 ? $distance : $count - $distance;
            foreach ($ring as $place => $reviewer) {
                $this->set($reviewer, $ring[($place + $distance) % $count]);
            }
        }

        return true;
    }

    private function flow(Randomizer $random): void
    {
        $order = $random->shuffleArray(array_map(strval(...), array_keys($this->groups)));
        foreach ($order as $author) {
            for ($n = 0; $n < $this->each && $this->augment($author, $order); $n++) {
                // one more review of this author's work
            }
        }
    }

    /**
     * Finds one more reviewer for an author, taking reviews over in turn where all are at work.
     *
     * @param  list<string>  $order
     */
    private function augment(string $author, array $order): bool
    {
        $from = [];
        $queue = [$author];
        $seen = [$author => true];
        for ($at = 0; $at < count($queue); $at++) {
            $wanting = $queue[$at];
            foreach ($order as $reviewer) {
                if (
                    isset($from["r {$reviewer}"]) || isset($this->reviews[$reviewer][$wanting])
                    || $this->groups[$reviewer] === $this->groups[$wanting]
                ) {
                    continue;
                }
                $from["r {$reviewer}"] = $wanting;
                if (count($this->reviews[$reviewer]) < $this->each) {
                    $this->takeOver($reviewer, $from);

                    return true;
                }
                foreach (array_keys($this->reviews[$reviewer]) as $other) {
                    $other = (string) $other;
                    if (! isset($seen[$other])) {
                        $seen[$other] = true;
                        $from["a {$other}"] = $reviewer;
                        $queue[] = $other;
                    }
                }
            }
        }

        return false;
    }

    /**
     * @param  array<string, string>  $from
     */
    private function takeOver(string $reviewer, array $from): void
    {
        while (true) {
            $author = $from["r {$reviewer}"];
            $this->set($reviewer, $author);
            if (! isset($from["a {$author}"])) {
                return;
            }
            $reviewer = $from["a {$author}"];
            unset($this->reviews[$reviewer][$author], $this->reviewers[$author][$reviewer]);
        }
    }

    /** Exchanges reviews so that fewer pairs review each other. */
    private function untwine(): void
    {
        do {
            $better = false;
            foreach ($this->reciprocal() as [$one, $other]) {
                if (
                    $this->isReciprocal($one, $other)
                    && ($this->exchange($one, $other) || $this->exchange($other, $one))
                ) {
                    $better = true;
                }
            }
        } while ($better);
    }

    private function exchange(string $reviewer, string $author): bool
    {
        foreach ($this->reviews as $second => $authors) {
            $second = (string) $second;
            foreach (array_keys($authors) as $theirs) {
                $theirs = (string) $theirs;
                if (! $this->may($reviewer, $theirs) || ! $this->may($second, $author)) {
                    continue;
                }
                $twined = (int) $this->isReciprocal($second, $theirs);
                if (
                    (int) isset($this->reviews[$theirs][$reviewer])
                        + (int) isset($this->reviews[$author][$second]) < 1 + $twined
                ) {
                    unset(
                        $this->reviews[$reviewer][$author], $this->reviewers[$author][$reviewer],
                        $this->reviews[$second][$theirs], $this->reviewers[$theirs][$second],
                    );
                    $this->set($reviewer, $theirs);
                    $this->set($second, $author);

                    return true;
                }
            }
        }

        return false;
    }

    private function may(string $reviewer, string $author): bool
    {
        return $this->groups[$reviewer] !== $this->groups[$author] && ! isset($this->reviews[$reviewer][$author]);
    }

    private function isReciprocal(string $one, string $other): bool
    {
        return isset($this->reviews[$one][$other], $this->reviews[$other][$one]);
    }

    /**
     * @return list<array{string, string}>
     */
    private function reciprocal(): array
    {
        $pairs = [];
        foreach ($this->reviews as $reviewer => $authors) {
            foreach (array_keys($authors) as $author) {
                if (
                    strcmp((string) $reviewer, (string) $author) < 0
                    && $this->isReciprocal((string) $reviewer, (string) $author)
                ) {
                    $pairs[] = [(string) $reviewer, (string) $author];
                }
            }
        }

        return $pairs;
    }

    private function set(string $reviewer, string $author): void
    {
        $this->reviews[$reviewer][$author] = true;
        $this->reviewers[$author][$reviewer] = true;
    }

    /**
     * @param  list<Work>  $works
     * @return list<UnplacedMark>
     */
    private function missing(array $works): array
    {
        $sizes = array_count_values($this->groups);
        $missing = [];
        foreach ($works as $work) {
            $short = $this->each - count($this->reviewers[$work->id]);
            if ($short > 0) {
                $others = count($this->groups) - $sizes[$this->groups[$work->id]];
                $figures = ['short' => $short, 'each' => $this->each];
                $missing[] = $others < $this->each
                    ? new UnplacedMark(
                        $work->id, self::PART, WhyUnplaced::TooFewOutside, [...$figures, 'outside' => $others],
                    )
                    : new UnplacedMark($work->id, self::PART, WhyUnplaced::GroupTooLarge, $figures);
            }
        }

        return $missing;
    }
}
