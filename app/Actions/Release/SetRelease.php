<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\ReleaseState;
use App\Exceptions\Refused;
use App\Jobs\RunReleaseJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Release;
use App\Models\Script;
use App\Models\User;
use App\Release\Eligible;
use App\Release\ReleasePlan;
use App\Release\WhyResultsWait;
use App\Wording\ReleaseMail;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Says that results are to go out, at once or at a time. {@see RunRelease} lets them.
 */
final class SetRelease
{
    public function __construct(private readonly Logbook $logbook, private readonly WhyResultsWait $why)
    {
    }

    /**
     * @throws Refused when nothing is ready, one that was asked for is not, or results are going out already
     */
    public function __invoke(Assignment $assignment, ReleasePlan $plan, User $by): Release
    {
        try {
            ReleaseMail::check($plan->subject(), $plan->body());
        } catch (InvalidInput $wrong) {
            throw new Refused("The mail is not right: {$wrong->getMessage()}. Nothing was released.", 'body');
        }

        return DB::transaction(function () use ($assignment, $plan, $by): Release {
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $plan->at === null ? $this->refuseUnready($assignment, $plan) : $this->refuseTime($plan);
            $release = Release::query()->create([
                'assignment_id' => $assignment->id, 'scope' => $plan->scope, 'due_at' => $plan->at,
                'state' => $plan->at === null ? ReleaseState::Running : ReleaseState::Set,
                'provisional' => $plan->provisional, 'with_marks' => $plan->withMarks, 'subject' => $plan->subject(),
                'body' => $plan->body(), 'made_by' => $by->id, 'left_out' => [],
                'chosen' => count(Eligible::ids($assignment, $plan->scope, $plan->withMarks)),
            ]);
            $plan->at === null || $this->logbook->write(
                Entry::of(LogEvent::ReleaseSet)->on($assignment)->with(due: $plan->at->toIso8601String())->by($by),
            );

            // At once, but not within the request: the page says how far it is.
            $plan->at === null && RunReleaseJob::dispatch($release->id)->afterCommit();

            return $release;
        });
    }

    private function refuseTime(ReleasePlan $plan): void
    {
        $plan->at?->isAfter(now()->addMinute()) ?? throw new Refused('Say when.', 'at');
        $plan->at->isAfter(now()->addMinute()) || throw new Refused(
            'That time is past or less than a minute away. Nothing was set: choose a later one, or release at once.',
            'at',
        );
        $plan->at->isBefore(now()->addYear()) || throw new Refused(
            'That is more than a year away. Nothing was set.', 'at',
        );
    }

    private function refuseUnready(Assignment $assignment, ReleasePlan $plan): void
    {
        $unsigned = $this->why->of($assignment);
        $unsigned === null || throw new Refused("Nothing was released: {$unsigned}");
        $running = Release::query()->where('assignment_id', $assignment->id)->where('state', ReleaseState::Running)
            ->with('maker')->first();
        $running === null || throw new Refused(
            trans_choice('release.running_already', $running->chosen, [
                'count' => $running->chosen, 'who' => $running->maker->name,
            ]),
        );
        $ready = count(Eligible::ids($assignment, $plan->scope, $plan->withMarks));
        $ready > 0 || throw new Refused('No script is ready to be released. The list says what stands in the way.');
        $plan->scope->isByHand() && $this->refuseLacking($assignment, $plan);
        if (! $plan->scope->isByHand() && $plan->expected !== null && $plan->expected !== $ready) {
            throw new Refused(
                ($ready === 1 ? '1 result is' : "{$ready} results are")
                    ." ready now, not {$plan->expected} as when you opened the page. Nothing was released: look at the list, then release again.",
            );
        }
    }

    private function refuseLacking(Assignment $assignment, ReleasePlan $plan): void
    {
        /** @var Collection<int, Script> $scripts */
        $scripts = Eligible::inScope($assignment, $plan->scope)->with(['result:id,public_id,script_id,mark', 'openCases'])
            ->orderBy('code')->get();
        $not = $scripts->reject(fn (Script $script) => Eligible::is(
            $script->setRelation('assignment', $assignment), $plan->withMarks,
        ));
        if ($not->isNotEmpty() || $scripts->count() < count($plan->scope->codes ?? [])) {
            $named = $not->map(
                fn (Script $script) => $script->code.' ('.__("mark.standing.{$script->standing->value}").')',
            )->implode(', ');
            throw new Refused(
                'Nothing was released, because not all you chose are ready: '.(
                    $named === '' ? 'some codes are not of this assignment' : $named
                ).'.',
            );
        }
    }
}
