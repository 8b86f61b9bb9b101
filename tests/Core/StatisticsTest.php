<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Agreement\Power;
use YoungHarbor\Core\Statistics\Beta;
use YoungHarbor\Core\Statistics\Gamma;
use YoungHarbor\Core\Statistics\Normal;
use YoungHarbor\Core\Statistics\StudentT;

/**
 * Distributions, against R 4 (pnorm, pt, qt, pbeta, lgamma; pt with ncp) and a published table.
 */
final class StatisticsTest extends TestCase
{
    public function test_the_normal_distribution_is_r_s(): void
    {
        foreach ([[-8.0, 6.220960574271786e-16], [-1.96, 0.024997895148220435], [0.0, 0.5], [1.0, 0.8413447460685429],
            [3.5, 0.9997673709209645]] as [$x, $share]) {
            self::assertEqualsWithDelta(1, Normal::cdf($x) / $share, 1e-8, "Φ({$x})");
        }
        self::assertSame(1.0, Normal::cdf(40));
        self::assertSame(0.0, Normal::cdf(-40));
    }

    public function test_gamma_and_beta_are_r_s(): void
    {
        self::assertEqualsWithDelta(359.13420536957540, Gamma::logarithm(100), 1e-10);
        self::assertEqualsWithDelta(1.2880225246980774, Gamma::logarithm(0.25), 1e-12);
        self::assertEqualsWithDelta(0.5248, Beta::incomplete(0.4, 2, 3), 1e-12); // 1 − 4·0.6³ + 3·0.6⁴, by hand
        self::assertEqualsWithDelta(0.827230936460238, Beta::incomplete(0.9, 4, 1.5), 1e-13);
        self::assertSame([0.0, 1.0], [Beta::incomplete(0, 2, 3), Beta::incomplete(1, 2, 3)]);
    }

    public function test_quantiles_of_t_are_those_of_the_tables(): void
    {
        // Two-sided 5 %: 12.706, 4.303, 2.228, 2.042, 1.984 (Fisher and Yates, "Statistical Tables", 1963, table III).
        foreach ([1 => 12.706, 2 => 4.303, 10 => 2.228, 30 => 2.042, 100 => 1.984] as $degrees => $value) {
            self::assertEqualsWithDelta($value, StudentT::quantile(0.975, $degrees), 0.0005);
            self::assertEqualsWithDelta(-$value, StudentT::quantile(0.025, $degrees), 0.0005);
            self::assertEqualsWithDelta(0.975, StudentT::cdf(StudentT::quantile(0.975, $degrees), $degrees), 1e-12);
        }
    }

    /**
     * @return iterable<string, array{float, float, float}>
     */
    public static function powers(): iterable
    {
        yield '9 degrees, 1.976' => [5 / 8 * sqrt(10), 9, 0.42313376];
        yield 'one degree' => [1.2, 1, 0.08204951];
        yield '30 degrees' => [3.1, 30, 0.85069515];
        yield 'hardly any difference' => [0.1, 2, 0.05046301];
        yield 'very many' => [2.5, 4999, 0.70525237];
    }

    #[DataProvider('powers')]
    public function test_the_noncentral_t_is_r_s_and_has_both_tails(
        float $noncentrality, float $degrees, float $power,
    ): void {
        self::assertEqualsWithDelta($power, StudentT::power($noncentrality, $degrees, 0.05), 5e-7);
        self::assertEqualsWithDelta($power, StudentT::power(-$noncentrality, $degrees, 0.05), 5e-7);
    }

    public function test_without_a_difference_alarms_come_as_often_as_was_said(): void
    {
        foreach ([1, 4, 50, 2000] as $degrees) {
            self::assertEqualsWithDelta(0.05, StudentT::power(0, $degrees, 0.05), 5e-7);
        }
    }

    public function test_scripts_for_a_wish_are_r_s_power_t_test_rounded_up(): void
    {
        // power.t.test(delta = 5, sd = 8, type = "one.sample", strict = TRUE): n = 22.09 for 0.8, 28.89 for 0.9.
        self::assertSame(23, Power::least(0.8, 8, 5, 0.05));
        self::assertSame(29, Power::least(0.9, 8, 5, 0.05));
        self::assertEqualsWithDelta(0.8648496, Power::of(26, 8, 5, 0.05), 1e-7);
        self::assertSame(2, Power::least(0.06, 1, 50, 0.05));
        self::assertNull(Power::least(0.8, 100, 0.000001, 0.05));
    }
}
