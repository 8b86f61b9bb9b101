<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Models\TrialMark;
use App\Models\TrialScript;
use Illuminate\Support\Facades\DB;

/**
 * Takes a trial script away that nobody has tried yet.
 */
final class TakeTrialScript
{
    /**
     * @throws Refused
     */
    public function __invoke(TrialScript $trial): void
    {
        DB::transaction(function () use ($trial): void {
            TrialMark::query()->where('trial_script_id', $trial->id)->lockForUpdate()->exists()
                && throw new Refused((string) __('peers.trial_tried'));
            TrialScript::query()->whereKey($trial->id)->delete();
        });
    }
}
