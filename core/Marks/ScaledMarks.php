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
        $marks = array_values($this->marks);
        usort($marks, fn (array $a, array $b) => $a['before']->compareTo($b['before']));
        foreach (array_slice($marks, 1) as $n => $mark) {
            $before = $marks[$n];
            if (
                $before['before']->isLessThan($mark['before'])
                && $before['after']->isGreaterThanOrEqualTo($mark['after'])
            ) {
                return false;
            }
        }

        return true;
    }
}
