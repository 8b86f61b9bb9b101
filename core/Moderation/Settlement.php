<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Moderation;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;

/**
 * Turns the marks of a script into the agreed mark, or says why people have to.
 *
 * Two marks settle by the stated rule when they lie within the tolerance, but never by themselves across the pass
 * line: when one passes and the other fails, people decide.
 */
final readonly class Settlement
{
    /**
     * @param  BigDecimal  $tolerance  in marks, the boundary included
     * @param  BigDecimal  $passMark  the lowest mark that passes
     */
    public function __construct(
        public SettleRule $rule,
        public BigDecimal $tolerance,
        public BigDecimal $passMark,
    ) {
    }

    /** A script with one mark only. */
    public function single(BigDecimal $first): Settled
    {
        return new Settled($first, new Working([new WorkingLine('First mark', 'the only mark of this script', (string) $first)]));
    }

    /** How far the first mark lies above the second, in marks; negative when it lies below. */
    public static function apart(BigDecimal $first, BigDecimal $second): BigDecimal
    {
        return $first->minus($second);
    }

    /** Why two marks cannot settle by the rule; null when they can. */
    public function obstacle(BigDecimal $first, BigDecimal $second): ?string
    {
        $apart = self::apart($first, $second)->abs();
        if ($apart->isGreaterThan($this->tolerance)) {
            return Figure::plain($apart).' apart, more than the tolerance of '.Figure::plain($this->tolerance);
        }
        if ($this->passes($first) !== $this->passes($second)) {
            return 'on different sides of the pass line at '.Figure::plain($this->passMark);
        }

        return null;
    }

    /** The mark two marks settle to by the rule; null when people have to settle them. */
    public function byRule(BigDecimal $first, BigDecimal $second): ?Settled
    {
        if ($this->obstacle($first, $second) !== null) {
            return null;
        }
        $mark = match ($this->rule) {
            SettleRule::Mean => $first->plus($second)->dividedBy(2, max($first->getScale(), $second->getScale()) + 1, RoundingMode::UNNECESSARY),
            SettleRule::First => $first,
            SettleRule::Higher => BigDecimal::max($first, $second),
        };

        return new Settled($mark, $this->opening($first, $second)->then(
            new WorkingLine('Settled', $this->rule->sentence().', '.Figure::plain(self::apart($first, $second)->abs()).' apart, within '.Figure::plain($this->tolerance), Figure::plain($mark)),
        ));
    }

    /** A mark that the two markers agreed on themselves. */
    public function agreed(BigDecimal $first, BigDecimal $second, BigDecimal $agreed, string $reason): Settled
    {
        return new Settled($agreed, $this->opening($first, $second)->then(
            new WorkingLine('Agreed by both markers', $reason, Figure::plain($agreed)),
        ));
    }

    /** Whether a mark that was agreed passes and the result made of it, less what late or long work costs, does not. */
    public function losesThePass(BigDecimal $agreed, BigDecimal $result): bool
    {
        return $this->passes($agreed) && ! $this->passes($result);
    }

    private function passes(BigDecimal $mark): bool
    {
        return $mark->isGreaterThanOrEqualTo($this->passMark);
    }

    private function opening(BigDecimal $first, BigDecimal $second): Working
    {
        return new Working([
            new WorkingLine('First mark', 'total on the rubric', (string) $first),
            new WorkingLine('Second mark', 'total on the rubric, marked blind', (string) $second),
        ]);
    }
}
