<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * A text beside a baseline: how unusual it is, signal by signal and sentence by sentence.
 */
final readonly class ComparedText
{
    /**
     * @param  float  $score  how far the text lies from the baseline's
     * @param  list<float>  $others  how far each of those lies from the rest
     * @param  array<string, float|null>  $measures  by signal
     * @param  list<array<string, float|null>>  $baseline  the same of each text of the baseline
     * @param  list<float>  $bits  bits a word, by sentence
     * @param  array{float, float}  $usual  between which nine in ten sentences of the baseline lie
     */
    public function __construct(
        public float $score,
        public array $others,
        public array $measures,
        public array $baseline,
        public array $bits,
        public array $usual,
    ) {
    }

    public function conformal(): Conformal
    {
        return Conformal::of($this->score, $this->others);
    }

    /**
     * Each signal that could be measured, beside the baseline's.
     *
     * @return list<SignalReading>
     */
    public function signals(): array
    {
        $readings = [];
        foreach (Signal::cases() as $signal) {
            $value = $this->measures[$signal->value] ?? null;
            $values = array_values(
                array_filter(array_column($this->baseline, $signal->value), fn (?float $one) => $one !== null)
            );
            if ($value !== null && $values !== []) {
                $readings[] = SignalReading::of($signal, $value, $values);
            }
        }

        return $readings;
    }
}
