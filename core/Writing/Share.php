<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * So many of so many, with an interval that holds the true share in 95 of 100 such counts.
 */
final readonly class Share
{
    /** Standard normal quantile at 0.975. */
    private const Z = 1.959963984540054;

    public function __construct(
        public int $times,
        public int $of,
    ) {
    }

    public function share(): ?float
    {
        return $this->of === 0 ? null : $this->times / $this->of;
    }

    /**
     * E. Wilson, Journal of the American Statistical Association 22, 1927.
     *
     * @return array{float, float}|null
     */
    public function interval(): ?array
    {
        if ($this->of === 0) {
            return null;
        }
        $z2 = self::Z ** 2;
        $p = $this->times / $this->of;
        $middle = ($p + $z2 / (2 * $this->of)) / (1 + $z2 / $this->of);
        $half = self::Z / (1 + $z2 / $this->of) * sqrt($p * (1 - $p) / $this->of + $z2 / (4 * $this->of ** 2));

        return [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }
}
