<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Which scripts of a cohort are marked a second time. The same marks, rule and seed give the same sample.
 *
 * Some are chosen for their first mark. From the rest so many are drawn as the rule asks for, by marker in proportion
 * to what remains of theirs (largest remainder; at least one each while the number allows), and within a marker
 * systematically over the marks in order from a random start, so that every part of the scale is there and every script
 * has the same chance (systematic sampling: W. G. Cochran, "Sampling Techniques", 1977, chapter 8).
 */
final readonly class Sample
{
    /**
     * @param  list<SampledScript>  $scripts  in the order they were given in
     */
    private function __construct(public array $scripts)
    {
    }

    /**
     * @param  list<FirstMark>  $marks  the scripts the sample is drawn from, one mark each
     * @param  list<BigDecimal>  $boundaries  where the second, third … band begins, rising
     * @param  int|null  $drawn  how many are drawn besides those chosen; as the rule asks for all of them when null
     *
     * @throws InvalidInput for no scripts, or one that stands twice
     */
    public static function draw(
        array $marks, SampleRule $rule, array $boundaries, int $seed, ?int $drawn = null,
    ): self {
        $marks !== [] || throw InvalidInput::at('', 'there is no script to choose from');
        foreach (array_count_values(array_map(fn (FirstMark $one) => $one->script, $marks)) as $script => $times) {
            $times === 1 || throw InvalidInput::at('script', "{$script} stands there {$times} times");
        }
        $found = [];
        $rest = [];
        foreach ($marks as $one) {
            $reasons = $rule->reasons($one->mark, $boundaries);
            if ($reasons !== []) {
                $found[$one->script] = new SampledScript($one->script, $one->marker, $reasons, BigRational::one());
            } else {
                $rest[$one->marker][] = $one;
            }
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        ksort($rest, SORT_STRING);
        $remaining = array_map(count(...), $rest);
        foreach (self::numbers($remaining, $drawn ?? $rule->wanted(count($marks))) as $marker => $number) {
            foreach (self::systematic($rest[$marker], $number, $random) as $one) {
                $found[$one->script] = new SampledScript(
                    $one->script, $one->marker, [new SampleReason(WhySampled::Drawn)],
                    BigRational::nd($number, $remaining[$marker])->simplified(),
                );
            }
        }
        $inOrder = [];
        foreach ($marks as $one) {
            isset($found[$one->script]) && $inOrder[] = $found[$one->script];
        }

        return new self($inOrder);
    }

    /**
     * What several draws together came to: the chance of each drawn script of a marker.
     *
     * @param  int  $drawn  of theirs in all, above 0
     * @param  int  $left  of theirs that were never drawn
     */
    public static function chanceInAll(int $drawn, int $left): BigRational
    {
        return BigRational::nd($drawn, $drawn + $left)->simplified();
    }

    /**
     * @return array<string, int> scripts in the sample by their first marker
     */
    public function byMarker(): array
    {
        $counts = array_count_values(array_map(fn (SampledScript $one) => $one->marker, $this->scripts));
        ksort($counts, SORT_STRING);

        return $counts;
    }

    /** How many are in it by lot alone. */
    public function drawn(): int
    {
        return count(array_filter($this->scripts, fn (SampledScript $one) => $one->isDrawn()));
    }

    /**
     * How many are drawn of each marker's: in proportion to what remains, by largest remainder. Nothing here is by lot,
     * so that a script's chance is its marker's number over what remains of theirs.
     *
     * @param  array<array-key, int>  $remaining
     * @return array<array-key, int>
     */
    private static function numbers(array $remaining, int $wanted): array
    {
        $all = array_sum($remaining);
        $wanted = min($wanted, $all);
        if ($wanted === 0) {
            return [];
        }
        $numbers = array_map(fn (int $has) => intdiv($wanted * $has, $all), $remaining);
        $left = array_map(fn (int $has) => $wanted * $has % $all, $remaining);
        $order = array_keys($remaining);
        usort(
            $order,
            fn (string|int $a, string|int $b) => [$left[$b], $remaining[$b], (string) $a]
                <=> [$left[$a], $remaining[$a], (string) $b],
        );
        foreach (array_slice($order, 0, $wanted - array_sum($numbers)) as $marker) {
            $numbers[$marker]++;
        }
        // At least one each, from those who are furthest above their part.
        while ($wanted >= count($numbers) && in_array(0, $numbers, true)) {
            $above = [];
            foreach ($numbers as $marker => $number) {
                $above[$marker] = $number > 1 ? $number * $all - $wanted * $remaining[$marker] : PHP_INT_MIN;
            }
            arsort($above);
            $numbers[array_key_first($above)]--;
            $numbers[array_search(0, $numbers, true)]++;
        }

        return $numbers;
    }

    /**
     * @param  list<FirstMark>  $marks
     * @return list<FirstMark>
     */
    private static function systematic(array $marks, int $number, Randomizer $random): array
    {
        usort(
            $marks,
            fn (FirstMark $a, FirstMark $b) => $a->mark->compareTo($b->mark) ?: strcmp($a->script, $b->script),
        );
        $start = $random->getInt(0, count($marks) - 1);
        $found = [];
        for ($k = 0; $k < $number; $k++) {
            $found[] = $marks[intdiv($start + $k * count($marks), $number)];
        }

        return $found;
    }
}
