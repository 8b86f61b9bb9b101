<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * How likely a word is after the one before it, learnt from some texts, and asked of each text as if it had not been
 * among them.
 *
 * Interpolated Kneser-Ney smoothing of word pairs: R. Kneser, H. Ney, "Improved backing-off for m-gram language
 * modeling", ICASSP 1995; S. Chen, J. Goodman, "An empirical study of smoothing techniques for language modeling",
 * Computer Speech & Language 13, 1999. What is left over goes to all known words and one unknown alike. The discount is
 * fixed at 0.75, so that leaving a text out changes nothing but its counts.
 */
final class BigramModel
{
    private const DISCOUNT = 0.75;

    /** @var array<int, int> times, by pair */
    private array $pairs = [];

    /** @var array<int, int> times, by the first of a pair */
    private array $firsts = [];

    /** @var array<int, int> different pairs, by the first */
    private array $after = [];

    /** @var array<int, int> different pairs, by the second */
    private array $before = [];

    private int $different = 0;

    public function add(Sample $sample): void
    {
        foreach ($sample->pairs as $pair => $times) {
            $this->change($pair, $times);
        }
    }

    public function takeOut(Sample $sample): void
    {
        foreach ($sample->pairs as $pair => $times) {
            $this->change($pair, -$times);
        }
    }

    /**
     * Bits a word in each sentence of a text that is among those added, under the model of the others.
     *
     * @return list<float>
     */
    public function bits(Sample $sample): array
    {
        [$firsts, $after, $before, $gone] = $this->shareOf($sample);
        $different = $this->different - $gone;
        $known = count($this->before) - count(
            array_filter($before, fn (int $times, int $word) => $times === $this->before[$word], ARRAY_FILTER_USE_BOTH)
        );
        $uniform = 1 / ($known + 1);
        // What the discount of the lower order leaves over.
        $rest = $different > 0 ? self::DISCOUNT * $known / $different : 1.0;
        $bits = [];
        foreach ($sample->pairs as $pair => $own) {
            $first = intdiv($pair, Vocabulary::FACTOR);
            $second = $pair % Vocabulary::FACTOR;
            $lower = $rest * $uniform;
            if ($different > 0 && ($contexts = $this->before[$second] - ($before[$second] ?? 0)) > 0) {
                $lower += ($contexts - self::DISCOUNT) / $different;
            }
            $times = $this->firsts[$first] - $firsts[$first];
            $likely = $lower;
            if ($times > 0) {
                $together = $this->pairs[$pair] - $own;
                $likely = (
                    max(0, $together - self::DISCOUNT) + self::DISCOUNT * (
                        $this->after[$first] - ($after[$first] ?? 0)
                    ) * $lower
                ) / $times;
            }
            $bits[$pair] = -log($likely, 2);
        }

        return array_map(function (array $sentence) use ($bits): float {
            $sum = 0.0;
            foreach ($sentence as $pair => $times) {
                $sum += $times * $bits[$pair];
            }

            return $sum / max(1, array_sum($sentence));
        }, $sample->sentences);
    }

    /**
     * What would go with a text: times by first word, different pairs by first and by second, and those in all.
     *
     * @return array{array<int, int>, array<int, int>, array<int, int>, int}
     */
    private function shareOf(Sample $sample): array
    {
        $firsts = $after = $before = [];
        $gone = 0;
        foreach ($sample->pairs as $pair => $own) {
            $first = intdiv($pair, Vocabulary::FACTOR);
            $firsts[$first] = ($firsts[$first] ?? 0) + $own;
            if ($this->pairs[$pair] === $own) {
                $after[$first] = ($after[$first] ?? 0) + 1;
                $second = $pair % Vocabulary::FACTOR;
                $before[$second] = ($before[$second] ?? 0) + 1;
                $gone++;
            }
        }

        return [$firsts, $after, $before, $gone];
    }

    private function change(int $pair, int $by): void
    {
        $first = intdiv($pair, Vocabulary::FACTOR);
        $second = $pair % Vocabulary::FACTOR;
        $had = $this->pairs[$pair] ?? 0;
        $has = $had + $by;
        $this->firsts[$first] = ($this->firsts[$first] ?? 0) + $by;
        if ($had === 0 || $has === 0) {
            $step = $has === 0 ? -1 : 1;
            $this->different += $step;
            $this->after[$first] = ($this->after[$first] ?? 0) + $step;
            $this->before[$second] = ($this->before[$second] ?? 0) + $step;
            if ($this->before[$second] === 0) {
                unset($this->before[$second]);
            }
        }
        if ($has === 0) {
            unset($this->pairs[$pair]);
        } else {
            $this->pairs[$pair] = $has;
        }
    }
}
