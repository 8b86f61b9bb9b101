<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\PackState;
use App\Exceptions\Refused;
use App\Models\SamplePack;
use App\Models\User;
use App\Queries\Moderate\PackChoice;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\WhySampled;

/**
 * Puts scripts into a pack that is not sent yet and takes others out, by hand; or drops it.
 */
final class ChangePack
{
    public function __construct(private readonly PackChoice $choice)
    {
    }

    /**
     * @param  string  $put  a script code; '' for none
     * @param  list<string>  $out  script codes
     *
     * @throws Refused once it is sent, or for a script that cannot be in it
     */
    public function __invoke(SamplePack $pack, string $put, array $out, bool $drop, User $by): void
    {
        DB::transaction(function () use ($pack, $put, $out, $drop): void {
            $stored = SamplePack::query()->lockForUpdate()->findOrFail($pack->id);
            $stored->state === PackState::Gathering || throw new Refused(
                'This pack has been sent: it stays as it is. Make another to send more.',
            );
            if ($drop) {
                $stored->scripts()->delete();
                $stored->delete();

                return;
            }
            $stored->scripts()->whereHas('script', fn ($script) => $script->whereIn('code', $out))->delete();
            if ($put !== '') {
                $script = $this->choice->scripts($stored->assignment, $stored->reader, $stored->person)
                    ->where('code', strtoupper($put))->first() ?? throw new Refused(
                        "{$put} cannot be in this pack: it has no agreed mark here, or its reader marked it.", 'put',
                    );
                $stored->scripts()->firstOrCreate(
                    ['script_id' => $script->id], ['reasons' => [WhySampled::Asked->value]],
                );
            }
        });
    }
}
