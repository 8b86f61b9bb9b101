<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * Texts that are trusted, and what of them can serve as a baseline: those that belong, with what each of the others
 * lacks.
 */
final readonly class TrustedTexts
{
    /**
     * @param  array<array-key, Prose>  $texts  those that belong, by name
     * @param  array<array-key, string>  $misfits  why others do not, by name
     */
    private function __construct(
        public array $texts,
        public array $misfits,
    ) {
    }

    /**
     * @param  array<array-key, Prose>  $texts
     */
    public static function of(array $texts, int $least = Fit::LEAST_WORDS): self
    {
        $names = array_keys($texts);
        $misfits = [];
        foreach (Fit::misfits(array_values($texts), $least) as $place => $why) {
            $misfits[$names[$place]] = $why;
        }

        return new self(array_diff_key($texts, $misfits), $misfits);
    }

    public function size(): int
    {
        return count($this->texts);
    }

    /** The lowest alarm at which a text can be called unusual at all: 1 ÷ (n + 1). */
    public function lowestAlarm(): float
    {
        return 1 / ($this->size() + 1);
    }

    /**
     * @throws InvalidInput when there are too few for an alarm
     */
    public function mustSupport(float $alarm): void
    {
        $least = Conformal::least($alarm);
        if ($this->size() < $least) {
            throw InvalidInput::at(
                'baseline',
                "has {$this->size()} texts that belong; an alarm of {$alarm} needs at least {$least} (1/alarm − 1)",
            );
        }
    }

    public function baseline(): Baseline
    {
        return new Baseline(array_values($this->texts));
    }

    /**
     * @return list<string> the most frequent words of all of them
     */
    public function frequentWords(int $many): array
    {
        $counts = [];
        foreach ($this->texts as $text) {
            foreach ($text->words as $word) {
                $counts[$word] = ($counts[$word] ?? 0) + 1;
            }
        }

        return FrequentWords::of($counts, $many);
    }
}
