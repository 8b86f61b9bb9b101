<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\PackReader;
use App\Enums\PackState;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\SamplePack;
use App\Models\User;
use App\Queries\Moderate\PackChoice;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\SampleRule;

/**
 * Begins a sample pack for someone to read and sign: scripts chosen by a rule, to be changed by hand before it is sent.
 */
final class MakePack
{
    public function __construct(private readonly PackChoice $choice)
    {
    }

    /**
     * @throws Refused when nothing is agreed yet, or one is being gathered for the same reader
     */
    public function __invoke(
        Assignment $assignment, PackReader $kind, User $reader, SampleRule $rule, bool $recordings, User $by,
    ): SamplePack {
        return DB::transaction(function () use ($assignment, $kind, $reader, $rule, $recordings, $by): SamplePack {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            SamplePack::query()->where('assignment_id', $stored->id)->where('reader_id', $reader->id)
                ->where('state', PackState::Gathering)->exists() && throw new Refused(
                    "A pack for {$reader->name} is being put together already. Send it or drop it first.",
                );
            $chosen = $this->choice->of($stored, $kind, $reader, $rule);
            $pack = SamplePack::query()->create([
                'assignment_id' => $stored->id, 'reader' => $kind, 'reader_id' => $reader->id,
                'state' => PackState::Gathering, 'recordings' => $recordings, 'made_by' => $by->id,
            ]);
            foreach ($chosen as $script => $reasons) {
                $pack->scripts()->create(['script_id' => $script, 'reasons' => $reasons]);
            }

            return $pack;
        });
    }
}
