<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\NoticeKind;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Result;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Facades\DB;

/**
 * Turns an assignment's provisional results into final ones, once a board has confirmed them. Nothing in them changes.
 */
final class ConfirmResults
{
    public function __construct(private readonly Logbook $logbook, private readonly Notices $notices)
    {
    }

    /**
     * @return int how many
     *
     * @throws Refused when none is provisional
     */
    public function __invoke(Assignment $assignment, User $by): int
    {
        return DB::transaction(function () use ($assignment, $by): int {
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $results = Result::query()->whereNull('replaced_at')->where('provisional', true)->whereNull('confirmed_at')
                ->whereIn('script_id', $assignment->scripts()->select('id'))
                ->with('script:id,student_id', 'script.student')->get(['id', 'public_id', 'script_id']);
            $results->isEmpty() && throw new Refused('No result of this assignment is provisional. Nothing was changed.');
            Result::query()->whereKey($results->modelKeys())->update(['confirmed_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::ResultsConfirmed)->on($assignment)->with(scripts: $results->count())->by($by),
            );
            $this->notices->make(array_values($results->map(fn (Result $result) => new NewNotice(
                $result->script->student, NoticeKind::ResultsConfirmed, "confirmed:{$result->public_id}",
                (string) __('notices.confirmed', ['assignment' => $assignment->title]),
                route('results.show', $result, false), $assignment,
                (string) __('notices.confirmed_subject', ['assignment' => $assignment->title]),
                (string) __('notices.confirmed_body', [
                    'name' => $result->script->student->name, 'assignment' => $assignment->title,
                    'module' => $assignment->module->fullTitle(), 'link' => route('results.show', $result),
                ]),
            ))->all()));

            return $results->count();
        });
    }
}
