<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use YoungHarbor\Core\Statistics\Gamma;

/**
 * Peers' marks weighed by how reliable each reviewer was, with the reviewers' bias taken off.
 *
 * The model: mark = script + bias + error. Scripts are fixed, never pulled towards the cohort. A reviewer's bias is
 * normal around 0 with a variance that is estimated; the variance of their errors comes from an inverse gamma
 * distribution whose shape and scale are estimated from all reviewers (empirical Bayes on residual sums of squares, as
 * Smyth 2004, Statistical Applications in Genetics and Molecular Biology 3(1)). Scripts and biases solve the mixed
 * model equations (Henderson 1975, Biometrics 31); the variance of the biases is found by expectation and maximisation.
 * Errors of prediction leave out the covariances between reviewers' biases.
 *
 * A script's mark is the most likely one given its marks, each beside what its reviewer's other marks say of bias and
 * spread: a product of t distributions, so that one mark far from the rest weighs less. It is exactly the weighted mean
 * of the marks with their biases taken off. The interval is that of the same product. The same input gives the same
 * answer.
 */
final class Reliability
{
    private const ROUNDS = 27;

    private const SHAPES = [1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 7.0, 10.0];

    /** Of a variance, so that reviewers who agree to the digit are not trusted without end. */
    private const LEAST_VARIANCE = 0.25;

    private const GRID = 160;

    /** @var array<int, non-empty-list<int>> marks by script */
    private array $ofScript = [];

    /** @var array<int, non-empty-list<int>> marks by reviewer */
    private array $ofReviewer = [];

    /** @var list<int> of each mark */
    private array $script = [];

    /** @var list<int> of each mark */
    private array $reviewer = [];

    /** @var list<float> */
    private array $mark = [];

    /** @var array<int, true> scripts whose marks are known */
    private array $fixed = [];

    /** @var array<int, float> by script */
    private array $level = [];

    /** @var array<int, float> by reviewer */
    private array $bias = [];

    /** @var array<int, float> how well a bias is known: its variance of prediction, by reviewer */
    private array $biasVariance = [];

    /** @var array<int, float> 1 over the variance of errors, by reviewer */
    private array $precision = [];

    /** @var array<int, float> residual sums of squares, and what they are divided by to be a variance */
    private array $squares = [];

    /** @var array<int, float> */
    private array $degrees = [];

    /** @var array<int, float> error of prediction of a mark's fit, by mark */
    private array $fit = [];

    /** @var array<int, float> sums of precisions, by script */
    private array $sums = [];

    private float $ofBiases;

    private float $shape = 3.0;

    private float $scale;

    /**
     * @param  non-empty-list<PeerMark>  $peers
     * @param  array<string, float>  $known  marks of scripts that are known: set by staff, or of trial scripts
     */
    private function __construct(array $peers, private readonly array $known)
    {
        $scripts = $reviewers = [];
        foreach ($peers as $n => $one) {
            $s = $scripts[$one->script] ??= count($scripts);
            $r = $reviewers[$one->reviewer] ??= count($reviewers);
            $this->ofScript[$s][] = $n;
            $this->ofReviewer[$r][] = $n;
            [$this->script[], $this->reviewer[], $this->mark[]] = [$s, $r, $one->mark->toFloat()];
            ! isset($known[$one->script]) || $this->fixed[$s] = true;
        }
        $this->scripts = array_map(strval(...), array_keys($scripts));
        $this->reviewers = array_map(strval(...), array_keys($reviewers));
        $squares = 0.0;
        $free = 0;
        foreach ($this->ofScript as $s => $of) {
            $this->level[$s] = $known[$this->scripts[$s]]
                ?? array_sum(array_map(fn (int $n) => $this->mark[$n], $of)) / count($of);
            foreach ($of as $n) {
                $squares += ($this->mark[$n] - $this->level[$s]) ** 2;
            }
            $free += count($of) - ($this->isKnown($s) ? 0 : 1);
        }
        $variance = max(1.0, $squares / max(1, $free));
        $this->ofBiases = $variance / 3;
        $this->scale = 2 * $variance / 3;
        $this->bias = array_fill(0, count($this->reviewers), 0.0);
        $this->biasVariance = array_fill(0, count($this->reviewers), 1.0);
        $this->precision = array_fill(0, count($this->reviewers), 1 / $this->scale);
    }

    /** @var list<string> */
    private readonly array $scripts;

    /** @var list<string> */
    private readonly array $reviewers;

    /**
     * @param  non-empty-list<PeerMark>  $peers  no reviewer twice on one script
     * @param  array<string, float>  $known  by script: set by staff, or of trial scripts; they say how reviewers mark, and are
     *                                       no part of what their peers' marks come to
     * @param  int<0, 6>  $decimals
     * @return array{marks: list<CombinedMark>, reviewers: list<array{reviewer: string, bias: float, sd: float, reviews: int}>}
     */
    public static function of(array $peers, array $known, int $decimals): array
    {
        $self = new self($peers, $known);
        $self->estimate();
        $reviewers = [];
        foreach ($self->reviewers as $r => $reviewer) {
            $reviewers[] = [
                'reviewer' => $reviewer, 'bias' => $self->bias[$r], 'sd' => sqrt(1 / $self->precision[$r]),
                'reviews' => count($self->ofReviewer[$r]),
            ];
        }

        return [
            'marks' => array_map(fn (int $s) => $self->combined($s, $decimals), array_keys($self->scripts)),
            'reviewers' => $reviewers,
        ];
    }

    private function isKnown(int $script): bool
    {
        return isset($this->fixed[$script]);
    }

    private function estimate(): void
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $this->solve($round < 5 ? 12 : 5);
            $this->predictionErrors();
            $this->residuals();
            if ($round % 3 === 0 || $round === self::ROUNDS - 1) {
                $this->shapeAndScale();
            }
            foreach (array_keys($this->reviewers) as $r) {
                $this->precision[$r] = ($this->shape + $this->degrees[$r] / 2)
                    / ($this->shape * $this->scale + $this->squares[$r] / 2);
            }
            $sum = 0.0;
            foreach ($this->bias as $r => $bias) {
                $sum += $bias ** 2 + $this->biasVariance[$r];
            }
            $this->ofBiases = max(0.01, $sum / count($this->bias));
        }
    }

    /** Levels of scripts and biases of reviewers, each given the other, so many times. */
    private function solve(int $times): void
    {
        // Plain local lists: these loops are most of the work.
        [$level, $bias, $precision, $least] = [$this->level, $this->bias, $this->precision, 1 / $this->ofBiases];
        [$script, $reviewer, $mark, $scripts] = [$this->script, $this->reviewer, $this->mark, count($this->level)];
        $own = [];
        foreach ($this->ofReviewer as $r => $of) {
            $own[$r] = $precision[$r] / (count($of) * $precision[$r] + $least);
        }
        $sums = array_fill(0, $scripts, 0.0);
        foreach ($script as $n => $s) {
            $sums[$s] += $precision[$reviewer[$n]];
        }
        for ($k = 0; $k < $times; $k++) {
            $above = array_fill(0, $scripts, 0.0);
            foreach ($script as $n => $s) {
                $r = $reviewer[$n];
                $above[$s] += $precision[$r] * ($mark[$n] - $bias[$r]);
            }
            foreach ($above as $s => $one) {
                isset($this->fixed[$s]) || $level[$s] = $one / $sums[$s];
            }
            $sum = array_fill(0, count($bias), 0.0);
            foreach ($reviewer as $n => $r) {
                $sum[$r] += $mark[$n] - $level[$script[$n]];
            }
            foreach ($sum as $r => $one) {
                $bias[$r] = $own[$r] * $one;
            }
        }
        [$this->level, $this->bias] = [$level, $bias];
    }

    private function predictionErrors(): void
    {
        $precision = $this->precision;
        $sums = $own = [];
        foreach ($this->level as $s => $level) {
            $sums[$s] = 0.0;
        }
        foreach ($this->ofReviewer as $r => $of) {
            $own[$r] = count($of) * $precision[$r] + 1 / $this->ofBiases;
        }
        foreach ($this->script as $n => $s) {
            $sums[$s] += $precision[$this->reviewer[$n]];
        }
        foreach ($this->script as $n => $s) {
            $r = $this->reviewer[$n];
            $own[$r] -= isset($this->fixed[$s]) ? 0.0 : $precision[$r] ** 2 / $sums[$s];
        }
        foreach ($own as $r => $one) {
            $this->biasVariance[$r] = 1 / max(1e-9, $one);
        }
        $this->sums = $sums;
    }

    private function residuals(): void
    {
        [$precision, $sums, $variance] = [$this->precision, $this->sums, $this->biasVariance];
        $ofLevel = array_map(fn (float $sum) => 1 / $sum, $sums);
        foreach ($this->script as $n => $s) {
            $r = $this->reviewer[$n];
            $ofLevel[$s] += ($precision[$r] / $sums[$s]) ** 2 * $variance[$r];
        }
        $squares = $degrees = array_fill(0, count($precision), 0.0);
        $fit = [];
        foreach ($this->script as $n => $s) {
            $r = $this->reviewer[$n];
            $fit[$n] = max(0.0, isset($this->fixed[$s])
                ? $variance[$r] : $ofLevel[$s] + $variance[$r] - 2 * $precision[$r] / $sums[$s] * $variance[$r]);
            $squares[$r] += ($this->mark[$n] - $this->level[$s] - $this->bias[$r]) ** 2;
            $degrees[$r] += self::leftToError($fit[$n], $precision[$r]);
        }
        [$this->fit, $this->squares, $this->degrees] = [$fit, $squares, $degrees];
    }

    private function residual(int $mark): float
    {
        [$s, $r, $is] = [$this->script[$mark], $this->reviewer[$mark], $this->mark[$mark]];

        return $is - $this->level[$s] - $this->bias[$r];
    }

    /** How much of a mark is left to its error, of 1: the rest went into fitting script and bias. */
    private static function leftToError(float $fit, float $precision): float
    {
        return max(0.02, 1 - $fit * $precision);
    }

    /** The most likely shape of the distribution of error variances, of a few, with the most likely scale for each. */
    private function shapeAndScale(): void
    {
        $best = -INF;
        foreach (self::SHAPES as $shape) {
            $scale = max(self::LEAST_VARIANCE, array_sum($this->squares) / max(1e-9, array_sum($this->degrees)));
            for ($k = 0; $k < 12; $k++) {
                $sum = 0.0;
                foreach ($this->squares as $r => $squares) {
                    $sum += ($shape + $this->degrees[$r] / 2) / ($shape * $scale + $squares / 2);
                }
                $before = $scale;
                $scale = max(self::LEAST_VARIANCE, count($this->squares) / $sum);
                if (abs($scale - $before) < 1e-9 * $scale) {
                    break;
                }
            }
            $likely = count($this->squares) * ($shape * log($shape * $scale) - Gamma::logarithm($shape));
            foreach ($this->squares as $r => $squares) {
                $all = $shape + $this->degrees[$r] / 2;
                $likely += Gamma::logarithm($all) - $all * log($shape * $scale + $squares / 2);
            }
            if ($likely > $best) {
                [$best, $this->shape, $this->scale] = [$likely, $shape, $scale];
            }
        }
    }

    private function combined(int $script, int $decimals): CombinedMark
    {
        $seen = array_map($this->seen(...), $this->ofScript[$script]);
        $mark = array_sum(array_map(fn (array $one) => $one['mark'] / $one['variance'], $seen))
            / array_sum(array_map(fn (array $one) => 1 / $one['variance'], $seen));
        $weights = [];
        for ($k = 0; $k < 50; $k++) {
            $before = $mark;
            $weights = array_map(fn (array $one) => ($one['degrees'] + 1)
                / ($one['degrees'] * $one['variance'] + ($one['mark'] - $before) ** 2), $seen);
            $mark = array_sum(array_map(fn (array $one, float $weight) => $weight * $one['mark'], $seen, $weights))
                / array_sum($weights);
            if (abs($mark - $before) < 1e-9) {
                break;
            }
        }
        [$low, $high] = $this->interval($seen, $mark, sqrt(1 / array_sum($weights)));
        $mean = array_sum($weights) / count($weights);
        $named = [];
        foreach ($this->ofScript[$script] as $n => $of) {
            $named[$this->reviewers[$this->reviewer[$of]]] = $weights[$n] / $mean;
        }

        return new CombinedMark(
            $this->scripts[$script], Combining::rounded($mark, max(0, min(6, $decimals))),
            max(0.0, min(100.0, $low)), max(0.0, min(100.0, $high)), $named,
        );
    }

    /**
     * A mark with its reviewer's bias taken off, as their other marks show it, and how far it is to be trusted.
     *
     * @return array{mark: float, degrees: float, variance: float}
     */
    private function seen(int $mark): array
    {
        [$s, $r, $is] = [$this->script[$mark], $this->reviewer[$mark], $this->mark[$mark]];
        $own = $this->precision[$r];
        $shape = $this->shape + max(0.0, $this->degrees[$r] - self::leftToError($this->fit[$mark], $own)) / 2;
        $spread = $this->shape * $this->scale + max(0.0, $this->squares[$r] - $this->residual($mark) ** 2) / 2;
        $all = count($this->ofReviewer[$r]) * $own + 1 / $this->ofBiases;
        $bias = ($this->bias[$r] * $all - $own * ($is - $this->level[$s])) / max(1 / $this->ofBiases, $all - $own);
        $loses = $this->isKnown($s) ? $own : $own * (1 - $own / $this->sums[$s]);

        return [
            'mark' => $is - $bias, 'degrees' => 2 * $shape,
            'variance' => $spread / $shape + 1 / max(1 / $this->ofBiases, 1 / $this->biasVariance[$r] - $loses),
        ];
    }

    /**
     * Where the product of the t distributions has 95 in 100 of its weight, the tails alike.
     *
     * @param  list<array{mark: float, degrees: float, variance: float}>  $seen
     * @return array{float, float}
     */
    private function interval(array $seen, float $mark, float $sd): array
    {
        $from = $mark - 8 * $sd - 10;
        $step = (16 * $sd + 20) / self::GRID;
        $likely = array_fill(0, self::GRID + 1, 0.0);
        foreach ($seen as $one) {
            [$half, $wide, $away] = [
                ($one['degrees'] + 1) / 2, 1 / ($one['degrees'] * $one['variance']), $one['mark'] - $from,
            ];
            for ($n = 0; $n <= self::GRID; $n++) {
                $likely[$n] -= $half * log(1 + $wide * $away * $away);
                $away -= $step;
            }
        }
        $most = max($likely);
        $weight = array_map(fn (float $one) => exp($one - $most), $likely);
        $all = array_sum($weight);
        $found = [];
        $sum = 0.0;
        foreach ($weight as $n => $one) {
            $share = $one / $all;
            foreach ([0.025, 0.975] as $k => $tail) {
                if (! isset($found[$k]) && $sum + $share >= $tail) {
                    $found[$k] = $from + ($n - 0.5 + ($tail - $sum) / $share) * $step;
                }
            }
            $sum += $share;
        }

        return [$found[0] ?? $from, $found[1] ?? $mark + 8 * $sd + 10];
    }
}
