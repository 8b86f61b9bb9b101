<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Desk\Beside;
use App\Exceptions\Refused;
use App\Models\Mark;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * The second marker has read the first mark through and agrees with it: in one step a mark of their own that sets the
 * same. The first mark stays a mark of its own.
 */
final class AgreeWithFirst
{
    public function __construct(
        private readonly ChangeMark $change,
        private readonly FinishMark $finish,
    ) {
    }

    /**
     * @param  int  $seen  the lock version of the first mark as it was read
     *
     * @throws Refused when there is nothing to agree with, or it has changed
     */
    public function __invoke(Mark $mark, int $seen): Mark
    {
        return DB::transaction(function () use ($mark, $seen): Mark {
            $mark->view === SecondView::Check || throw new Refused('This mark is one of your own, not a check.');
            $first = Mark::query()->lockForUpdate()->find(Beside::of($mark)->first()?->id)
                ?? throw new Refused('The first mark is not done, so there is nothing to agree with yet.');
            $first->lock_version === $seen || throw new Refused(
                'The first mark has changed since you opened this page. Read it as it is now, then agree.',
            );
            $changed = ($this->change)($mark, function (Mark $stored) use ($first): void {
                $choices = CriterionMarks::usual();
                foreach ($first->rubricVersion->toCore()->criteria as $criterion) {
                    $choices = $choices->with(
                        $criterion->id(),
                        $first->choices->on($criterion->id())
                            ->withComment($stored->choices->on($criterion->id())->comment),
                    );
                }
                $stored->choices = $choices;
            });

            return ($this->finish)($changed);
        });
    }
}
