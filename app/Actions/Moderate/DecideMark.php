<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Mark\StoreStandings;
use App\Actions\Moderate\Concerns\LocksOpenScript;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\MarkOffer;

/**
 * A coordinator who marked the script in no seat settles it, as the last resort, with a reason that everyone who reads
 * the working sees.
 */
final class DecideMark
{
    use LocksOpenScript;

    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Script $script, User $coordinator, MarkOffer $offer): Settlement
    {
        return DB::transaction(function () use ($script, $coordinator, $offer): Settlement {
            $stored = $this->lockOpen($script);
            $stored->marks->contains('marker_id', $coordinator->id) && throw new Refused(
                'You marked this script yourself: settle it with the other marker, or let another coordinator decide.',
            );
            $stored->proposals()->where('state', 'open')->update(['state' => 'replaced']);
            $settled = $stored->panel()->decided($offer->mark, $offer->reason, $offer->isByCriterion());
            $settlement = Settlement::keep($stored, $settled, $offer, $coordinator);
            $this->logbook->write(
                Entry::of(LogEvent::MarkDecided)->on($stored)->with(mark: Figure::plain($offer->mark))
                    ->because($offer->reason)->by($coordinator)
            );
            ($this->standings)([$stored->id]);

            return $settlement;
        });
    }
}
