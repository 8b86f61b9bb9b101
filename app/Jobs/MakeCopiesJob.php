<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Documents\HandinCopies;
use App\Extraction\CopyKind;
use App\Models\Handin;
use App\Models\Script;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Makes what markers most often take away before they ask: a script that is asked for sooner is made then.
 */
final class MakeCopiesJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    private const AT_ONCE = 100;

    public int $tries = 3;

    public int $timeout = 240;

    public function __construct(public readonly int $assignmentId)
    {
        $this->onQueue('low');
    }

    public function handle(HandinCopies $copies): void
    {
        $missing = Handin::query()->whereIn(
            'id',
            Script::query()->where('assignment_id', $this->assignmentId)->whereNull('lead_id')
                ->select('current_handin_id'),
        )
            ->where('words', '>', 0)
            ->whereDoesntHave('copies', fn ($copy) => $copy->where('kind', CopyKind::Docx->value))->with('files')
            ->limit(self::AT_ONCE)->get();
        foreach ($missing as $handin) {
            $copies->path($handin, CopyKind::Docx);
        }
        if ($missing->count() === self::AT_ONCE) {
            self::dispatch($this->assignmentId);
        }
    }
}
