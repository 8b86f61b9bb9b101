<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\Script;
use Closure;
use Illuminate\Support\Facades\DB;

/**
 * The one way through which an open mark changes: the row is locked, a finished or released one is refused, and what
 * other tabs saved on other criteria stays.
 */
final class ChangeMark
{
    public function __construct(private readonly StoreStandings $standings)
    {
    }

    /**
     * @param  Closure(Mark): void  $change
     *
     * @throws Refused
     */
    public function __invoke(Mark $mark, Closure $change): Mark
    {
        return DB::transaction(function () use ($mark, $change): Mark {
            // The script's row is the lock for everything that happens to its marks.
            $script = Script::query()->lockForUpdate()->findOrFail($mark->script_id);
            $stored = Mark::query()->lockForUpdate()->findOrFail($mark->id);
            if ($stored->marker_id !== $mark->marker_id || $stored->isHandedOver()) {
                throw new Refused(
                    'This script has been given to another marker meanwhile. What you wrote last was not saved.'
                );
            }
            if ($stored->isStudents()) {
                $this->checkRound($stored);
            } elseif ($script->result()->exists()) {
                throw new Refused(
                    "The result of {$script->code} has been released; its marks no longer change. What you wrote last was not saved."
                );
            }
            if ($stored->isDone() && ! $stored->isStudents()) {
                throw new Refused('This mark is done. Open it again to change it; what you wrote last was not saved.');
            }
            $change($stored);
            $begins = $stored->begun_at === null;
            $stored->begun_at ??= now();
            if ($stored->isDirty()) {
                $stored->lock_version++;
            }
            $stored->save();
            $begins && $stored->counts && ($this->standings)([$stored->script_id]);

            return $stored;
        });
    }

    /**
     * @throws Refused when nothing of a student's review can change any more
     */
    private function checkRound(Mark $stored): void
    {
        $review = $stored->peerReview;
        $why = match (true) {
            $review === null, $review->returned_at !== null => 'peers.gone_meanwhile',
            $review->round->isClosed() => 'peers.closed_meanwhile',
            $stored->isDone() => 'peers.done_meanwhile',
            default => null,
        };
        $why === null || throw new Refused((string) __($why));
    }
}
