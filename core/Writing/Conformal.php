<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * The conformal p-value: the share of n + 1 texts that are at least as unusual as the one asked about, itself included.
 *
 * When the text was written as the others were, p is at most any alarm in at most that share of cases, on average over
 * baselines, whatever the score is: V. Vovk, A. Gammerman, G. Shafer, Algorithmic Learning in a Random World, 2005. It
 * says nothing of how likely it is that a text with a small p was written otherwise.
 */
final readonly class Conformal
{
    /**
     * @param  int  $atLeast  texts at least as unusual, the one asked about included
     * @param  int  $of  texts in all
     */
    private function __construct(
        public int $atLeast,
        public int $of,
    ) {
    }

    /**
     * @param  list<float>  $others  scores of the baseline's texts
     */
    public static function of(float $score, array $others): self
    {
        return new self(1 + count(array_filter($others, fn (float $other) => $other >= $score)), count($others) + 1);
    }

    /**
     * As it was counted before.
     *
     * @param  int  $atLeast  1 to $of
     */
    public static function counted(int $atLeast, int $of): self
    {
        return new self($atLeast, $of);
    }

    public function p(): float
    {
        return $this->atLeast / $this->of;
    }

    public function isUnusual(float $alarm): bool
    {
        // In whole numbers where that decides: 0.05 of 20 is 1.
        return $this->atLeast <= $alarm * $this->of + 1e-9;
    }

    /** Texts a baseline needs so that a text can be called unusual at an alarm at all. */
    public static function least(float $alarm): int
    {
        return max(1, (int) ceil(1 / $alarm - 1 - 1e-9));
    }
}
