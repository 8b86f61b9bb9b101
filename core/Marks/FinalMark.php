<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Moderation\Settled;

/**
 * The mark as it is released: the settled mark, exact, rounded once, and the band it falls in.
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
     * @param  int  $words  length of the work
     */
    public static function of(Settled $settled, BandScale $scale, int $decimals, MarkRules $rules = new MarkRules, ?Lateness $late = null, int $words = 0): self
    {
        [$exact, $working] = $rules->apply($settled->mark->toBigRational(), $settled->working, $late ?? Lateness::none(), $words);
        $mark = $exact->toScale($decimals, RoundingMode::HALF_UP);
        if (! $exact->isEqualTo($mark)) {
            $working = $working->then(new WorkingLine('Rounded', 'once, half up, to '.$decimals.' '.($decimals === 1 ? 'decimal' : 'decimals'), (string) $mark));
        }
        $band = $scale->bandFor($mark);
        $working = $working->then(new WorkingLine('Band', $scale->name.', '.$scale->span($band, $decimals), $band->name));

        return new self($mark, $band, $working);
    }
}
