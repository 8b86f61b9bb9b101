<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Jobs\WorkOutBaselineJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Models\WritingText;
use Illuminate\Support\Facades\DB;

/**
 * Takes a text out of a baseline: a new version, worked out anew.
 */
final class TakeTextOutOfBaseline
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(WritingText $text, string $reason, User $by): void
    {
        DB::transaction(function () use ($text, $reason, $by): void {
            $baseline = WritingBaseline::query()->lockForUpdate()->findOrFail($text->writing_baseline_id);
            if ($text->refresh()->taken_out_version !== null) {
                return;
            }
            $baseline->update(['version' => $baseline->version + 1]);
            $text->update(['taken_out_version' => $baseline->version, 'taken_out_reason' => $reason]);
            $this->logbook->write(
                Entry::of(LogEvent::BaselineTaken)->in($baseline->module)->with(version: $baseline->version)
                    ->saying(title: $baseline->name)->because($reason)->by($by)
            );
            WorkOutBaselineJob::dispatch($baseline->id)->afterCommit();
        });
    }
}
