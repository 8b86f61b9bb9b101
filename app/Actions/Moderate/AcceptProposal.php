<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Mark\StoreStandings;
use App\Actions\Moderate\Concerns\LocksOpenScript;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Proposal;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Figures\Figure;

/**
 * The other marker accepts a proposed mark: the script is settled. Nobody accepts their own proposal.
 */
final class AcceptProposal
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
    public function __invoke(Script $script, int $proposalId, User $marker): void
    {
        DB::transaction(function () use ($script, $proposalId, $marker): void {
            $stored = $this->lockOpen($script);
            $proposal = Proposal::query()->where('script_id', $stored->id)->where('state', 'open')
                ->whereKey($proposalId)->first()
                ?? throw new Refused('That proposal has been replaced by another meanwhile. Read the new one below.');
            if ($proposal->proposed_by === $marker->id) {
                throw new Refused('You proposed this mark yourself; the other marker has to accept it.');
            }
            $settled = $stored->panel()->agreed(
                BigDecimal::of($proposal->mark)->stripTrailingZeros(), $proposal->reason,
                ! $proposal->choices->isEmpty(),
            );
            Settlement::keep($stored, $settled, $proposal);
            $proposal->update(['state' => 'accepted', 'accepted_by' => $marker->id]);
            $this->logbook->write(
                Entry::of(LogEvent::ProposalAccepted)->on($stored)->with(mark: Figure::shown($settled->mark))
                    ->by($marker)
            );
            ($this->standings)([$stored->id]);
        });
    }
}
