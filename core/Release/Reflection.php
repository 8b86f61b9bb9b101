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

    public const MOST_PROMPTS = 5;

    public const LONGEST = 500;

    /**
     * @param  list<string>  $prompts  what to write about, each answered on its own; none: no reflection is asked for
     * @param  int<0, 1000>  $words  at least, for each
     * @param  int<1, 90>  $days  after release until it is to be written, and after which a mark that waits shows anyway
     * @param  bool  $markersRead  whether markers read it, by script code; else coordinators alone
     * @param  MarkAfter|null  $markAfter  what comes before the mark; null: nothing
     */
    private function __construct(
        public array $prompts, public int $words, public int $days, public bool $markersRead,
        public ?MarkAfter $markAfter,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"prompts": ["…"], "words": 50, "days": 7, "markers_read": true,
     *                                             "mark_after": "reflected"}; what is left out is as usual
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['prompts', 'words', 'days', 'markers_read', 'mark_after']);
        $document += ['prompts' => [], 'words' => 0, 'days' => 7, 'markers_read' => true, 'mark_after' => null];
        $after = is_string($document['mark_after']) ? MarkAfter::tryFrom($document['mark_after']) : null;
        $document['mark_after'] === null || $after !== null || $in->fault('mark_after', 'must be "opened" or "reflected"');
        $prompts = self::prompts($in, $in->map($document, 'prompts', 'prompts'));
        $after === MarkAfter::Reflected && $prompts === []
            && $in->fault('prompts', 'must say what to write about, since the mark waits for it');
        $reflection = new self(
            $prompts, max(0, min(self::MOST_WORDS, $in->whole($document, 'words', 'words', 0, self::MOST_WORDS))),
            max(1, min(Settings::MOST_DAYS, $in->whole($document, 'days', 'days', 1, Settings::MOST_DAYS))),
            $in->flag($document, 'markers_read', 'markers_read', true), $after,
        );
        $in->throwFaults();

        return $reflection;
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<string>
     */
    private static function prompts(Document $in, array $given): array
    {
        count($given) > self::MOST_PROMPTS && $in->fault('prompts', 'has '.count($given).' entries; at most 5 are possible');
        $prompts = [];
        foreach (array_keys($given) as $i => $key) {
            $prompts[] = trim($in->text($given, (string) $key, "prompts[{$i}]", self::LONGEST, true));
        }

        return $prompts;
    }

    /**
     * @return array{prompts: list<string>, words: int, days: int, markers_read: bool, mark_after: string|null}
     */
    public function toArray(): array
    {
        return [
            'prompts' => $this->prompts, 'words' => $this->words, 'days' => $this->days,
            'markers_read' => $this->markersRead, 'mark_after' => $this->markAfter?->value,
        ];
    }

    public function isAskedFor(): bool
    {
        return $this->prompts !== [];
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
