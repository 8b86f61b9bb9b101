<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Models\Mark;
use Illuminate\Support\Facades\DB;

/**
 * Puts a script at the end of its marker's queue with a note why, or takes it up again. What is marked of it stays.
 */
final class SetAside
{
    /**
     * @throws Refused
     */
    public function __invoke(Mark $mark, ?string $reason): void
    {
        DB::transaction(function () use ($mark, $reason): void {
            $stored = Mark::query()->lockForUpdate()->findOrFail($mark->id);
            throw_if($stored->isDone(), new Refused('This mark is done. Open it again to set it aside.'));
            $stored->forceFill(['aside_reason' => $reason])->save();
        });
    }
}
