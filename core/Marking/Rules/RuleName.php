<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

/**
 * The rules by their keys: the one place where a rule is made known.
 */
enum RuleName: string
{
    case Mean = 'mean';
    case First = 'first';
    case Higher = 'higher';
    case Median = 'median';
    case TwoClosest = 'two-closest';
    case ThirdDecides = 'third-decides';
    case Peers = 'peers';

    public function rule(): Rule
    {
        return match ($this) {
            self::Mean => new Mean,
            self::First => new FirstStands,
            self::Higher => new Higher,
            self::Median => new Median,
            self::TwoClosest => new TwoClosest,
            self::ThirdDecides => new ThirdDecides,
            self::Peers => new PeersMedian,
        };
    }

    /**
     * Those that settle two marks.
     *
     * @return list<self>
     */
    public static function ofTwo(): array
    {
        return [self::Mean, self::First, self::Higher];
    }

    /**
     * Those that settle three marks.
     *
     * @return list<self>
     */
    public static function ofThree(): array
    {
        return [self::ThirdDecides, self::Median, self::TwoClosest];
    }

    /** As the working says what was done. */
    public function sentence(): string
    {
        return match ($this) {
            self::Mean => 'the mean of the two marks',
            self::First => 'the first mark stands',
            self::Higher => 'the higher of the two marks',
            self::Median => 'the median of the three marks',
            self::TwoClosest => 'the mean of the two closest marks',
            self::ThirdDecides => 'the third marker decides',
            self::Peers => 'the median of the peers\' marks',
        };
    }
}
