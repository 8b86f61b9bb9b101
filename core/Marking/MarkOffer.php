<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * A mark that someone offers for a script, with what its student is to read.
 */
final readonly class MarkOffer
{
    /**
     * @param  BigDecimal  $mark  out of 100
     * @param  CriterionMarks  $choices  empty where only a total is offered; else the mark is their total
     */
    private function __construct(
        public BigDecimal $mark,
        public CriterionMarks $choices,
        public Feedback $feedback,
        public string $reason,
    ) {
    }

    /**
     * @throws InvalidInput for what is no mark
     */
    public static function total(string $mark, Feedback $feedback, string $reason): self
    {
        $value = Document::parse($mark);
        if ($value === null || $value->isGreaterThan(100) || $value->stripTrailingZeros()->getScale() > 1) {
            throw InvalidInput::at(
                'mark', 'The agreed mark must be a number from 0 to 100 with at most one decimal, such as 62.5.',
            );
        }

        return new self($value->stripTrailingZeros(), CriterionMarks::usual(), $feedback, $reason);
    }

    /**
     * @param  array<array-key, mixed>  $forms  of criteria, by id, as the rails send them
     *
     * @throws InvalidInput for what a criterion cannot have, or one without a mark
     */
    public static function byCriterion(Rubric $rubric, array $forms, Feedback $feedback, string $reason): self
    {
        $choices = CriterionMarks::usual();
        foreach ($rubric->criteria as $criterion) {
            $form = $forms[$criterion->id()] ?? [];
            $choices = $choices->with($criterion->id(), MarkForm::mark($criterion, is_array($form) ? $form : []));
        }
        $score = Scorer::score($rubric, $choices);
        $missing = array_map(fn (Criterion $criterion) => $criterion->title(), $score->missing());
        $missing === [] || throw InvalidInput::at(
            'criteria', implode(', ', $missing).(count($missing) === 1 ? ' has' : ' have')
                .' no mark yet: an agreed mark needs one on every criterion.',
        );

        return new self($score->percent(), $choices, $feedback, $reason);
    }

    public function isByCriterion(): bool
    {
        return ! $this->choices->isEmpty();
    }
}
