<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Random rubrics and marks against a second computation, with fractions of whole numbers written here: no code is
 * shared with the core.
 */
final class RubricPropertyTest extends TestCase
{
    public function test_totals_and_contributions_agree_with_fractions_worked_out_here(): void
    {
        mt_srand(20261123);
        for ($round = 0; $round < 400; $round++) {
            [$document, $marks] = $this->random();
            $score = Scorer::score(Rubric::fromArray($document), $marks);
            [$contributions, $total] = $this->independent($document, $marks);
            $sum = ['0', '1'];
            foreach ($score->lines as $line) {
                $fraction = [
                    (string) $line->contribution->getNumerator(), (string) $line->contribution->getDenominator(),
                ];
                self::assertTrue(
                    $this->same($contributions[$line->criterion->id()], $fraction),
                    json_encode([$document, $marks], JSON_THROW_ON_ERROR),
                );
                $sum = $this->plus($sum, $fraction);
            }
            self::assertTrue($this->same($total, $sum), 'the contributions sum to the total');
            self::assertSame($this->rounded($total, $document['decimals']), (string) $score->total);
        }
    }

    public function test_three_thirds_make_a_whole(): void
    {
        $criterion = fn (string $id, string $weight): array => [
            'id' => $id, 'title' => $id, 'weight' => $weight, 'kind' => 'scale', 'min' => '0', 'max' => '3',
            'step' => '1',
        ];
        $rubric = Rubric::fromArray(
            [
                'title' => 'T',
                'criteria' => [$criterion('a', '33.33'), $criterion('b', '33.33'), $criterion('c', '33.34')],
            ]
        );

        self::assertSame(
            '100.0',
            (string) Scorer::score(
                $rubric, ['a' => ['points' => '3'], 'b' => ['points' => '3'], 'c' => ['points' => '3']],
            )->total,
        );
        self::assertSame(
            '33.3',
            (string) Scorer::score(
                $rubric, ['a' => ['points' => '1'], 'b' => ['points' => '1'], 'c' => ['points' => '1']],
            )->total,
        );
    }

    public function test_half_is_rounded_up_once(): void
    {
        $rubric = fn (string $max): Rubric => Rubric::fromArray(
            [
                'title' => 'T',
                'criteria' => [
                    [
                        'id' => 'a', 'title' => 'A', 'weight' => '100', 'kind' => 'scale', 'min' => '0', 'max' => $max,
                        'step' => '0.01',
                    ],
                ],
            ]
        );
        // 69.05 and 69.95 lie on the half at one decimal; 69.049999 does not reach it.
        self::assertSame('69.1', (string) Scorer::score($rubric('100'), ['a' => ['points' => '69.05']])->total);
        self::assertSame('70.0', (string) Scorer::score($rubric('100'), ['a' => ['points' => '69.95']])->total);
        self::assertSame(
            '69.0',
            (string) Scorer::score(
                $rubric('100'), ['a' => ['points' => '69.049999', 'reason' => 'for the test']],
            )->total,
        );
    }

    /**
     * @return array{array<string, mixed>, array<string, array<string, mixed>>}
     */
    private function random(): array
    {
        $n = mt_rand(1, 8);
        $percent = mt_rand(0, 3) > 0;
        $cuts = [0, 10000];
        while (count($cuts) < $n + 1) {
            $cuts[] = mt_rand(1, 9999);
            $cuts = array_values(array_unique($cuts));
        }
        sort($cuts);
        $criteria = [];
        $marks = [];
        $dropped = 0;
        for ($i = 0; $i < $n; $i++) {
            $id = "k{$i}";
            $weight = $cuts[$i + 1] - $cuts[$i];
            $optional = mt_rand(0, 3) === 0;
            $max = mt_rand(1, 2000);
            $criteria[] = [
                'id' => $id, 'title' => "Criterion {$i}", 'optional' => $optional, 'kind' => 'scale', 'min' => '0',
                'max' => $this->hundredths($max), 'step' => '0.01',
            ] + ($percent ? ['weight' => $this->hundredths($weight)] : []);
            if ($optional && $dropped < $n - 1 && mt_rand(0, 1) === 0) {
                $marks[$id] = ['not_applicable' => true];
                $dropped++;
            } elseif (mt_rand(0, 9) > 0) {
                $marks[$id] = ['points' => $this->hundredths(mt_rand(0, $max))];
            }
        }

        return [
            [
                'title' => 'Random', 'weighting' => $percent ? 'percent' : 'points', 'decimals' => mt_rand(0, 3),
                'criteria' => $criteria,
            ],
            $marks,
        ];
    }

    /**
     * contribution = weight × points ÷ max, weights rescaled to 100 over what applies; whole numbers throughout.
     *
     * @param  array<string, mixed>  $document
     * @param  array<string, array<string, mixed>>  $marks
     * @return array{array<string, array{string, string}>, array{string, string}}
     */
    private function independent(array $document, array $marks): array
    {
        $applies = array_filter($document['criteria'], fn (array $c) => ! isset($marks[$c['id']]['not_applicable']));
        $percent = $document['weighting'] === 'percent';
        $whole = 0;
        foreach ($applies as $c) {
            $whole += (int) round(100 * (float) ($percent ? $c['weight'] : $c['max']));
        }
        $contributions = [];
        $total = ['0', '1'];
        foreach ($document['criteria'] as $c) {
            $points = (int) round(100 * (float) ($marks[$c['id']]['points'] ?? '0'));
            $max = (int) round(100 * (float) $c['max']);
            $weight = $percent ? (int) round(100 * (float) $c['weight']) : $max;
            $contributions[$c['id']] = isset($marks[$c['id']]['not_applicable']) ? ['0', '1']
                : (
                    $percent
                        ? [
                            bcmul(bcmul((string) $weight, (string) $points), '100'),
                            bcmul((string) $whole, (string) $max),
                        ]
                        : [(string) $points, '100']
                );
            $total = $this->plus($total, $contributions[$c['id']]);
        }

        return [$contributions, $total];
    }

    private function hundredths(int $n): string
    {
        return sprintf('%d.%02d', intdiv($n, 100), $n % 100);
    }

    /**
     * @param  array{string, string}  $a
     * @param  array{string, string}  $b
     * @return array{string, string}
     */
    private function plus(array $a, array $b): array
    {
        return [bcadd(bcmul($a[0], $b[1]), bcmul($b[0], $a[1])), bcmul($a[1], $b[1])];
    }

    /**
     * @param  array{string, string}  $a
     * @param  array{string, string}  $b
     */
    private function same(array $a, array $b): bool
    {
        return bccomp(bcmul($a[0], $b[1]), bcmul($b[0], $a[1])) === 0;
    }

    /**
     * Half up, by whole numbers: floor((2 × n × 10^d + m) ÷ (2 × m)).
     *
     * @param  array{string, string}  $fraction
     */
    private function rounded(array $fraction, int $decimals): string
    {
        $scaled = bcmul($fraction[0], bcpow('10', (string) $decimals));
        $whole = bcdiv(bcadd(bcmul($scaled, '2'), $fraction[1]), bcmul($fraction[1], '2'), 0);
        $digits = str_pad($whole, $decimals + 1, '0', STR_PAD_LEFT);

        return $decimals === 0 ? $digits : substr($digits, 0, -$decimals).'.'.substr($digits, -$decimals);
    }
}
