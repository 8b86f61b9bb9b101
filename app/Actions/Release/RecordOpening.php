<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Result;
use App\Notices\Notices;
use Illuminate\Support\Facades\DB;

/**
 * Records that a student opened a result.
 */
final class RecordOpening
{
    public function __construct(private readonly Logbook $logbook, private readonly Notices $notices)
    {
    }

    /**
     * @param  bool  $toldOf  whether a notice that leads to it is unread
     * @return Result as it is now
     */
    public function __invoke(Result $result, bool $toldOf = true): Result
    {
        if ($result->first_opened_at !== null) {
            $now = now();
            Result::query()->whereKey($result->id)->toBase()->increment('openings', 1, ['last_opened_at' => $now]);
            $toldOf && $this->notices->readAt($result->script->student_id, route('results.show', $result, false));

            return $result->forceFill(['openings' => $result->openings + 1, 'last_opened_at' => $now])->syncOriginal();
        }

        return DB::transaction(function () use ($result): Result {
            $stored = Result::query()->lockForUpdate()->findOrFail($result->id)->setRelation('script', $result->script);
            if ($stored->first_opened_at === null) {
                // A line about a person carries no script code.
                $this->logbook->write(Entry::of(LogEvent::ResultOpened)->on($stored->script->assignment));
            }
            $this->notices->readAt($stored->script->student_id, route('results.show', $stored, false));
            $stored->forceFill([
                'first_opened_at' => $stored->first_opened_at ?? now(), 'last_opened_at' => now(),
                'openings' => $stored->openings + 1,
            ])->save();

            return $stored;
        });
    }
}
