<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Actions\Mark\StoreStandings;
use App\Enums\CaseKind;
use App\Enums\NoticeKind;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\IndividualCase;
use App\Models\Script;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\Adjustment;

/**
 * Decides something for one student alone, until the result is out. What takes the place of a mark keeps a script that
 * was handed in from going out.
 */
final class OpenCase
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
        private readonly Notices $notices,
    ) {
    }

    /**
     * @param  string  $marks  for an adjustment
     *
     * @throws Refused
     */
    public function __invoke(Script $script, CaseKind $kind, string $marks, string $reason, User $by): IndividualCase
    {
        try {
            $adjustment = $kind === CaseKind::Adjusted ? Adjustment::of($marks) : null;
        } catch (InvalidInput $wrong) {
            throw new Refused("The adjustment is not right: {$wrong->getMessage()}. Nothing was changed.", 'marks');
        }

        return DB::transaction(function () use ($script, $kind, $adjustment, $reason, $by): IndividualCase {
            $script->lead_id === null || Script::query()->lockForUpdate()->findOrFail($script->lead_id);
            $stored = Script::query()->with(['assignment.module', 'student', 'result:id,script_id'])->lockForUpdate()
                ->findOrFail($script->id);
            $this->refuse($stored, $kind);
            $case = IndividualCase::query()->create([
                'script_id' => $stored->id, 'kind' => $kind, 'marks' => $adjustment === null ? null : (string) $adjustment->marks,
                'reason' => $reason, 'decided_by' => $by->id,
            ]);
            if ($kind->isOutcome() && $stored->current_handin_id !== null && $stored->held_reason === null) {
                // Scripts stand by code where this is read: what was decided for a name is not said there.
                $stored->update(['held_reason' => __('cases.hold')]);
            }
            ($this->standings)([$stored->id]);
            // The reason stays on the student's page: it may be about health.
            $this->logbook->write(
                Entry::of(LogEvent::CaseDecided)->on($stored->student)->in($stored->assignment)
                    ->with(what: $kind, constant: $case->marks)->by($by),
            );
            $kind->isOutcome() && $kind !== CaseKind::Zero && $this->tell($stored, $case);

            return $case;
        });
    }

    private function refuse(Script $script, CaseKind $kind): void
    {
        $script->result === null || throw new Refused(
            'The result is out. Correct it instead: a new one takes its place, and the student is told.', 'kind',
        );
        $script->openCase($kind) === null || throw new Refused(
            'That is decided for this student already. End it before you decide it anew.', 'kind',
        );
        $other = $kind->isOutcome() ? $script->outcomeCase() : null;
        $other === null || throw new Refused(
            "This student is “{$other->inWords()}” here. End that first: only one can take the place of a mark.", 'kind',
        );
        if ($kind->isForNothing()) {
            $script->current_handin_id === null || throw new Refused(
                'Work was handed in here, so this does not fit. Nothing was changed.', 'kind',
            );
            $script->takesHandIns() && throw new Refused(
                'Work can still be handed in until '.\App\Wording\LocalTime::shown($script->closes_at)
                    .'. Nothing was changed.',
                'kind',
            );
        }
    }

    private function tell(Script $script, IndividualCase $case): void
    {
        $values = [
            'name' => $script->student->name, 'assignment' => $script->assignment->title,
            'module' => $script->assignment->module->fullTitle(), 'what' => $case->inWords(),
            'link' => route('hand-in.show', $script->assignment),
        ];
        $this->notices->make([new NewNotice(
            $script->student, NoticeKind::CaseDecided, "case:{$case->public_id}",
            (string) __('notices.case', $values), route('hand-in.show', $script->assignment, false),
            $script->assignment, (string) __('notices.case_subject', $values), (string) __('notices.case_body', $values),
        )]);
    }
}
