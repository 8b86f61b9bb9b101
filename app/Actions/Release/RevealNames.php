<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\CaseKind;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use Illuminate\Support\Facades\DB;

/**
 * Shows markers whose scripts they marked: the last step, and one that cannot be undone.
 */
final class RevealNames
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused while a script that was handed in is not released
     */
    public function __invoke(Assignment $assignment): void
    {
        DB::transaction(function () use ($assignment): void {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if ($stored->namesRevealed()) {
                throw new Refused('Names have been revealed already.');
            }
            $open = $stored->scripts()->whereNotNull('current_handin_id')->whereDoesntHave('result')
                // Whoever is exempt, deferred or withdrawn gets none.
                ->whereDoesntHave('openCases', fn ($case) => $case->whereIn('kind', CaseKind::outcomes()))->count();
            if ($open > 0 || $stored->scripts()->whereHas('result')->doesntExist()) {
                throw new Refused(
                    'Names come last: '.(
                        $open === 0 ? 'nothing has been released yet.' : "{$open} scripts are not released yet."
                    )
                );
            }
            $stored->forceFill(['names_revealed_at' => now()])->save();
            $this->logbook->write(Entry::of(LogEvent::NamesRevealed)->on($stored));
        });
    }
}
