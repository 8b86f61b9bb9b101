<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\PeerReview;
use Illuminate\Support\Facades\DB;

/**
 * A student who rated their own work writes what they learnt from the difference, once the result is out.
 */
final class SayWhatWasLearnt
{
    public function __invoke(PeerReview $own, string $text): void
    {
        DB::transaction(fn () => PeerReview::query()->lockForUpdate()->findOrFail($own->id)
            ->update(['answer' => $text, 'answered_at' => $text === '' ? null : now()]));
    }
}
