<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\Part;
use App\Exceptions\Refused;
use App\Logbook\Logbook;
use App\Models\Mark;
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
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Script $script, int $proposalId, User $marker): void
    {
        DB::transaction(function () use ($script, $proposalId, $marker): void {
            $stored = OpenScript::lock($script);
            $proposal = Proposal::query()->where('script_id', $stored->id)->where('state', 'open')->whereKey($proposalId)->first()
                ?? throw new Refused('That proposal has been replaced by another meanwhile. Read the new one below.');
            if ($proposal->proposed_by === $marker->id) {
                throw new Refused('You proposed this mark yourself; the other marker has to accept it.');
            }
            $first = $stored->mark(Part::First);
            $second = $stored->mark(Part::Second);
            assert($first instanceof Mark && $second instanceof Mark);
            $settled = $stored->assignment->settlement()->agreed($first->exactTotal(), $second->exactTotal(), BigDecimal::of($proposal->mark)->stripTrailingZeros(), $proposal->reason);
            Settlement::query()->create([
                'script_id' => $stored->id, 'mark' => (string) $settled->mark, 'how' => 'agreed',
                'working' => $settled->working->toArray(), 'proposal_id' => $proposal->id,
            ]);
            $proposal->update(['state' => 'accepted', 'accepted_by' => $marker->id]);
            $this->logbook->write('accepted an agreed mark', $stored->code, ['mark' => Figure::plain($settled->mark)], null, $stored->assignment);
        });
    }
}
