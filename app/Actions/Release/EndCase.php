<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Actions\Mark\StoreStandings;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\IndividualCase;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Ends what was decided for one student alone; it stays to be read.
 */
final class EndCase
{
    public function __construct(private readonly Logbook $logbook, private readonly StoreStandings $standings)
    {
    }

    /**
     * @throws Refused when it is ended already, or the result is out
     */
    public function __invoke(IndividualCase $case, string $reason, User $by): void
    {
        DB::transaction(function () use ($case, $reason, $by): void {
            $script = Script::query()->with(['assignment', 'student', 'result:id,script_id'])->lockForUpdate()
                ->findOrFail($case->script_id);
            $stored = IndividualCase::query()->lockForUpdate()->findOrFail($case->id);
            $stored->ended_at === null || throw new Refused('That is ended already. Nothing was changed.');
            $script->result === null || throw new Refused(
                'The result is out. Correct it instead: a new one takes its place, and the student is told.',
            );
            $stored->update(['ended_at' => now(), 'ended_by' => $by->id, 'ended_reason' => $reason]);
            if ($stored->kind->isOutcome() && $script->held_reason === __('cases.hold')) {
                $script->update(['held_reason' => null]);
            }
            ($this->standings)([$script->id]);
            $this->logbook->write(
                Entry::of(LogEvent::CaseEnded)->on($script->student)->in($script->assignment)->with(what: $stored->kind)
                    ->by($by),
            );
        });
    }
}
