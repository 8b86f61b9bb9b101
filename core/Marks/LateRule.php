<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What lateness costs: so many marks, or so many percent of the mark, for each started day or hour, after a grace
 * time, and never below a floor; beyond a cut-off nothing is left. A mark that is below the floor already stays as it
 * is. Weekends and days on which the institution is closed may be left out of the count.
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
        public int $cutOff,
        public bool $withoutWeekends,
        public bool $withoutClosures,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"take": "points" or "percent", "amount": "5", "per": "day" or "hour", "grace_minutes": 0, "floor": "0", "cut_off": 0 (started days or hours after which the mark is 0; 0 for never), "weekends": true and "closures": true (whether such days count)}
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
        $cutOff = $document['cut_off'] ?? 0;
        if (! is_int($cutOff) || $cutOff < 0 || $cutOff > 1000) {
            $in->fault('cut_off', 'must be a whole number of days or hours up to 1000, or 0 for none');
        }
        $counts = [];
        foreach (['weekends', 'closures'] as $days) {
            $counts[$days] = $document[$days] ?? true;
            if (! is_bool($counts[$days])) {
                $in->fault($days, 'must be true or false');
            }
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

        return new self(
            $take === 'percent', $amount, is_string($per) ? $per : 'day', is_int($grace) ? $grace : 0, $floor,
            is_int($cutOff) ? $cutOff : 0, $counts['weekends'] === false, $counts['closures'] === false,
        );
    }

    /** Started days or hours that count; none within the grace time, and none once lateness is waived. */
    public function units(Lateness $late): int
    {
        if (
            $late->waived || $late->seconds($this->withoutWeekends, $this->withoutClosures) <= $this->graceMinutes * 60
        ) {
            return 0;
        }
        $seconds = $this->per === 'day'
            ? $late->clockSeconds($this->withoutWeekends, $this->withoutClosures)
            : $late->seconds($this->withoutWeekends, $this->withoutClosures);

        return (int) ceil($seconds / self::SECONDS[$this->per]);
    }

    public function apply(BigRational $mark, Lateness $late): BigRational
    {
        $units = $this->units($late);
        if ($units === 0) {
            return $mark;
        }
        if ($this->isCutOff($units)) {
            return BigRational::zero();
        }
        $taken = $this->inPercent
            ? $mark->multipliedBy($this->amount)->multipliedBy($units)->dividedBy(100)
            : BigRational::of($this->amount)->multipliedBy($units);

        return self::lower($mark, $taken, $this->floor);
    }

    /** So much less: never below 0, and never below the floor for a mark that was above it, nor raised to it. */
    public static function lower(BigRational $mark, BigRational $taken, BigDecimal $floor): BigRational
    {
        return BigRational::max($mark->minus($taken), 0, BigRational::min($mark, $floor));
    }

    /** How a late mark was lowered, for its working. */
    public function working(Lateness $late): string
    {
        $units = $this->units($late);
        $said = "{$late->inWords()} late: {$units} started ".$this->per.($units === 1 ? '' : 's');

        return $said.($this->isCutOff($units)
            ? ", and nothing after {$this->cutOff}"
            : ' × '.Figure::plain($this->amount).($this->inPercent ? ' % of the mark' : ' marks').(
                $this->floor->isZero() ? '' : ', not below '.Figure::plain($this->floor)
            )).$this->daysLeftOut();
    }

    /** The rule as students read it. */
    public function sentence(): string
    {
        return Figure::plain($this->amount).(
            $this->inPercent ? ' % of the mark' : ($this->amount->isEqualTo(1) ? ' mark' : ' marks')
        )." off for each started {$this->per}"
            .(
                $this->graceMinutes === 0 ? '' : " after {$this->graceMinutes} minutes of grace"
            ).($this->floor->isZero() ? '' : ', not below '.Figure::plain($this->floor))
            .(
                $this->cutOff === 0
                    ? ''
                    : ", and no marks after {$this->cutOff} {$this->per}".($this->cutOff === 1 ? '' : 's')
            ).$this->daysLeftOut();
    }

    private function isCutOff(int $units): bool
    {
        return $this->cutOff > 0 && $units > $this->cutOff;
    }

    private function daysLeftOut(): string
    {
        $days = [...($this->withoutWeekends ? ['weekends'] : []), ...($this->withoutClosures ? ['closure days'] : [])];

        return $days === [] ? '' : '; '.implode(' and ', $days).' do not count';
    }
}
