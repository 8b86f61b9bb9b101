<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Every run of words of one text, in space and time linear in its length, however often it repeats itself.
 *
 * Source: Blumer et al., "The smallest automaton recognizing the subwords of a text", Theoretical Computer Science 40,
 * 1985.
 *
 * @internal
 */
final class SuffixAutomaton
{
    /** @var array<int, array<array-key, int>> by state */
    private array $next = [[]];

    /** @var array<int, int> */
    private array $link = [-1];

    /** @var array<int, int> */
    private array $length = [0];

    /** @var array<int, int> where the first occurrence of a state's runs ends (exclusive) */
    private array $firstEnd = [0];

    /**
     * @param  list<int>  $words
     */
    public function __construct(array $words)
    {
        $last = 0;
        foreach ($words as $i => $word) {
            $last = $this->append($last, $word, $i + 1);
        }
    }

    /**
     * For every place in another text: the longest run ending there that stands in this text too, and where it first
     * ends here.
     *
     * @param  list<int>  $words
     * @return list<array{int, int}> length and end for each word
     */
    public function longestEndingAt(array $words): array
    {
        $state = 0;
        $length = 0;
        $found = [];
        foreach ($words as $word) {
            while ($state !== 0 && ! isset($this->next[$state][$word])) {
                $state = $this->link[$state];
                $length = $this->length[$state];
            }
            if (isset($this->next[$state][$word])) {
                $state = $this->next[$state][$word];
                $length++;
            }
            $found[] = [$length, $this->firstEnd[$state]];
        }

        return $found;
    }

    private function append(int $last, int $word, int $end): int
    {
        $new = $this->state([], $this->length[$last] + 1, $end);
        $at = $last;
        while ($at !== -1 && ! isset($this->next[$at][$word])) {
            $this->next[$at][$word] = $new;
            $at = $this->link[$at];
        }
        if ($at === -1) {
            $this->link[$new] = 0;

            return $new;
        }
        $target = $this->next[$at][$word];
        if ($this->length[$target] === $this->length[$at] + 1) {
            $this->link[$new] = $target;

            return $new;
        }
        $clone = $this->state($this->next[$target], $this->length[$at] + 1, $this->firstEnd[$target]);
        $this->link[$clone] = $this->link[$target];
        while ($at !== -1 && ($this->next[$at][$word] ?? null) === $target) {
            $this->next[$at][$word] = $clone;
            $at = $this->link[$at];
        }
        $this->link[$target] = $clone;
        $this->link[$new] = $clone;

        return $new;
    }

    /**
     * @param  array<array-key, int>  $next
     */
    private function state(array $next, int $length, int $firstEnd): int
    {
        $this->next[] = $next;
        $this->link[] = -1;
        $this->length[] = $length;
        $this->firstEnd[] = $firstEnd;

        return count($this->length) - 1;
    }
}
