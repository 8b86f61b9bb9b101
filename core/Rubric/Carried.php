<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A set of marks carried from one version of a rubric to another: what fits is kept, what does not is named.
 */
final readonly class Carried
{
    /**
     * @param  array<string, array<array-key, mixed>>  $choices  what fits the other version
     * @param  list<string>  $lost  titles of criteria whose mark has no place in it; their comments are kept where the criterion is
     * @param  BigDecimal  $before  the total as it was
     */
    private function __construct(
        public array $choices,
        public array $lost,
        public BigDecimal $before,
        public Score $score,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $choices  marks by criterion id, valid on the first rubric
     *
     * @throws InvalidInput when the marks are not valid on the first rubric
     */
    public static function over(Rubric $from, Rubric $to, array $choices): self
    {
        $before = Scorer::score($from, $choices)->total;
        $kept = [];
        $lost = [];
        foreach ($choices as $id => $choice) {
            $id = (string) $id;
            $choice = self::halfWay($from, $to, $id, is_array($choice) ? $choice : []);
            $criterion = $to->criterion($id);
            $comment = isset($choice['comment']) ? ['comment' => $choice['comment']] : [];
            if ($criterion !== null && self::fits($to, $kept, $id, $choice)) {
                $kept[$id] = $choice;
            } elseif ($criterion !== null && $comment !== []) {
                $kept[$id] = $comment;
            }
            if (array_diff_key($choice, $comment) !== [] && ($kept[$id] ?? null) !== $choice) {
                $lost[] = $from->criterion($id)?->title() ?? $id;
            }
        }

        return new self($kept, $lost, $before, Scorer::score($to, $kept));
    }

    /**
     * A pin half-way between two levels stands for that place, not for its points: it stays half-way.
     *
     * @param  array<array-key, mixed>  $choice
     * @return array<array-key, mixed>
     */
    private static function halfWay(Rubric $from, Rubric $to, string $id, array $choice): array
    {
        $stop = function (Rubric $rubric) use ($id, $choice): ?RailStop {
            $criterion = $rubric->criterion($id);
            foreach ($criterion instanceof LevelCriterion ? RailStop::of($criterion) : [] as $stop) {
                if ($stop->isBetween() && $stop->holds($choice)) {
                    return $stop;
                }
            }

            return null;
        };
        $old = $stop($from);
        $new = $stop($to);

        return $old !== null && $new !== null && ($choice['points'] ?? null) === Figure::plain($old->points) ? ['points' => Figure::plain($new->points)] + $choice : $choice;
    }

    /** The new total less the old one. */
    public function difference(): BigDecimal
    {
        return $this->score->total->minus($this->before);
    }

    /**
     * @param  array<string, array<array-key, mixed>>  $kept
     * @param  array<array-key, mixed>  $choice
     */
    private static function fits(Rubric $to, array $kept, string $id, array $choice): bool
    {
        try {
            $before = count(Scorer::score($to, $kept)->missing());
            $score = Scorer::score($to, [...$kept, $id => $choice]);
        } catch (InvalidInput) {
            return false;
        }

        return $to->criterion($id)?->kind() === Kind::Comment || count($score->missing()) < $before || array_diff_key($choice, ['comment' => true]) === [];
    }
}
