<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Enums\KeepingState;
use App\Exceptions\Refused;
use App\Keeping\DueThing;
use App\Keeping\DueThings;
use App\Keeping\NightlyTime;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\KeepingDecision;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Keeping\Kind;

/**
 * Decides about things whose period is over: that they go in the night, or stay until another day for a reason.
 */
final class DecideKeeping
{
    public function __construct(private readonly Logbook $logbook, private readonly DueThings $things)
    {
    }

    /**
     * @param  list<array{Kind, Assignment|null}>  $what
     * @param  Carbon|null  $until  null: they go
     *
     * @throws Refused naming what is not due any more; then nothing is decided
     */
    public function __invoke(array $what, ?Carbon $until, string $reason, User $by): void
    {
        DB::transaction(function () use ($what, $until, $reason, $by): void {
            foreach ($what as [$kind, $assignment]) {
                $assignment === null || Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
                $thing = $this->things->one($kind, $assignment);
                $thing?->waits() === true || throw new Refused(__('keeping.due.not_now', [
                    'kind' => __("keeping.periods.kinds.{$kind->value}.0"),
                    'of' => $assignment->title ?? (string) config('harbor.institution'),
                ]), 'things');
                $this->store($thing, $until, $reason, $by);
            }
        });
    }

    private function store(DueThing $thing, ?Carbon $until, string $reason, User $by): void
    {
        KeepingDecision::query()->create([
            'kind' => $thing->kind, 'assignment_id' => $thing->assignment?->id, 'count' => $thing->free(),
            'state' => $until === null ? KeepingState::Confirmed : KeepingState::Longer,
            'goes_at' => $until === null ? NightlyTime::next() : null, 'keep_until' => $until, 'reason' => $reason,
            'decided_by' => $by->id,
        ]);
        $this->logbook->write(
            Entry::of($until === null ? LogEvent::LettingGoConfirmed : LogEvent::KeptForLonger)->in($thing->assignment)
                ->with(what: $thing->kind->value, found: $thing->free(), to: $until?->format('Y-m-d'))
                ->because($reason)->by($by)
        );
    }
}
