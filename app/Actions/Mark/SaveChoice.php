<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Models\Mark;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Saves what a marker chose and wrote on one criterion.
 */
final class SaveChoice
{
    public function __construct(private readonly ChangeMark $change)
    {
    }

    /**
     * @param  CriterionMark|array<string, mixed>  $choice  or its JSON form; empty to take it back
     *
     * @throws InvalidInput for a mark the criterion cannot have
     */
    public function __invoke(Mark $mark, string $criterion, CriterionMark|array $choice): Mark
    {
        return ($this->change)($mark, function (Mark $stored) use ($criterion, $choice): void {
            $choices = $stored->choices->with(
                $criterion, $choice instanceof CriterionMark ? $choice : CriterionMark::fromArray($choice, $criterion),
            );
            Scorer::score($stored->rubric(), $choices);
            $stored->choices = $choices;
        });
    }
}
