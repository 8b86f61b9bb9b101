<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Logbook\Logbook;
use App\Models\Mark;
use App\Models\Script;
use Illuminate\Support\Facades\DB;

/**
 * Takes "done" back, until moderation has begun: that is, until every mark of the script is done.
 */
final class ReopenMark
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Mark $mark): void
    {
        DB::transaction(function () use ($mark): void {
            $script = Script::query()->lockForUpdate()->findOrFail($mark->script_id);
            $stored = Mark::query()->lockForUpdate()->findOrFail($mark->id);
            if (! $stored->isDone()) {
                return;
            }
            if ($script->result()->exists()) {
                throw new Refused("The result of {$script->code} has been released; its marks no longer change.");
            }
            if ($stored->part->counts() && $script->marks()->count() > 1 && $script->marks()->whereNull('done_at')->doesntExist()) {
                throw new Refused('Both marks of this script are in, so moderation has begun. If yours should change, settle it with the other marker.');
            }
            $before = $stored->shownTotal();
            $stored->part->counts() && $script->settlement()->delete();
            $stored->forceFill(['done_at' => null, 'total' => null, 'lock_version' => $stored->lock_version + 1])->save();
            $this->logbook->write("opened a {$stored->part->value} mark again", $script->code, ['before' => $before], null, $script->assignment);
        });
    }
}
