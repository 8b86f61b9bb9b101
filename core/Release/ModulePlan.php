<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;
use YoungHarbor\Core\Marks\BandScale;

/**
 * How a module mark is made: parts with their weights, each one assignment or the best of several, what must be passed,
 * resits with their caps, the pass mark, the rounding, the bands, and how near below a boundary is borderline.
 */
final readonly class ModulePlan implements JsonForm
{
    public const MOST_PARTS = 40;

    private const MOST_OF = 60;

    private const USUAL_BANDS = [
        'name' => 'Passed or not', 'bands' => [['name' => 'Fail', 'from' => '0'], ['name' => 'Pass', 'from' => '40']],
    ];

    /**
     * @param  list<PlannedPart>  $parts  none: there is no module mark
     * @param  int<0, 3>  $decimals
     * @param  BigDecimal  $pass  0 to 100
     * @param  BigDecimal  $borderline  so many marks below a boundary or less is borderline; 0: nothing is
     */
    private function __construct(
        public array $parts, public int $decimals, public BigDecimal $pass, public BigDecimal $borderline,
        public BandScale $bands,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"decimals": 0, "pass": "40", "borderline": "1", "bands": {…}, "parts":
     *                                             [{"id": "p1", "title": "Essay", "weight": "60", "must_pass": "40", "best": 2, "of": ["a", "b", "c"],
     *                                             "resit": {"of": "d", "cap": "40"}}]}; what is left out is as usual
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['decimals', 'pass', 'borderline', 'bands', 'parts']);
        $document += ['decimals' => 0, 'pass' => '40', 'borderline' => '0', 'bands' => self::USUAL_BANDS];
        $parts = [];
        foreach ($in->rows($document, 'parts', 'parts', self::MOST_PARTS) as $i => $row) {
            $parts[] = PlannedPart::read($row, "parts[{$i}]", $in, self::MOST_OF);
        }
        $plan = new self(
            $parts, max(0, min(3, $in->whole($document, 'decimals', 'decimals', 0, 3))),
            $in->decimalWithin($document, 'pass', 'pass', 0, 100),
            $in->decimalWithin($document, 'borderline', 'borderline', 0, 20),
            BandScale::fromArray($in->map($document, 'bands', 'bands')),
        );
        $parts === [] || self::checkWeights(
            array_map(fn (PlannedPart $part) => [$part->weight, $part->mustPass], $parts), $in,
        );
        $plan->checkUse($in);
        $in->throwFaults();

        return $plan;
    }

    /**
     * @param  list<array{BigDecimal, BigDecimal|null}>  $parts  weight and the mark that must be reached
     */
    public static function checkWeights(array $parts, Document $in): void
    {
        $total = BigDecimal::zero();
        foreach ($parts as $i => [$weight, $mustPass]) {
            $weight->isZero() && $mustPass === null
                && $in->fault("parts[{$i}].weight", 'may be 0 only for a part that must be passed');
            $total = $total->plus($weight);
        }
        $short = BigDecimal::of(100)->minus($total);
        $short->isZero() || $in->fault('parts', 'the weights total '.Figure::plain($total).': '.(
            $short->isPositive() ? Figure::plain($short).' short of 100' : Figure::plain($short->abs()).' more than 100'
        ));
    }

    /**
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return [
            'decimals' => $this->decimals, 'pass' => Figure::plain($this->pass),
            'borderline' => Figure::plain($this->borderline), 'bands' => $this->bands->toArray(),
            'parts' => array_map(fn (PlannedPart $part) => $part->toArray(), $this->parts),
        ];
    }

    /**
     * Ids of the assignments it takes marks from, resits too.
     *
     * @return list<string>
     */
    public function uses(): array
    {
        return array_values(array_unique(array_merge(...array_map(
            fn (PlannedPart $part) => [...$part->of, ...($part->resitOf === null ? [] : [$part->resitOf])],
            $this->parts,
        ))));
    }

    /**
     * A student's mark.
     *
     * @param  array<string, BigDecimal>  $marks  by assignment, of those released
     * @param  array<string, true>  $exempt  by assignment
     *
     * @throws InvalidInput when everything that weighs is exempt, or too much of a list is
     */
    public function mark(array $marks, array $exempt): ModuleMark
    {
        return ModuleMark::of(
            array_map(fn (PlannedPart $part) => $part->of($marks, $exempt), $this->parts), $this->decimals, $this->pass,
        );
    }

    /**
     * What a student needs in everything that is not there yet for the module mark to reach another mark: the least
     * mark, the same in each.
     *
     * @param  array<string, BigDecimal>  $marks
     * @param  array<string, true>  $exempt
     * @return StillNeeded|null null where nothing is left
     *
     * @throws InvalidInput as for a mark
     */
    public function needed(array $marks, array $exempt, BigDecimal $target): ?StillNeeded
    {
        $open = array_values(array_unique(array_merge(...array_map(
            fn (PlannedPart $part) => $part->of($marks, $exempt)->open(), $this->parts,
        ))));
        if ($open === []) {
            return null;
        }
        $reached = fn (int $units): bool => $this->mark(
            $marks + array_fill_keys($open, BigDecimal::ofUnscaledValue($units, $this->decimals)), $exempt,
        )->mark->isGreaterThanOrEqualTo($target);
        [$low, $high] = [0, 100 * 10 ** $this->decimals];
        if (! $reached($high)) {
            return new StillNeeded($open, null);
        }
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $reached($middle) ? $high = $middle : $low = $middle + 1;
        }

        return new StillNeeded($open, BigDecimal::ofUnscaledValue($low, $this->decimals));
    }

    /**
     * The boundary a mark lies just below, by the rule for what is borderline: of a band, or the pass mark.
     *
     * @param  BigDecimal  $mark  rounded
     */
    public function justBelow(BigDecimal $mark): ?BigDecimal
    {
        foreach ([...$this->bands->boundaries(), $this->pass] as $boundary) {
            $short = $boundary->minus($mark);
            if ($short->isPositive() && $short->isLessThanOrEqualTo($this->borderline)
                && $this->bands->bandFor($mark)->from->isLessThan($boundary)) {
                return $boundary;
            }
        }

        return null;
    }

    /** The mean of rounded marks, shown to two places; "" of none. */
    public static function mean(BigDecimal ...$marks): string
    {
        return $marks === [] ? '' : Figure::plain(
            BigRational::sum(...$marks)->dividedBy(count($marks))->toScale(2, RoundingMode::HALF_UP),
        );
    }

    private function checkUse(Document $in): void
    {
        $seen = $ids = [];
        foreach ($this->parts as $i => $part) {
            isset($ids[$part->id]) && $in->fault("parts[{$i}].id", "stands twice: \"{$part->id}\"");
            $ids[$part->id] = true;
            foreach ([...$part->of, ...($part->resitOf === null ? [] : [$part->resitOf])] as $use) {
                isset($seen[$use])
                    && $in->fault("parts[{$i}]", 'takes an assignment that another part, or this one, takes too');
                $seen[$use] = true;
            }
        }
    }
}
