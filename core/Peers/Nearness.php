<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/**
 * How near someone's marks come to those they are held against. Common practice, no source: within 5 marks on average
 * nobody marks nearer, and from 25 on it tells nothing of the work any more; between them it falls in a straight line.
 */
final readonly class Nearness
{
    public const NEAR = 5;

    public const FAR = 25;

    /**
     * @param  BigRational  $off  mean of the distances, in marks
     */
    private function __construct(public BigRational $off)
    {
    }

    /**
     * @param  list<array{BigDecimal, BigDecimal}>  $pairs  the mark given, and the one it is held against
     */
    public static function of(array $pairs): ?self
    {
        if ($pairs === []) {
            return null;
        }
        $sum = BigRational::zero();
        foreach ($pairs as [$given, $against]) {
            $sum = $sum->plus($given->minus($against)->abs());
        }

        return new self($sum->dividedBy(count($pairs)));
    }

    /** From 0 to 1. */
    public function share(): BigRational
    {
        $share = BigRational::of(self::FAR)->minus($this->off)->dividedBy(self::FAR - self::NEAR);

        return BigRational::max(0, BigRational::min(1, $share));
    }

    /** Whether it is within a pass line for trial scripts. */
    public function reaches(?int $line): bool
    {
        return $line === null || $this->off->isLessThanOrEqualTo($line);
    }
}
