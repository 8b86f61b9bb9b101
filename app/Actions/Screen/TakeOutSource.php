<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\SourceKind;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\OverlapMatch;
use App\Models\OverlapSource;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\SourceIndex;
use YoungHarbor\Core\Text\Words;

/**
 * Takes a text out of the archive, with a reason: nothing is compared with it any more, its words are no longer shown,
 * and reports that named it are worked out without it and say so.
 */
final class TakeOutSource
{
    public function __construct(
        private readonly SourceIndex $index,
        private readonly Logbook $logbook,
        private readonly RecountReport $recount,
    ) {
    }

    /**
     * @return int reports that named it
     *
     * @throws Refused
     */
    public function __invoke(OverlapSource $source, string $reason, User $by): int
    {
        throw_if($source->kind !== SourceKind::Archive, new Refused('Only texts of the archive can be taken out.'));
        $reports = DB::transaction(function () use ($source, $reason, $by): array {
            $stored = OverlapSource::query()->lockForUpdate()->findOrFail($source->id);
            if ($stored->taken_out_at !== null) {
                return [];
            }
            $this->index->remove(
                OverlapSource::ARCHIVE, $stored->id, Prints::possible(Words::of($stored->fullText())->normalForms()),
            );
            // The text of a page that was uploaded goes; a hand-in stays what it is, under its own assignment.
            $stored->update(
                [
                    'taken_out_at' => now(), 'taken_out_by' => $by->id, 'taken_out_reason' => $reason,
                    'text' => $stored->handin_id === null ? '' : null, 'numbers' => '',
                ]
            );
            $reports = OverlapMatch::query()->where('overlap_source_id', $stored->id)->pluck('overlap_report_id')
                ->all();
            $module = Module::query()->findOrFail($stored->module_id);
            $this->logbook->write(
                Entry::of(LogEvent::ArchiveTaken)->in($module)->with(reports: count($reports))
                    ->saying(title: trim("{$stored->title}, {$stored->cohort}", ', '))->because($reason)->by($by)
            );

            return $reports;
        });
        foreach ($reports as $id) {
            ($this->recount)((int) $id);
        }

        return count($reports);
    }
}
