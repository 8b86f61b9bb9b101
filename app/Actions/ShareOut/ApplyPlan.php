<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Actions\Mark\StoreStandings;
use App\Exceptions\Refused;
use App\Jobs\MakeCopiesJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Seat;

/**
 * Gives scripts out as a plan says. What has been begun since the plan was made stays where it is.
 */
final class ApplyPlan
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @return array{given: int, moved: int, taken: int, stayed: list<string>} marks given out, moved and taken back; codes of those begun meanwhile
     *
     * @throws Refused
     */
    public function __invoke(AllocationPlan $plan, User $by): array
    {
        return DB::transaction(function () use ($plan, $by): array {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($plan->assignment_id);
            $stored = AllocationPlan::query()->lockForUpdate()->findOrFail($plan->id);
            throw_if(
                $stored->state !== 'draft',
                new Refused('This plan has been given out or dropped meanwhile. Look at how things stand now.'),
            );
            throw_if(
                ! $assignment->isPastDue(),
                new Refused('Scripts can still change until the due time; share them out after it.'),
            );
            $done = $this->carryOut($assignment, $stored);
            throw_if(
                $done['given'] + $done['moved'] + $done['taken'] === 0 && $done['stayed'] === [],
                new Refused(
                    'Every script that has been handed in is with a marker already, and this plan changes nothing.'
                ),
            );
            $assignment->forceFill(['shared_out_at' => $assignment->shared_out_at ?? now()])->save();
            $stored->update(['state' => 'applied', 'applied_at' => now()]);
            $this->logbook->write(Entry::of(LogEvent::ScriptsSharedOut)->on($assignment)->by($by)->with(
                given: $done['given'], moved: $done['moved'], taken_back: $done['taken'],
                begun_meanwhile: count($done['stayed']),
                markers: count($stored->settings['markers']),
                shares: implode(' ', array_column($stored->settings['markers'], 'share')),
                moved_by_hand: $stored->moves, seed: $stored->seed, plan: $stored->public_id,
            ));
            MakeCopiesJob::dispatch($assignment->id)->afterCommit();

            return $done;
        });
    }

    /**
     * @return array{given: int, moved: int, taken: int, stayed: list<string>}
     */
    private function carryOut(Assignment $assignment, AllocationPlan $plan): array
    {
        $scripts = Script::query()->where('assignment_id', $assignment->id)
            ->whereIn('code', array_column($plan->entries, 'script'))->with('marks', 'currentHandin:id,read_at')
            ->lockForUpdate()->get()->keyBy('code');
        $people = User::query()->whereIn('public_id', array_filter(array_column($plan->entries, 'marker')))
            ->pluck('id', 'public_id');
        $done = ['given' => 0, 'moved' => 0, 'taken' => 0, 'stayed' => []];
        $moving = [];
        foreach ($plan->entries as $entry) {
            $script = $scripts->get($entry['script']);
            $mark = $script?->mark(Seat::from($entry['part']));
            $to = $entry['marker'] === null ? null : $people[$entry['marker']];
            if ($script === null || $script->currentHandin?->read_at === null || $mark?->marker_id === $to) {
                continue;
            }
            if ($mark !== null && $mark->begun_at !== null) {
                $done['stayed'][] = $entry['script'];

                continue;
            }
            // First out of the way, then back in: two marks of a script may change hands with each other.
            $mark?->delete();
            $moving[] = [$script, $entry['part'], $to];
            $done[match (true) {
                $to === null => 'taken', $mark === null => 'given', default => 'moved'
            }]++;
        }
        foreach ($moving as [$script, $part, $to]) {
            if ($to !== null && Mark::counting()->where('script_id', $script->id)->where('marker_id', $to)->exists()) {
                $done['stayed'][] = $script->code; // the other mark was begun meanwhile by the same person

                continue;
            }
            $to === null || Mark::give($script, Seat::from($part), $to, $assignment);
        }
        ($this->standings)(array_map(fn (array $move) => $move[0]->id, $moving));

        return $done;
    }
}
