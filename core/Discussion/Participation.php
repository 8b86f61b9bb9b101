<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Discussion;

use DateTimeImmutable;

/**
 * What one student wrote in a discussion, in numbers: facts, and no mark. A piece with fewer words than asked for is
 * there to be read and marked like any other; it only does not count among those that were asked for.
 */
final readonly class Participation
{
    /**
     * @param  int  $posts  that begin a thread and are as long as asked for
     * @param  int  $replies  that answer, likewise
     * @param  int  $short  pieces of fewer words
     * @param  int  $words  of all pieces
     * @param  DateTimeImmutable|null  $first  when the first of them was posted
     */
    private function __construct(
        public int $posts, public int $replies, public int $short, public int $words, public ?DateTimeImmutable $first,
    ) {
    }

    /**
     * @param  list<array{reply: bool, words: int, at: DateTimeImmutable}>  $pieces  that stand: none taken back
     */
    public static function of(array $pieces, Settings $asked): self
    {
        $posts = $replies = $short = $words = 0;
        $first = null;
        foreach ($pieces as ['reply' => $reply, 'words' => $length, 'at' => $at]) {
            $words += $length;
            $first = $first === null || $at < $first ? $at : $first;
            match (true) {
                $length < $asked->words => $short++,
                $reply => $replies++,
                default => $posts++,
            };
        }

        return new self($posts, $replies, $short, $words, $first);
    }

    public function pieces(): int
    {
        return $this->posts + $this->replies + $this->short;
    }

    /**
     * How many are missing of what was asked for.
     *
     * @return array{posts: int, replies: int}
     */
    public function missing(Settings $asked): array
    {
        return ['posts' => max(0, $asked->posts - $this->posts), 'replies' => max(0, $asked->replies - $this->replies)];
    }

    public function isBelow(Settings $asked): bool
    {
        return array_sum($this->missing($asked)) > 0;
    }
}
