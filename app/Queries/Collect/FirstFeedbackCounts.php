<?php

declare(strict_types=1);

namespace App\Queries\Collect;

use App\Enums\AskedState;
use App\Models\Assignment;
use App\Models\FirstFeedback;
use App\Models\Script;
use Illuminate\Database\Eloquent\Collection;

/**
 * How much first feedback was asked for and used in an assignment: counts alone, and what students share.
 */
final readonly class FirstFeedbackCounts
{
    private function __construct(
        public int $asked, public int $students, public int $remarks, public int $used, public int $shared,
    ) {
    }

    public static function of(Assignment $assignment): self
    {
        $all = self::all($assignment)->get(['script_id', 'remarks', 'used', 'shared_at']);
        $said = $all->whereNotNull('used');

        return new self(
            $all->count(), $all->unique('script_id')->count(),
            (int) $said->sum(fn (FirstFeedback $one) => count($one->remarks ?? [])),
            (int) $said->sum(fn (FirstFeedback $one) => count($one->used ?? [])),
            $all->whereNotNull('shared_at')->unique('script_id')->count(),
        );
    }

    /**
     * @return Collection<int, FirstFeedback> in the order of names
     */
    public static function shared(Assignment $assignment): Collection
    {
        return self::all($assignment)->whereNotNull('shared_at')->with('student')->get()
            ->sortBy(fn (FirstFeedback $one) => [$one->student->name, $one->id])->values();
    }

    /**
     * @return \Illuminate\Database\Eloquent\Builder<FirstFeedback>
     */
    private static function all(Assignment $assignment): \Illuminate\Database\Eloquent\Builder
    {
        return FirstFeedback::query()->where('state', AskedState::Answered)
            ->whereIn('script_id', Script::query()->where('assignment_id', $assignment->id)->select('id'));
    }
}
