<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * A mark that was finished, as the question of tiredness sees it.
 */
final readonly class Completion
{
    /**
     * @param  int  $at  when it was first finished, in seconds
     * @param  float  $mark  the total, in marks
     * @param  string  $section  of the student, '' for none
     * @param  bool  $counts  false for late work, which is only counted as work done before the next
     */
    public function __construct(
        public int $at, public float $mark, public string $section = '', public bool $counts = true,
    ) {
    }
}
