<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Discussion;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * How students discuss, and what is asked of each; its times are the assignment's.
 */
final readonly class Settings implements JsonForm
{
    public const MOST_PIECES = 50;

    public const MOST_WORDS = 2000;

    /** Minutes: a week. */
    public const MOST_MINUTES = 10_080;

    private const USUAL = [
        'audience' => 'all', 'posts' => 1, 'replies' => 2, 'words' => 50, 'own_first' => false, 'names' => true,
        'edit_minutes' => 30, 'goes_on' => false,
    ];

    /**
     * @param  int<0, 50>  $posts  asked of each student: pieces that begin a thread
     * @param  int<0, 50>  $replies  and that answer
     * @param  int<0, 2000>  $words  of a piece that counts, at least
     * @param  bool  $ownFirst  whether a student sees what others wrote in a topic only after a post of their own there
     * @param  bool  $names  whether students see each other's names; else script codes
     * @param  int<0, 10080>  $editMinutes  in which a writer may change a piece; 0: never
     * @param  bool  $goesOn  whether students may write on after the close; that is not marked
     */
    private function __construct(
        public Audience $audience, public int $posts, public int $replies, public int $words, public bool $ownFirst,
        public bool $names, public int $editMinutes, public bool $goesOn,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  what is left out is as usual
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, array_keys(self::USUAL));
        $document += self::USUAL;
        $whole = fn (string $key, int $most): int => $in->whole($document, $key, $key, 0, $most);
        $flag = fn (string $key): bool => $in->flag($document, $key, $key, false);
        $audience = is_string($document['audience']) ? Audience::tryFrom($document['audience']) : null;
        $audience === null && $in->fault('audience', 'must be all, section or group');
        $settings = new self(
            $audience ?? Audience::All, max(0, min(self::MOST_PIECES, $whole('posts', self::MOST_PIECES))),
            max(0, min(self::MOST_PIECES, $whole('replies', self::MOST_PIECES))),
            max(0, min(self::MOST_WORDS, $whole('words', self::MOST_WORDS))), $flag('own_first'), $flag('names'),
            max(0, min(self::MOST_MINUTES, $whole('edit_minutes', self::MOST_MINUTES))), $flag('goes_on'),
        );
        $in->throwFaults();

        return $settings;
    }

    public function toArray(): array
    {
        return [
            'audience' => $this->audience->value, 'posts' => $this->posts, 'replies' => $this->replies,
            'words' => $this->words, 'own_first' => $this->ownFirst, 'names' => $this->names,
            'edit_minutes' => $this->editMinutes, 'goes_on' => $this->goesOn,
        ];
    }
}
