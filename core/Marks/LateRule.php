<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What lateness costs: so many marks, or so many percent of the mark, for each started day or hour, after a grace
 * time, and never below a floor. A mark that is below the floor already stays as it is.
 */
final readonly class LateRule
{
    private const SECONDS = ['day' => 86400, 'hour' => 3600];

    private function __construct(
        public bool $inPercent,
        public BigDecimal $amount,
        public string $per,
        public int $graceMinutes,
        public BigDecimal $floor,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"take": "points" or "percent", "amount": "5", "per": "day" or "hour", "grace_minutes": 0, "floor": "0"}
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): self
    {
        $in = new Document;
        $take = $document['take'] ?? null;
        $per = $document['per'] ?? null;
        $grace = $document['grace_minutes'] ?? 0;
        if (! in_array($take, ['points', 'percent'], true)) {
            $in->fault('take', 'must be "points" or "percent"');
        }
        if (! is_string($per) || ! isset(self::SECONDS[$per])) {
            $in->fault('per', 'must be "day" or "hour"');
        }
        if (! is_int($grace) || $grace < 0 || $grace > 10080) {
            $in->fault('grace_minutes', 'must be a whole number of minutes up to a week (10080)');
        }
        $amount = $in->decimal($document, 'amount', 'amount');
        if ($amount->isGreaterThan(100) || $amount->isZero()) {
            $in->fault('amount', 'must be above 0 and 100 at most');
        }
        $floor = isset($document['floor']) ? $in->decimal($document, 'floor', 'floor') : BigDecimal::zero();
        if ($floor->isGreaterThan(100)) {
            $in->fault('floor', 'must be 100 at most');
        }
        $in->throwFaults();

        return new self($take === 'percent', $amount, is_string($per) ? $per : 'day', is_int($grace) ? $grace : 0, $floor);
    }

    /** Started days or hours that count; none within the grace time. */
    public function units(int $secondsLate): int
    {
        return $secondsLate <= $this->graceMinutes * 60 ? 0 : (int) ceil($secondsLate / self::SECONDS[$this->per]);
    }

    public function apply(BigRational $mark, int $secondsLate): BigRational
    {
        $units = $this->units($secondsLate);
        if ($units === 0) {
            return $mark;
        }
        $taken = $this->inPercent ? $mark->multipliedBy($this->amount)->multipliedBy($units)->dividedBy(100) : BigRational::of($this->amount)->multipliedBy($units);
        $left = BigRational::max($mark->minus($taken), 0);

        return BigRational::max($left, BigRational::min($mark, $this->floor));
    }

    /** How a late mark was lowered, for its working. */
    public function working(int $secondsLate): string
    {
        $units = $this->units($secondsLate);

        return "{$units} started ".$this->per.($units === 1 ? '' : 's').' × '.Figure::plain($this->amount).($this->inPercent ? ' % of the mark' : ' marks').($this->floor->isZero() ? '' : ', not below '.Figure::plain($this->floor));
    }

    /** The rule as students read it. */
    public function sentence(): string
    {
        return Figure::plain($this->amount).($this->inPercent ? ' % of the mark' : ($this->amount->isEqualTo(1) ? ' mark' : ' marks'))." off for each started {$this->per}"
            .($this->graceMinutes === 0 ? '' : " after {$this->graceMinutes} minutes of grace").($this->floor->isZero() ? '' : ', not below '.Figure::plain($this->floor));
    }
}
