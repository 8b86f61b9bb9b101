<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Screen\CompareWhatIsIn;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\AssignmentTemplate;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Takes a file that students began from away; what is in is compared again, since its words count now.
 */
final class TakeAwayTemplate
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly CompareWhatIsIn $compare,
    ) {
    }

    public function __invoke(AssignmentTemplate $template): void
    {
        $assignment = $template->assignment;
        DB::transaction(function () use ($template, $assignment): void {
            $template->delete();
            $this->logbook->write(
                Entry::of(LogEvent::TemplateTaken)->on($assignment)->with(sha256: $template->sha256)
                    ->saying(file: $template->name)
            );
            ($this->compare)($assignment->unsetRelation('templates'));
        });
        Storage::delete($template->path);
    }
}
