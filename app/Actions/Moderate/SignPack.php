<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\PackState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\PackNote;
use App\Models\SamplePack;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * The reader of a pack signs it, with a statement. After that nothing is added to it.
 */
final class SignPack
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused before it is sent, twice, or while a request has no answer
     */
    public function __invoke(SamplePack $pack, string $statement, User $by): void
    {
        DB::transaction(function () use ($pack, $statement, $by): void {
            $stored = SamplePack::query()->lockForUpdate()->findOrFail($pack->id);
            $stored->state === PackState::Signed && throw new Refused('You have signed this pack already.');
            $stored->state === PackState::Sent || throw new Refused('This pack has not been sent yet.');
            $open = PackNote::query()->where('sample_pack_id', $stored->id)->where('kind', PackNote::REQUEST)
                ->whereDoesntHave('answers')->count();
            $open === 0 || throw new Refused(
                'What you asked for has no answer yet, so it is not signed. The team sees your request on Today.',
                'statement',
            );
            $stored->update(['state' => PackState::Signed, 'statement' => $statement, 'signed_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::PackSigned)->on($stored->assignment)
                    ->with(scripts: $stored->scripts()->count(), plan: $stored->public_id)->because($statement)
                    ->by($by),
            );
        });
    }
}
