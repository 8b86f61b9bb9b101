<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\PackRequest;
use App\Enums\PackState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\PackNote;
use App\Models\PackScript;
use App\Models\SamplePack;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * A note of the reader's, a request, or the team's answer to one.
 */
final class SayOnPack
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  PackScript|null  $on  null: on the pack as a whole
     *
     * @throws Refused before it is sent and once it is signed
     */
    public function __invoke(
        SamplePack $pack, User $author, string $body, ?PackScript $on = null, ?PackRequest $asks = null,
        ?PackNote $answers = null,
    ): PackNote {
        return DB::transaction(function () use ($pack, $author, $body, $on, $asks, $answers): PackNote {
            $stored = SamplePack::query()->lockForUpdate()->findOrFail($pack->id);
            $stored->state === PackState::Sent || throw new Refused(
                $stored->state === PackState::Signed
                    ? 'This pack is signed: nothing is added to it any more. What you wrote was not kept.'
                    : 'This pack has not been sent yet.',
                'body',
            );
            $asks === null || $this->logbook->write(
                Entry::of(LogEvent::PackRequested)->on($stored->assignment)->with(what: $asks, plan: $stored->public_id)
                    ->because($body)->by($author),
            );
            $answers === null || $this->logbook->write(
                Entry::of(LogEvent::PackAnswered)->on($stored->assignment)->with(plan: $stored->public_id)
                    ->because($body)->by($author),
            );

            return PackNote::query()->create([
                'sample_pack_id' => $stored->id, 'pack_script_id' => $on?->id, 'author_id' => $author->id,
                'kind' => match (true) {
                    $answers !== null => PackNote::ANSWER,
                    $asks !== null => PackNote::REQUEST,
                    default => PackNote::NOTE,
                },
                'asks_for' => $asks, 'answers_id' => $answers?->id, 'body' => $body,
            ]);
        });
    }
}
