<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Where the style of a text turns: at each boundary of paragraphs, what stands before it is compared with what stands
 * after it.
 *
 * The measure is the sum, over the most frequent words of the language and the lengths of sentences, of the squared
 * difference of the two sides, each divided by what chance alone would make of it. The paragraphs are then put into
 * other orders at random; the permutation p-value of a boundary is the share of orders in which any boundary comes out
 * as large, itself included. Taking the largest of all boundaries corrects for their number: P. Westfall, S. Young,
 * Resampling-Based Multiple Testing, 1993.
 *
 * Paragraphs of one hand that follow each other are more alike than any two, because the subject moves on, and orders
 * at random do not know that. So the largest difference is held against the largest of each text of a baseline too, and
 * the larger of the two p-values is what is said.
 */
final readonly class Turns
{
    /** Words of the language whose shares are compared. */
    public const FREQUENT = 40;

    /** Words a side needs, and words a paragraph is filled up to before a boundary is looked at. */
    private const LEAST_SIDE = 150;

    private const LEAST_BLOCK = 50;

    private const LEAST_BLOCKS = 4;

    private const ORDERS = 199;

    /** What the lengths of sentences count for, beside one word. Our own. */
    private const LENGTHS = 3;

    /**
     * @param  list<Turn>  $boundaries  in order
     */
    private function __construct(public array $boundaries)
    {
    }

    /**
     * @param  list<string>  $words  the most frequent ones of the baseline
     * @return self|null every boundary looked at; null for a text with too few paragraphs
     */
    public static function of(Prose $text, array $words): ?self
    {
        $blocks = self::blocks($text);
        if (count($blocks) < self::LEAST_BLOCKS) {
            return null;
        }
        $vectors = array_map(fn (array $block) => self::vector($text, $block, $words), $blocks);
        $observed = self::measured($vectors);
        if ($observed === []) {
            return null;
        }
        // The same text gives the same answer each time.
        $random = new Randomizer(new Mt19937(crc32(implode(' ', $text->words))));
        $largest = [];
        for ($n = 0; $n < self::ORDERS; $n++) {
            $largest[] = max([0.0, ...self::measured($random->shuffleArray($vectors))]);
        }
        $mean = array_sum($largest) / self::ORDERS;
        $spread = sqrt(array_sum(array_map(fn (float $one) => ($one - $mean) ** 2, $largest)) / (self::ORDERS - 1));
        $turns = [];
        foreach ($observed as $at => $value) {
            $p = (1 + count(array_filter($largest, fn (float $one) => $one >= $value - 1e-9))) / (1 + self::ORDERS);
            $turns[] = new Turn(
                $text->sentences[$blocks[$at][0]]['at'], $p, $spread > 0 ? ($value - $mean) / $spread : 0.0,
            );
        }

        return new self($turns);
    }

    public function largest(): float
    {
        return max(-INF, ...array_map(fn (Turn $turn) => $turn->difference, $this->boundaries));
    }

    /**
     * The same boundaries, none with a smaller p-value than texts of a baseline allow.
     *
     * @param  list<float>  $others  the largest difference of each text of the baseline that has one
     */
    public function beside(array $others): self
    {
        return new self(
            array_map(
                fn (Turn $turn) => new Turn(
                    $turn->at, max($turn->p, Conformal::of($turn->difference, $others)->p()), $turn->difference,
                ),
                $this->boundaries,
            )
        );
    }

    /**
     * The boundary that differs most in each stretch of the text, where its p-value is small enough.
     *
     * @return list<Turn>
     */
    public function upTo(float $p): array
    {
        $kept = [];
        foreach ($this->boundaries as $n => $turn) {
            $before = $this->boundaries[$n - 1]->difference ?? -INF;
            $after = $this->boundaries[$n + 1]->difference ?? -INF;
            if ($turn->p <= $p + 1e-9 && $turn->difference >= $before && $turn->difference > $after) {
                $kept[] = $turn;
            }
        }

        return $kept;
    }

    /**
     * Paragraphs as lists of sentences; short ones are joined to the next.
     *
     * @return list<non-empty-list<int>>
     */
    private static function blocks(Prose $text): array
    {
        $blocks = [];
        $block = [];
        $words = 0;
        foreach ($text->sentences as $n => $sentence) {
            if (
                $block !== [] && $sentence['paragraph'] !== $text->sentences[$n - 1]['paragraph']
                && $words >= self::LEAST_BLOCK
            ) {
                $blocks[] = $block;
                [$block, $words] = [[], 0];
            }
            $block[] = $n;
            $words += $sentence['words'];
        }
        if ($block !== [] && $words < self::LEAST_BLOCK && $blocks !== []) {
            array_push($blocks[count($blocks) - 1], ...$block);
        } elseif ($block !== []) {
            $blocks[] = $block;
        }

        return $blocks;
    }

    /**
     * Words, how often each frequent word stands there; then sentences, the logarithms of their lengths, and their
     * squares.
     *
     * @param  non-empty-list<int>  $block
     * @param  list<string>  $frequent
     * @return non-empty-list<float>
     */
    private static function vector(Prose $text, array $block, array $frequent): array
    {
        $counts = [];
        $logs = $squares = 0.0;
        foreach ($block as $n) {
            $logs += log($text->sentences[$n]['words']);
            $squares += log($text->sentences[$n]['words']) ** 2;
            foreach ($text->sentence($n) as $word) {
                $counts[$word] = ($counts[$word] ?? 0) + 1;
            }
        }

        return [
            (float) array_sum($counts), ...array_map(fn (string $word) => (float) ($counts[$word] ?? 0), $frequent),
            (float) count($block), $logs, $squares,
        ];
    }

    /**
     * @param  list<non-empty-list<float>>  $vectors
     * @return array<int, float> by the block after the boundary
     */
    private static function measured(array $vectors): array
    {
        $width = count($vectors[0]);
        $all = array_fill(0, $width, 0.0);
        foreach ($vectors as $vector) {
            foreach ($vector as $j => $value) {
                $all[$j] += $value;
            }
        }
        $before = array_fill(0, $width, 0.0);
        $found = [];
        foreach ($vectors as $at => $vector) {
            if ($before[0] >= self::LEAST_SIDE && $all[0] - $before[0] >= self::LEAST_SIDE) {
                $found[$at] = self::difference($before, $all, $width);
            }
            foreach ($vector as $j => $value) {
                $before[$j] += $value;
            }
        }

        return $found;
    }

    /**
     * @param  array<int, float>  $before
     * @param  array<int, float>  $all
     */
    private static function difference(array $before, array $all, int $width): float
    {
        [$n, $m] = [$before[0], $all[0] - $before[0]];
        $sum = 0.0;
        for ($j = 1; $j < $width - 3; $j++) {
            $share = $all[$j] / $all[0];
            $sum += (
                $before[$j] / $n - ($all[$j] - $before[$j]) / $m
            ) ** 2 / max(1e-9, $share * (1 - $share) * (1 / $n + 1 / $m));
        }
        [$sentences, $logs, $squares] = [$width - 3, $width - 2, $width - 1];
        [$n, $m] = [$before[$sentences], $all[$sentences] - $before[$sentences]];
        $variance = $all[$squares] / $all[$sentences] - ($all[$logs] / $all[$sentences]) ** 2;
        $lengths = (
            $before[$logs] / $n - ($all[$logs] - $before[$logs]) / $m
        ) ** 2 / max(1e-9, $variance * (1 / $n + 1 / $m));

        return $sum + self::LENGTHS * $lengths;
    }
}
