<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;
use YoungHarbor\Core\Marking\SettledMark;

/**
 * The mark as it is released: the settled mark, exact, rounded to the assignment's decimals, and the band it falls in.
 *
 * Two things are rounded on the way to a result, and each once: a marker's total, to the rubric's decimals, and this.
 */
final readonly class FinalMark
{
    private function __construct(
        public BigDecimal $mark,
        public Band $band,
        public Working $working,
    ) {
    }

    /**
     * @param  int<0, 3>  $decimals
     */
    public static function of(
        SettledMark $settled, BandScale $scale, int $decimals, MarkRules $rules = new MarkRules,
        ?Lateness $late = null, Length $length = new Length(0),
    ): self {
        [$exact, $working] = $rules->apply($settled->mark, $settled->working, $late ?? Lateness::none(), $length);
        $mark = $exact->toScale($decimals, RoundingMode::HALF_UP);
        if (! $exact->isEqualTo($mark)) {
            $working = $working->then(
                new WorkingLine(
                    'Result rounded', 'half up, to '.$decimals.' '.($decimals === 1 ? 'decimal' : 'decimals'),
                    (string) $mark,
                )
            );
        }
        $band = $scale->bandFor($mark);
        $working = $working->then(
            new WorkingLine('Band', $scale->name.', '.$scale->span($band, $decimals), $band->name)
        );

        return new self($mark, $band, $working);
    }
}
