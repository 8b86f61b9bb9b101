<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Moderate\Concerns\LocksOpenScript;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Proposal;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\MarkOffer;

/**
 * One marker proposes an agreed mark to the other, with a reason. A new proposal takes the place of an open one.
 */
final class ProposeMark
{
    use LocksOpenScript;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Script $script, User $marker, MarkOffer $offer): Proposal
    {
        return DB::transaction(function () use ($script, $marker, $offer): Proposal {
            $stored = $this->lockOpen($script);
            $stored->proposals()->where('state', 'open')->update(['state' => 'replaced']);
            $this->logbook->write(
                Entry::of(LogEvent::MarkProposed)->on($stored)->with(mark: Figure::plain($offer->mark))
                    ->because($offer->reason)->by($marker)
            );

            return Proposal::query()->create([
                'script_id' => $stored->id, 'proposed_by' => $marker->id, 'mark' => (string) $offer->mark,
                'choices' => $offer->choices, 'feedback' => $offer->feedback, 'reason' => $offer->reason,
            ]);
        });
    }
}
