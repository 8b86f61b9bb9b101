<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Enums\WorkForm;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Throwable;

/**
 * Freezes what students wrote in discussions that have closed for them since. Run every minute: what stopped in the
 * middle goes on with the next.
 */
final class FreezeDueDiscussions
{
    public function __construct(private readonly FreezeDiscussion $freeze)
    {
    }

    /**
     * @return int how many were frozen
     */
    public function __invoke(): int
    {
        $due = DB::table('participations as p')->join('scripts as s', 's.id', '=', 'p.script_id')
            ->join('assignments as a', 'a.id', '=', 's.assignment_id')->where('a.form', WorkForm::Discussion->value)
            ->whereNotNull('a.published_at')->whereRaw('COALESCE(s.closes_at, s.due_at) <= ?', [now()])
            ->whereRaw('(p.frozen_for IS NULL OR p.frozen_for < COALESCE(s.closes_at, s.due_at))')
            ->orderBy('a.id')->orderBy('s.id')->pluck('s.id');
        $frozen = 0;
        foreach ($due as $script) {
            try {
                $frozen += ($this->freeze)((int) $script) === null ? 0 : 1;
            } catch (Throwable $e) {
                Log::error('What was written in a discussion could not be frozen; it is tried again.', [
                    'script' => $script, 'why' => $e->getMessage(),
                ]);
            }
        }

        return $frozen;
    }
}
