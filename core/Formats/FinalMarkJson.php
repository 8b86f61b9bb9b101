<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\FinalSteps;
use YoungHarbor\Core\Marks\Scaling;

/**
 * A settled mark with what happens to it, as JSON, and the mark that comes of it with its working.
 */
final class FinalMarkJson
{
    private const KEYS = [
        'decimals', 'max', 'settled', 'scaling', 'factor', 'late', 'over_length', 'cap', 'adjust', 'bands',
    ];

    private const MOST_BANDS = 100;

    /** Points of a map, no more. */
    private const MOST_POINTS = 1000;

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array{mark: string, band: string|null, working: list<array{step: string, value: string}>}
     *
     * @throws InvalidInput naming each fault with its place
     */
    public static function answer(array $asked): array
    {
        $in = new Document;
        $in->onlyKeys($asked, self::KEYS);
        $decimals = isset($asked['decimals']) ? $in->whole($asked, 'decimals', 'decimals', 0, 6) : 0;
        $max = isset($asked['max']) ? $in->decimal($asked, 'max', 'max') : BigDecimal::of(100);
        $max->isPositive() || $in->fault('max', 'must be above 0');
        $settled = self::fraction($asked['settled'] ?? null, $in);
        if ($settled->isLessThan(0) || $settled->isGreaterThan($max)) {
            $in->fault('settled', "must be from 0 to {$max}");
        }
        $late = self::part($asked, 'late', ['off', 'floor'], $in);
        $over = self::part($asked, 'over_length', ['off'], $in);
        $adjust = self::part($asked, 'adjust', ['by', 'reason'], $in);
        $factor = isset($asked['factor']) ? $in->decimal($asked, 'factor', 'factor') : null;
        $cap = isset($asked['cap']) ? $in->decimal($asked, 'cap', 'cap') : null;
        $off = $late === null ? BigDecimal::zero() : $in->decimal($late, 'off', 'late.off');
        $floor = isset($late['floor']) ? $in->decimal($late, 'floor', 'late.floor') : BigDecimal::zero();
        $tooLong = $over === null ? BigDecimal::zero() : $in->decimal($over, 'off', 'over_length.off');
        $by = $adjust === null ? BigDecimal::zero() : self::signed($adjust['by'] ?? null, 'adjust.by', $in);
        if ($adjust !== null) {
            $in->text($adjust, 'reason', 'adjust.reason', 2000);
        }
        $scaling = self::scaling($asked, $settled, $in);
        $bands = self::bands($asked, $in);
        $in->throwFaults();
        $steps = new FinalSteps($max, $scaling, $factor, $off, $floor, $tooLong, $cap, $by);
        $found = $steps->of($settled, max(0, min(6, $decimals)));
        $band = null;
        foreach ($bands as ['title' => $title, 'from' => $from]) {
            $band = $found['mark']->isGreaterThanOrEqualTo($from) ? $title : $band;
        }

        return [
            'mark' => (string) $found['mark'], 'band' => $band, 'working' => array_map(
                fn (array $one) => ['step' => $one['step'], 'value' => Figure::exact($one['value'])], $found['working'],
            ),
        ];
    }

    /** A decimal, or n/d. */
    private static function fraction(mixed $value, Document $in): BigRational
    {
        if (is_string($value) && preg_match('~\A\d{1,15}/[1-9]\d{0,14}\z~', $value) === 1) {
            return BigRational::of($value)->simplified();
        }
        $number = Document::parse($value);
        $number === null && $in->fault('settled', 'must be a decimal in quotation marks such as "58.25", or "n/d"');

        return ($number ?? BigDecimal::zero())->toBigRational();
    }

    private static function signed(mixed $value, string $place, Document $in): BigDecimal
    {
        $text = is_string($value) ? $value : '';
        $number = Document::parse(preg_replace('/\A-/', '', $text));
        $number === null && $in->fault($place, 'must be a decimal in quotation marks such as "3" or "-2.5"');
        $number ??= BigDecimal::zero();

        return str_starts_with($text, '-') ? $number->negated() : $number;
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @param  list<string>  $keys
     * @return array<array-key, mixed>|null
     */
    private static function part(array $asked, string $key, array $keys, Document $in): ?array
    {
        if (! isset($asked[$key])) {
            return null;
        }
        $part = $in->map($asked, $key, $key);
        foreach (array_diff(array_map(strval(...), array_keys($part)), $keys) as $unknown) {
            $in->fault("{$key}.{$unknown}", 'is not known');
        }

        return $part;
    }

    /**
     * @param  array<array-key, mixed>  $asked
     */
    private static function scaling(array $asked, BigRational $settled, Document $in): ?Scaling
    {
        $part = self::part($asked, 'scaling', ['add', 'linear', 'map'], $in);
        if ($part === null) {
            return null;
        }
        if (count($part) !== 1) {
            $in->fault('scaling', 'must be one of add, linear and map');

            return null;
        }
        $pair = function (mixed $one, string $place) use ($in): array {
            $list = is_array($one) && array_is_list($one) && count($one) === 2 ? $one : [null, null];

            return [self::signed($list[0], "{$place}[0]", $in), self::signed($list[1], "{$place}[1]", $in)];
        };
        try {
            if (isset($part['add'])) {
                return Scaling::add(self::signed($part['add'], 'scaling.add', $in));
            }
            if (isset($part['linear'])) {
                return Scaling::linear(...$pair($part['linear'], 'scaling.linear'));
            }
            $points = array_slice($in->map($part, 'map', 'scaling.map'), 0, self::MOST_POINTS);
            $map = Scaling::map(array_map(
                fn (mixed $one, int $n) => $pair($one, "scaling.map[{$n}]"), array_values($points),
                array_keys(array_values($points)),
            ));
            $map->covers($settled) || $in->fault('scaling.map', 'does not cover the settled mark');

            return $map;
        } catch (InvalidInput $e) {
            foreach ($e->faults as $fault) {
                $in->fault("scaling.{$fault->place}", $fault->what);
            }

            return null;
        }
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @return list<array{title: string, from: BigDecimal}> rising
     */
    private static function bands(array $asked, Document $in): array
    {
        $bands = [];
        foreach ($in->rows($asked, 'bands', 'bands', self::MOST_BANDS) as $n => $row) {
            $from = $in->decimal($row, 'from', "bands[{$n}].from");
            $bands !== [] && $from->isLessThanOrEqualTo($bands[$n - 1]['from'])
                && $in->fault("bands[{$n}].from", 'must be above the band before it');
            $bands[] = ['title' => $in->text($row, 'title', "bands[{$n}].title", 100, required: true), 'from' => $from];
        }
        $bands !== [] && ! $bands[0]['from']->isZero() && $in->fault('bands[0].from', 'the lowest band must begin at 0');

        return $bands;
    }
}
