<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Enums\ReportState;
use App\Extraction\FileKind;
use App\Extraction\Refusal;
use App\Handins\KeptPiece;
use App\Handins\WorkReader;
use App\Models\DraftCheck;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Storage;
use Throwable;

/**
 * Has a draft read, then compared. Its files are deleted once it is read. One that cannot be read uses no check up.
 */
final class ReadDraftJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneReadingAStudent;
    use Queueable;

    public function __construct(
        public readonly int $draftId,
        public readonly int $studentId,
    ) {
    }

    public function handle(WorkReader $read): void
    {
        $draft = DraftCheck::query()->with('script.student')->find($this->draftId);
        $kept = array_map(
            fn (array $file) => new KeptPiece(
                $file['name'], FileKind::from($file['kind']), Storage::path($file['path']),
            ),
            $draft->files ?? [],
        );
        if ($draft === null || $kept === []) {
            return;
        }
        try {
            $work = $read->read([$draft->script->student], $kept, function (): void {
            });
            $draft->fill(['words' => $work->words, 'text' => $work->text, 'notes' => $work->notes]);
        } catch (Refusal $e) {
            $draft->fill(['state' => ReportState::Failed, 'failure' => mb_substr($e->getMessage(), 0, 600)]);
        }
        $this->forget($draft);
        $draft->state === ReportState::Failed || CompareDraftJob::dispatch($draft->id);
    }

    public function failed(?Throwable $e): void
    {
        $draft = DraftCheck::query()->find($this->draftId);
        $draft === null
            || $this->forget(
                $draft->fill(
                    [
                        'state' => ReportState::Failed,
                        'failure' => 'Reading it was stopped here, through no fault of yours. Try again.',
                    ]
                )
            );
    }

    private function forget(DraftCheck $draft): void
    {
        $paths = array_column($draft->files ?? [], 'path');
        $draft->fill(['files' => null])->save();
        Storage::delete($paths);
    }
}
