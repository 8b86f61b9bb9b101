<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\BoardSheet;
use App\Models\Module;
use App\Models\Result;
use App\Models\User;
use App\Release\BoardSheet as Sheet;
use Illuminate\Support\Facades\DB;

/**
 * A board of examiners confirmed a module's results: its sheet is kept as it was, and what is provisional becomes final.
 */
final class ConfirmBoardSheet
{
    public function __construct(
        private readonly Logbook $logbook, private readonly Sheet $sheet, private readonly ConfirmResults $confirm,
    ) {
    }

    /**
     * @param  string  $seen  the digest of the sheet the board had before it
     *
     * @throws Refused when it has changed since, or someone has no candidate number
     */
    public function __invoke(Module $module, string $seen, string $note, User $by): BoardSheet
    {
        return DB::transaction(function () use ($module, $seen, $note, $by): BoardSheet {
            $stored = Module::query()->lockForUpdate()->findOrFail($module->id);
            // Releases and corrections lock their assignment: none goes out between here and the end.
            $assignments = Assignment::query()->where('module_id', $stored->id)->orderBy('id')->lockForUpdate()->get();
            $sheet = $this->sheet->of($stored);
            $sheet['without'] === 0 || throw new Refused(
                trans_choice('board.without', $sheet['without'], ['count' => $sheet['without']])
                    .': they would be missing from the sheet. Draw numbers first. Nothing was confirmed.',
            );
            $sheet['rows'] === [] && throw new Refused('Nobody is on the sheet. Nothing was confirmed.');
            $sheet['digest'] === $seen || throw new Refused(
                'The sheet has changed since this page was opened: a result came out or was corrected, or something was decided. Look at it as it is now. Nothing was confirmed.',
            );
            $confirmed = 0;
            foreach ($assignments as $assignment) {
                $confirmed += $this->hasProvisional($assignment) ? ($this->confirm)($assignment, $by) : 0;
            }
            $this->logbook->write(
                Entry::of(LogEvent::BoardConfirmed)->on($stored)->with(marks: count($sheet['rows']), hash: $seen)
                    ->because($note)->by($by),
            );

            return BoardSheet::query()->create([
                'module_id' => $stored->id, 'sheet' => $sheet, 'digest' => $seen, 'note' => $note,
                'results_confirmed' => $confirmed, 'confirmed_by' => $by->id,
            ]);
        });
    }

    private function hasProvisional(Assignment $assignment): bool
    {
        return Result::query()->whereIn('holding_script_id', $assignment->scripts()->select('id'))
            ->where('provisional', true)->whereNull('confirmed_at')->exists();
    }
}
