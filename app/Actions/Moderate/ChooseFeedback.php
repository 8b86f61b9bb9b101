<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Feedback;

/**
 * Says whose comments a student reads with a mark that is settled, until its result is out. The mark stays.
 */
final class ChooseFeedback
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused when nothing is settled, or the result is out
     */
    public function __invoke(Script $script, Feedback $feedback, User $by): void
    {
        DB::transaction(function () use ($script, $feedback, $by): void {
            $stored = Script::query()->lockForUpdate()->findOrFail($script->id);
            $stored->result()->exists() && throw new Refused('Its result is out and does not change any more.');
            $settled = Settlement::query()->where('script_id', $stored->id)->whereNull('undone_at')->lockForUpdate()
                ->first() ?? throw new Refused('This script is not settled yet.');
            $done = $stored->marks()->whereNotNull('done_at')->pluck('seat')->all();
            array_udiff($feedback->from, $done, fn ($a, $b) => $a->value <=> $b->value) === [] || throw new Refused(
                'Choose comments of marks that this script has.', 'from',
            );
            $settled->update(['feedback' => $feedback]);
            $this->logbook->write(Entry::of(LogEvent::FeedbackChosen)->on($stored)->by($by)->with(
                marks: array_map(fn ($seat) => $seat->value, $feedback->from),
            ));
        });
    }
}
