<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * A reflection that is asked for without a hand-in: its prompts, how much to write, and who reads it.
 */
final readonly class SheetSettings implements JsonForm
{
    public const MOST_PROMPTS = 6;

    public const MOST_WORDS = 1000;

    public const LONGEST = 500;

    /**
     * @param  list<string>  $prompts  each answered on its own; one to six
     * @param  int<0, 1000>  $words  at least, for each
     * @param  bool  $teamReads  whether everyone who marks in the module reads it; else coordinators alone
     */
    private function __construct(public array $prompts, public int $words, public bool $teamReads)
    {
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
        $in->onlyKeys($document, ['prompts', 'words', 'team_reads']);
        $document += [
            'prompts' => ['What did you do?', 'What surprised you?', 'What will you do differently?'], 'words' => 20,
            'team_reads' => false,
        ];
        $prompts = [];
        foreach ($in->map($document, 'prompts', 'prompts') as $one) {
            is_string($one) && trim($one) !== '' && mb_strlen($one) <= self::LONGEST
                ? $prompts[trim($one)] = trim($one)
                : $in->fault('prompts', 'must be texts of 1 to '.self::LONGEST.' characters');
        }
        $prompts !== [] && count($prompts) <= self::MOST_PROMPTS
            || $in->fault('prompts', 'must be one to '.self::MOST_PROMPTS.' different ones');
        $settings = new self(
            array_values($prompts), max(0, min(self::MOST_WORDS, $in->whole($document, 'words', 'words', 0, self::MOST_WORDS))),
            $in->flag($document, 'team_reads', 'team_reads', false),
        );
        $in->throwFaults();

        return $settings;
    }

    public function toArray(): array
    {
        return ['prompts' => $this->prompts, 'words' => $this->words, 'team_reads' => $this->teamReads];
    }
}
