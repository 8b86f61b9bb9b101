<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use App\Models\MarkComment;
use Illuminate\Support\Facades\DB;

/**
 * Begins a mark from the one its marker made of the same script when all marked together, so that nothing is typed
 * twice.
 */
final class TakeUpTogether
{
    public function __construct(
        private readonly ChangeMark $change,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Mark $mark): void
    {
        DB::transaction(function () use ($mark): void {
            $source = $mark->madeTogether()
                ?? throw new Refused(
                    'There is no mark made together to begin from, or this one is begun already. Nothing was changed.'
                );
            ($this->change)($mark, function (Mark $stored) use ($source): void {
                $stored->choices = $source->choices;
                $stored->general_comment = $source->general_comment;
                foreach ($source->comments()->whereNull('gone_at')->get() as $comment) {
                    MarkComment::query()->create(
                        [
                            'mark_id' => $stored->id,
                            ...$comment->only(['kind', 'criterion', 'body', 'anchor', 'bank_comment_id']),
                        ]
                    );
                }
            });
            $this->logbook->write(
                Entry::of(LogEvent::MarkBegunFromTogether)->on($mark->script)->with(seat: $mark->seat)
            );
        });
    }
}
