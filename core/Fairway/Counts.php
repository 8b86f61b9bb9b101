<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Fairway;

/**
 * The numbers of one assignment that its fairway is drawn from.
 */
final readonly class Counts
{
    /**
     * @param  int  $held  scripts whose mark is agreed and whose result is held back: none of the ready ones
     * @param  int|null  $undecided  scripts with one mark that wait for a sample to be drawn; null where none is
     * @param  int  $sampled  scripts in a sample
     * @param  int|null  $writing  students who have written in a discussion that still goes on; null where none does
     * @param  bool  $observed  whether people are observed: who has a slot counts as handed in, and nothing is screened
     * @param  int  $notScreened  scripts without words to compare, as links are
     */
    public function __construct(
        public bool $published,
        public bool $pastDue,
        public int $expected,
        public int $handedIn,
        public int $screened,
        public int $screeningFailed,
        public int $sharedOut,
        public int $tutors,
        public int $firstDone,
        public bool $secondMarking,
        public int $secondDone,
        public int $toSettle,
        public int $agreed,
        public int $held,
        public int $released,
        public int $toLook = 0,
        public int $notScreened = 0,
        public ?int $undecided = null,
        public int $sampled = 0,
        public ?int $writing = null,
        public bool $observed = false,
    ) {
    }
}
