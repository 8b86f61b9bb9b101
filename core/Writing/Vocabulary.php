<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * Numbers for words, given as they come; 0 stands for the start of a sentence. One vocabulary goes with one baseline.
 */
final class Vocabulary
{
    public const START = 0;

    /**
     * A pair of words is one number: the first times this, and the second. Odd, so that the low bits tell pairs apart:
     * by those a hash table finds them.
     */
    public const FACTOR = 10_000_019;

    /** @var array<string, int> */
    private array $numbers = [];

    public function number(string $word): int
    {
        return $this->numbers[$word] ??= count($this->numbers) + 1;
    }
}
