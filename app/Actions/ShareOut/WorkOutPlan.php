<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\AssignmentMarker;
use App\Models\User;
use App\Queries\ShareOut\GivenMark;
use App\Queries\ShareOut\Planning;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Allocation\GivenScript as Placed;
use YoungHarbor\Core\Allocation\MarkerObstacle;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Allocation\UnplacedMark;
use YoungHarbor\Core\Marking\Seat;

/**
 * Works out who is to mark what, as a draft that nobody but coordinators sees. What is begun stays where it is; what is
 * not begun stays too, unless its marker no longer marks, has a conflict of interest recorded since, or loads are to be
 * evened out. What the core cannot plan (nobody marks, a share that is none) it refuses as invalid input, and nothing
 * changes.
 */
final class WorkOutPlan
{
    public function __construct(private readonly Planning $planning)
    {
    }

    /**
     * @param  list<array{marker: string, share: string, sections: list<string>|null}>  $markers  people of the module by public id
     * @param  bool  $evenOut  whether work that is not begun may move between those who go on marking
     */
    public function __invoke(
        Assignment $assignment, array $markers, int $seed, bool $keepGroups, bool $evenOut, User $by,
    ): AllocationPlan {
        return DB::transaction(function () use (
            $assignment, $markers, $seed, $keepGroups, $evenOut, $by,
        ): AllocationPlan {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $parts = Planning::parts($stored);
            // Third marks are given out where scripts are settled, and no plan moves them.
            $now = array_values(array_filter(
                $this->planning->marks($stored), fn (GivenMark $mark) => $mark->part !== Seat::Third->value,
            ));
            $marking = array_column($markers, 'marker');
            $scripts = $this->planning->scripts($stored);
            $works = $this->planning->works($stored, $scripts);
            $sampled = Planning::sampled($stored, $scripts);
            $people = $this->planning->markers($stored, $markers);
            $byCode = array_column($works, null, 'id');
            $byId = array_column($people, null, 'id');
            $stays = fn (GivenMark $mark): bool => $mark->isBegun
                || (! $evenOut && in_array($mark->marker, $marking, true)
                // Recorded since it was given out: it goes to someone else.
                && (
                    ! isset($byCode[$mark->code])
                    || $byId[$mark->marker]->obstacle($byCode[$mark->code]) !== MarkerObstacle::Conflict
                ));
            $kept = array_map(
                fn (GivenMark $mark) => new Placed($mark->code, $mark->marker, $mark->part), array_filter($now, $stays),
            );
            $plan = MarkerPlan::make(
                $works, $people, $seed, $sampled === null ? count($parts) : 1, null, $keepGroups, array_values($kept),
                $sampled,
            );
            $this->remember($stored, $markers, $keepGroups);
            AllocationPlan::query()->where('assignment_id', $stored->id)->where('state', 'draft')
                ->update(['state' => 'dropped']);

            return AllocationPlan::query()->create([
                'assignment_id' => $stored->id, 'seed' => $seed, 'state' => 'draft', 'made_by' => $by->id,
                'settings' => ['markers' => $markers, 'keep_groups' => $keepGroups, 'even_out' => $evenOut],
                'entries' => $this->entries($plan, $now, $stays), 'notes' => $plan->notes,
                'unplaced' => array_map(fn (UnplacedMark $one) => $one->toArray(), $plan->unplaced),
            ]);
        });
    }

    /**
     * @param  list<GivenMark>  $now
     * @param  callable(GivenMark): bool  $stays
     * @return list<array{script: string, part: string, marker: string|null, from: string|null, fixed: bool}>
     */
    private function entries(MarkerPlan $plan, array $now, callable $stays): array
    {
        $entries = [];
        foreach ($now as $mark) {
            $entries["{$mark->code} {$mark->part}"] = [
                'script' => $mark->code, 'part' => $mark->part, 'marker' => $stays($mark) ? $mark->marker : null,
                'from' => $mark->marker, 'fixed' => $mark->isBegun,
            ];
        }
        foreach ($plan->given as $one) {
            $entries["{$one->script} {$one->part}"] = [
                'script' => $one->script, 'part' => $one->part, 'marker' => $one->marker,
                'from' => $entries["{$one->script} {$one->part}"]['from'] ?? null, 'fixed' => false,
            ];
        }
        foreach ($plan->unplaced as $one) {
            $entries["{$one->script} {$one->part}"] ??= [
                'script' => $one->script, 'part' => $one->part, 'marker' => null, 'from' => null, 'fixed' => false,
            ];
        }
        uasort(
            $entries,
            fn (array $a, array $b) => [
                $a['script'], $a['part'] === Seat::First->value ? 0 : 1,
            ] <=> [$b['script'], $b['part'] === Seat::First->value ? 0 : 1],
        );

        return array_values($entries);
    }

    /**
     * @param  list<array{marker: string, share: string, sections: list<string>|null}>  $markers
     */
    private function remember(Assignment $assignment, array $markers, bool $keepGroups): void
    {
        $ids = User::query()->whereIn('public_id', array_column($markers, 'marker'))->pluck('id', 'public_id');
        AssignmentMarker::query()->where('assignment_id', $assignment->id)->delete();
        foreach ($markers as $one) {
            AssignmentMarker::query()->create(
                [
                    'assignment_id' => $assignment->id, 'user_id' => $ids[$one['marker']], 'share' => $one['share'],
                    'sections' => $one['sections'],
                ]
            );
        }
        $assignment->forceFill(['keep_groups' => $keepGroups])->save();
    }
}
