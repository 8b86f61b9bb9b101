<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * Trusted texts that others are compared with. Each of the n + 1 texts, the one asked about among them, is scored
 * against the other n by the same rule, and over the same length: the first words of each, as many as the shortest of
 * them has, rounded down to one of a few lengths. Most of what is measured would otherwise differ with length alone.
 */
final class Baseline
{
    /** Words whose proportions are compared. */
    private const FREQUENT = 100;

    /** Lengths over which texts are measured. */
    private const LENGTHS = [3000, 2500, 2000, 1600, 1300, 1000, 800, 650, 500, 400, 350, 300, 250, 200, 150, 100, 50];

    private Vocabulary $vocabulary;

    private BigramModel $model;

    /** @var list<Sample> */
    private array $samples = [];

    /** @var array<string, int> */
    private array $counts = [];

    /** Words over which the samples were taken. */
    private int $length = 0;

    /**
     * @param  list<Prose>  $texts  those that belong: see TrustedTexts
     */
    public function __construct(private readonly array $texts)
    {
        $this->prepare($this->length());
    }

    /** Words over which a text is measured that is as long, or over all of them without one. */
    public function length(?int $words = null): int
    {
        $shortest = min([$words ?? PHP_INT_MAX, ...array_map(fn (Prose $text) => $text->count(), $this->texts)]);

        foreach (self::LENGTHS as $length) {
            if ($length <= $shortest) {
                return $length;
            }
        }

        return self::LENGTHS[count(self::LENGTHS) - 1];
    }

    private function prepare(int $length): void
    {
        if ($this->length === $length) {
            return;
        }
        $this->length = $length;
        $this->vocabulary = new Vocabulary;
        $this->model = new BigramModel;
        $this->samples = $this->counts = [];
        foreach ($this->texts as $text) {
            $sample = Sample::of($text->first($length), $this->vocabulary);
            $this->samples[] = $sample;
            $this->model->add($sample);
            foreach ($sample->counts as $word => $times) {
                $this->counts[$word] = ($this->counts[$word] ?? 0) + $times;
            }
        }
    }

    public function size(): int
    {
        return count($this->samples);
    }

    /** Scores a text against the baseline, and each text of the baseline against the others and it. */
    public function compared(Prose $text): ComparedText
    {
        $this->prepare($this->length($text->count()));
        $asked = Sample::of($text->first($this->length), $this->vocabulary);
        $whole = Sample::of($text, $this->vocabulary);
        $this->model->add($whole);
        $bits = $this->model->bits($whole);
        $this->model->takeOut($whole);
        $this->model->add($asked);
        [$rows, $strips] = $this->measured([...$this->samples, $asked], $asked);
        $this->model->takeOut($asked);
        $scores = Unusualness::of($rows);
        $own = $scores[count($scores) - 1];

        $last = count($rows) - 1;

        return new ComparedText(
            $own, array_slice($scores, 0, -1), $rows[$last], array_slice($rows, 0, -1), $bits,
            self::range(array_merge([], ...array_slice($strips, 0, -1))),
        );
    }

    /**
     * How its texts spread, each measured against the others.
     *
     * @return array<string, array{low: float, middle: float, high: float}> by signal: nine in ten texts lie from low to high
     */
    public function spread(): array
    {
        if ($this->samples === []) {
            return [];
        }
        [$rows] = $this->measured($this->samples, null);
        $spread = [];
        foreach (Signal::cases() as $signal) {
            $values = array_values(
                array_filter(array_column($rows, $signal->value), fn (?float $value) => $value !== null)
            );
            if ($values !== []) {
                $spread[$signal->value] = [
                    'low' => Quantile::of($values, 0.05), 'middle' => Quantile::of($values, 0.5),
                    'high' => Quantile::of($values, 0.95),
                ];
            }
        }

        return $spread;
    }

    /**
     * @param  non-empty-list<Sample>  $all  every text of which is in the model
     * @return array{non-empty-list<array<string, float|null>>, non-empty-list<list<float>>} by signal, and bits a word by sentence
     */
    private function measured(array $all, ?Sample $asked): array
    {
        $rows = $strips = [];
        $distances = $this->functionWords($all, $asked);
        foreach ($all as $i => $sample) {
            $bits = $this->model->bits($sample);
            $strips[] = $bits;
            $rows[] = $sample->measures + [
                Signal::Predictability->value => self::mean($bits, $sample),
                Signal::PredictabilityVariation->value => self::deviation($bits),
                Signal::FunctionWords->value => $distances[$i],
            ];
        }

        return [$rows, $strips];
    }

    /**
     * @param  list<Sample>  $all
     * @return list<float> how far the proportions of frequent words lie from those of the others
     */
    private function functionWords(array $all, ?Sample $asked): array
    {
        $counts = $this->counts;
        foreach ($asked->counts ?? [] as $word => $times) {
            $counts[$word] = ($counts[$word] ?? 0) + $times;
        }
        $words = FrequentWords::of($counts, self::FREQUENT);
        $profiles = array_map(fn (Sample $sample) => FrequentWords::profile($sample->counts, $words), $all);
        $n = count($all);
        $sums = $squares = array_fill(0, count($words), 0.0);
        foreach ($profiles as $profile) {
            foreach ($profile as $j => $value) {
                $sums[$j] += $value;
                $squares[$j] += $value ** 2;
            }
        }

        return array_map(function (array $profile) use ($sums, $squares, $n): float {
            $distance = 0.0;
            foreach ($profile as $j => $value) {
                $mean = ($sums[$j] - $value) / max(1, $n - 1);
                $spread = sqrt(max(1e-12, ($squares[$j] - $value ** 2) / max(1, $n - 1) - $mean ** 2));
                $distance += min(10, abs($value - $mean) / $spread);
            }

            return $distance / max(1, count($profile));
        }, $profiles);
    }

    /**
     * @param  list<float>  $bits
     */
    private static function mean(array $bits, Sample $sample): ?float
    {
        $sum = 0.0;
        foreach ($sample->sentences as $n => $pairs) {
            $sum += $bits[$n] * array_sum($pairs);
        }

        return $sample->words === 0 ? null : $sum / $sample->words;
    }

    /**
     * @param  list<float>  $bits
     */
    private static function deviation(array $bits): ?float
    {
        $n = count($bits);
        if ($n < 2) {
            return null;
        }
        $mean = array_sum($bits) / $n;

        return sqrt(array_sum(array_map(fn (float $one) => ($one - $mean) ** 2, $bits)) / ($n - 1));
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float} between which nine in ten lie
     */
    private static function range(array $values): array
    {
        return [Quantile::of($values, 0.05), Quantile::of($values, 0.95)];
    }
}
