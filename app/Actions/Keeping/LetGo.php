<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Enums\KeepingState;
use App\Keeping\DueThings;
use App\Keeping\Letting;
use App\Keeping\LettingGo\Gone;
use App\Keeping\LettingGo\LettingGo;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Institution;
use App\Models\KeepingDecision;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Does what was decided: takes away what of it may go by now. What came to be held meanwhile stays; so does all of it
 * where somebody made the period longer meanwhile.
 */
final class LetGo
{
    public function __construct(
        private readonly Logbook $logbook, private readonly DueThings $things, private readonly Letting $letting,
    ) {
    }

    public function __invoke(KeepingDecision $decision): void
    {
        $gone = DB::transaction(function () use ($decision): ?Gone {
            $stored = KeepingDecision::query()->lockForUpdate()->findOrFail($decision->id);
            if ($stored->state !== KeepingState::Confirmed) {
                return null;
            }
            $gone = $this->go($stored);
            $stored->update(['state' => KeepingState::Gone, 'counts' => $gone->counts, 'gone_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::LetGo)->in($stored->assignment)
                    ->with(what: $stored->kind->value, files: count($gone->paths)),
            );

            return $gone;
        });
        // Only once it is certain: a row whose file is gone would be worse than a file whose row is.
        foreach ($gone->paths ?? [] as $path) {
            Storage::delete($path);
            Storage::deleteDirectory($path);
        }
    }

    private function go(KeepingDecision $decision): Gone
    {
        $how = $this->letting->of($decision->kind);
        if (! $how instanceof LettingGo) {
            $before = DueThings::before(Institution::settings()->keeping, $decision->kind);

            return $before === null ? new Gone([]) : $how($before);
        }
        $assignment = Assignment::query()->lockForUpdate()->findOrFail($decision->assignment_id);
        $thing = $this->things->one($decision->kind, $assignment);
        $scripts = $thing?->due->isPast() === true ? $this->things->scripts($how, $assignment) : [];

        return $scripts === [] ? new Gone([]) : $how($assignment, $scripts);
    }
}
