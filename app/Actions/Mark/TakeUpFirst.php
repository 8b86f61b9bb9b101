<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Desk\Beside;
use App\Exceptions\Refused;
use App\Models\Mark;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * Begins a mark that checks another from what that one set, without its words, to change what its marker sees
 * differently.
 */
final class TakeUpFirst
{
    public function __construct(private readonly ChangeMark $change)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Mark $mark): void
    {
        DB::transaction(function () use ($mark): void {
            $first = Beside::of($mark)->first()
                ?? throw new Refused('There is no finished mark to begin from. Nothing was changed.');
            ($this->change)($mark, function (Mark $stored) use ($first): void {
                $stored->choices->isEmpty() || throw new Refused(
                    'You have begun already, so nothing was taken over. Take back what you set to begin from the first mark.',
                );
                $choices = CriterionMarks::usual();
                foreach ($first->choices->criteria() as $criterion) {
                    $choices = $choices->with($criterion, $first->choices->on($criterion)->withComment(''));
                }
                $stored->choices = $choices;
            });
        });
    }
}
