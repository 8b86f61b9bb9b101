<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A set of marks carried from one version of a rubric to another: what fits is kept, what does not is named.
 */
final readonly class CarriedMarks
{
    /**
     * @param  CriterionMarks  $marks  what fits the other version
     * @param  list<string>  $lost  titles of criteria whose mark has no place in it; their comments are kept where the criterion is
     * @param  BigDecimal  $before  the total as it was
     */
    private function __construct(
        public CriterionMarks $marks,
        public array $lost,
        public BigDecimal $before,
        public Score $score,
    ) {
    }

    /**
     * @param  CriterionMarks  $marks  valid on the first rubric
     *
     * @throws InvalidInput when the marks are not valid on the first rubric
     */
    public static function over(Rubric $from, Rubric $to, CriterionMarks $marks): self
    {
        $before = Scorer::score($from, $marks)->total;
        $kept = CriterionMarks::usual();
        $lost = [];
        foreach ($marks->criteria() as $id) {
            $mark = self::halfWay($from, $to, $id, $marks->on($id));
            $hasPlace = $to->criterion($id) !== null;
            if ($hasPlace && self::fits($to, $kept, $id, $mark)) {
                $kept = $kept->with($id, $mark);
            } elseif ($hasPlace) {
                $kept = $kept->with($id, new CriterionMark(comment: $mark->comment));
            }
            if (! $mark->isUnset() && ! $kept->on($id)->setsTheSame($mark)) {
                $lost[] = $from->criterion($id)?->title() ?? $id;
            }
        }

        return new self($kept, $lost, $before, Scorer::score($to, $kept));
    }

    /** A pin half-way between two levels stands for that place, not for its points: it stays half-way. */
    private static function halfWay(Rubric $from, Rubric $to, string $id, CriterionMark $mark): CriterionMark
    {
        $stop = function (Rubric $rubric) use ($id, $mark): ?RailStop {
            $criterion = $rubric->criterion($id);
            foreach ($criterion instanceof LevelCriterion ? RailStop::of($criterion) : [] as $stop) {
                if ($stop->isBetween() && $stop->holds($mark)) {
                    return $stop;
                }
            }

            return null;
        };
        $old = $stop($from);
        $new = $stop($to);

        return $old !== null && $new !== null && $mark->points === Figure::plain($old->points)
            ? $mark->withPoints(Figure::plain($new->points))
            : $mark;
    }

    /** The new total less the old one. */
    public function difference(): BigDecimal
    {
        return $this->score->total->minus($this->before);
    }

    private static function fits(Rubric $to, CriterionMarks $kept, string $id, CriterionMark $mark): bool
    {
        try {
            $before = count(Scorer::score($to, $kept)->missing());
            $score = Scorer::score($to, $kept->with($id, $mark));
        } catch (InvalidInput) {
            return false;
        }

        return $to->criterion($id)?->kind() === CriterionKind::Comment || count($score->missing()) < $before
            || $mark->isUnset();
    }
}
