<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * What students are asked to write about their feedback, and whether their mark waits for it.
 */
final readonly class Reflection implements JsonForm
{
    public const MOST_WORDS = 1000;

    private const LONGEST = 2000;

    /**
     * @param  string  $prompt  what to write about; "" where no reflection is asked for
     * @param  int<0, 1000>  $words  at least
     * @param  int<1, 90>  $days  after release until it is to be written, and after which a mark that waits shows anyway
     * @param  bool  $markersRead  whether markers read it, by script code; else coordinators alone
     * @param  MarkAfter|null  $markAfter  what comes before the mark; null: nothing
     */
    private function __construct(
        public string $prompt, public int $words, public int $days, public bool $markersRead,
        public ?MarkAfter $markAfter,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"prompt": "…", "words": 50, "days": 7, "markers_read": true,
     *                                             "mark_after": "reflected"}; what is left out is as usual
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['prompt', 'words', 'days', 'markers_read', 'mark_after']);
        $document += ['prompt' => '', 'words' => 0, 'days' => 7, 'markers_read' => true, 'mark_after' => null];
        $after = is_string($document['mark_after']) ? MarkAfter::tryFrom($document['mark_after']) : null;
        $document['mark_after'] === null || $after !== null || $in->fault('mark_after', 'must be "opened" or "reflected"');
        $prompt = trim($in->text($document, 'prompt', 'prompt', self::LONGEST));
        $after === MarkAfter::Reflected && $prompt === ''
            && $in->fault('prompt', 'must say what to write about, since the mark waits for it');
        $reflection = new self(
            $prompt, max(0, min(self::MOST_WORDS, $in->whole($document, 'words', 'words', 0, self::MOST_WORDS))),
            max(1, min(Settings::MOST_DAYS, $in->whole($document, 'days', 'days', 1, Settings::MOST_DAYS))),
            $in->flag($document, 'markers_read', 'markers_read', true), $after,
        );
        $in->throwFaults();

        return $reflection;
    }

    /**
     * @return array{prompt: string, words: int, days: int, markers_read: bool, mark_after: string|null}
     */
    public function toArray(): array
    {
        return [
            'prompt' => $this->prompt, 'words' => $this->words, 'days' => $this->days,
            'markers_read' => $this->markersRead, 'mark_after' => $this->markAfter?->value,
        ];
    }

    public function isAskedFor(): bool
    {
        return $this->prompt !== '';
    }

    /**
     * Whether a student's mark still waits.
     *
     * @param  bool  $asked  whether they asked for it after opening the feedback
     * @param  bool  $written  whether their reflection is there
     * @param  bool  $over  whether the days are over
     */
    public function holdsMarkBack(bool $asked, bool $written, bool $over): bool
    {
        return match ($this->markAfter) {
            null => false,
            MarkAfter::Opened => ! $asked && ! $over,
            MarkAfter::Reflected => ! $written && ! $over,
        };
    }
}
