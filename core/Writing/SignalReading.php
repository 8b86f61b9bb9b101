<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * One signal of a text beside the baseline's range.
 */
final readonly class SignalReading
{
    /**
     * @param  float  $low  nine in ten texts of the baseline lie from here …
     * @param  float  $high  … to here
     * @param  int  $below  texts of the baseline with a lower value
     * @param  int  $above  texts with a higher one
     * @param  int  $of  texts of the baseline in which it could be measured
     */
    public function __construct(
        public Signal $signal,
        public float $value,
        public float $low,
        public float $high,
        public int $below,
        public int $above,
        public int $of,
    ) {
    }

    /**
     * @param  non-empty-list<float>  $values  of the baseline's texts
     */
    public static function of(Signal $signal, float $value, array $values): self
    {
        return new self(
            $signal, $value, Quantile::of($values, 0.05), Quantile::of($values, 0.95),
            count(array_filter($values, fn (float $one) => $one < $value)),
            count(array_filter($values, fn (float $one) => $one > $value)), count($values),
        );
    }

    public function isOutside(): bool
    {
        return $this->value < $this->low || $this->value > $this->high;
    }

    /** "the length of sentences varies less than in 48 of 50 trusted texts" */
    public function inWords(): string
    {
        $more = $this->below >= $this->above;

        return $this->signal->compared($more).' than in '.($more ? $this->below : $this->above)
            ." of {$this->of} trusted texts";
    }

    public function shown(float $value): string
    {
        return number_format($value, $this->signal->decimals(), '.', '');
    }
}
