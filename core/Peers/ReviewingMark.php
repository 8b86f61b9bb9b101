<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;

/**
 * The mark for reviewing, 0 to 100: each part as the share of it that was reached, weighed as the round says, rounded
 * half up once. A part of which nothing can be said leaves its weight to the others.
 */
final readonly class ReviewingMark
{
    private function __construct(public BigDecimal $mark, public Working $working)
    {
    }

    /** Null for someone who was asked for no review. */
    public static function of(ReviewingFacts $facts, ReviewingWeights $weights): ?self
    {
        if ($facts->asked < 1) {
            return null;
        }
        $parts = array_intersect_key(self::parts($facts), array_filter($weights->weights));
        $told = array_filter($parts, fn (array $part) => $part[0] !== null);
        $all = array_sum(array_intersect_key($weights->weights, $told));
        $sum = BigRational::zero();
        $working = new Working([]);
        foreach ($parts as $key => [$share, $how]) {
            if ($share === null) {
                $working = $working->then(new WorkingLine(self::NAMES[$key], $how, 'left out'));

                continue;
            }
            $weight = BigRational::of($weights->weights[$key] * 100)->dividedBy($all);
            $sum = $sum->plus($share->multipliedBy($weight));
            $working = $working->then(new WorkingLine(
                self::NAMES[$key], $how.', weighs '.Figure::shown($weight, 1).' %',
                Figure::shown($share->multipliedBy($weight)),
            ));
        }
        $mark = $sum->toScale(1, RoundingMode::HALF_UP);

        return new self($mark, $working->then(new WorkingLine('For reviewing', 'added up, to 1 decimal', (string) $mark)));
    }

    private const NAMES = [
        'done' => 'Done', 'on_time' => 'On time', 'words' => 'Comments', 'useful' => 'Useful', 'near' => 'Near the others',
    ];

    /**
     * @return array<string, array{BigRational|null, string}> the share reached, null where nothing can be said; and how
     */
    private static function parts(ReviewingFacts $facts): array
    {
        $of = fn (int $part, int $whole): BigRational => BigRational::of($part)->dividedBy($whole);
        $near = Nearness::of($facts->marks);
        $ratings = count($facts->ratings);

        return [
            'done' => [$of($facts->done, $facts->asked), "{$facts->done} of {$facts->asked} reviews"],
            'on_time' => [
                $of($facts->onTime, $facts->asked), "{$facts->onTime} of {$facts->asked} by the time they were due",
            ],
            'words' => $facts->commentsAsked === 0 ? [
                $facts->done === 0 ? BigRational::zero() : null, 'no comment was asked for in what is done',
            ] : [
                $of($facts->commentsFull, $facts->commentsAsked),
                "{$facts->commentsFull} of {$facts->commentsAsked} comments as long as asked for",
            ],
            'useful' => $ratings < ReviewingFacts::LEAST_RATINGS ? [
                null, "{$ratings} of at least ".ReviewingFacts::LEAST_RATINGS.' ratings by authors',
            ] : [
                $of(array_sum($facts->ratings), 2 * $ratings), "{$ratings} ratings by authors, useful 1, in part ½",
            ],
            'near' => $near === null ? [
                $facts->done === 0 ? BigRational::zero() : null, 'no combined mark to hold theirs against',
            ] : [
                $near->share(), Figure::shown($near->off, 1).' marks away on average; '.Nearness::NEAR
                    .' and less is full, '.Nearness::FAR.' and more nothing',
            ],
        ];
    }
}
