<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Marks before and after a scaling, and whether their order was kept.
 */
final readonly class ScaledMarks
{
    /**
     * @param  array<string, array{before: BigDecimal, after: BigRational, clipped: bool}>  $marks  by script
     */
    private function __construct(public array $marks)
    {
    }

    /**
     * @param  array<string, BigDecimal>  $marks  0 to 100, by script
     *
     * @throws InvalidInput naming each mark that the scaling does not cover
     */
    public static function of(array $marks, Scaling $scaling): self
    {
        $faults = [];
        $scaled = [];
        foreach ($marks as $script => $mark) {
            if (! $scaling->covers($mark)) {
                $faults[] = new Fault((string) $script, "{$mark} lies outside the points of the map");

                continue;
            }
            $after = $scaling->clipped($mark);
            $scaled[(string) $script] = [
                'before' => $mark, 'after' => $after, 'clipped' => ! $after->isEqualTo($scaling->of($mark)),
            ];
        }
        $faults === [] || throw new InvalidInput($faults);

        return new self($scaled);
    }

    /** Whether no two different marks change places or become equal. */
    public function isOrderKept(): bool
    {
        return self::keepsOrder(array_values(array_map(
            fn (array $one) => [$one['before']->toBigRational(), $one['after']], $this->marks,
        )));
    }

    /**
     * Whether no two different marks change places or become equal, each given before and after.
     *
     * @param  list<array{BigRational, BigRational}>  $marks
     */
    public static function keepsOrder(array $marks): bool
    {
        usort($marks, fn (array $a, array $b) => $a[0]->compareTo($b[0]) ?: $a[1]->compareTo($b[1]));
        foreach (array_slice($marks, 1) as $n => [$before, $after]) {
            [$lower, $lowerAfter] = $marks[$n];
            if ($lower->isLessThan($before) && $lowerAfter->isGreaterThanOrEqualTo($after)) {
                return false;
            }
        }

        return true;
    }
}
