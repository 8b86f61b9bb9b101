<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Brick\Math\BigRational;

/**
 * How much a marker has, beside the fair share: all marks × agreed share ÷ sum of shares.
 */
final readonly class Load
{
    /**
     * @param  array<string, int>  $parts  marks by part
     */
    public function __construct(
        public string $marker,
        public array $parts,
        public BigRational $fair,
    ) {
    }

    /**
     * Each marker's fair share of so many marks.
     *
     * @param  array<string, string>  $shares  decimals by marker
     * @return array<string, BigRational>
     */
    public static function fairShares(int $marks, array $shares): array
    {
        $sum = BigRational::sum(BigRational::zero(), ...array_values($shares));

        return array_map(
            fn (string $share) => $sum->isZero()
                ? BigRational::zero()
                : BigRational::of($share)->multipliedBy($marks)->dividedBy($sum),
            $shares,
        );
    }

    public function given(): int
    {
        return array_sum($this->parts);
    }
}
