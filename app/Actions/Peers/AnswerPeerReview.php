<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\PeerReview;
use Illuminate\Support\Facades\DB;

/**
 * An author says how useful a review of their work is, and what they will do with it.
 */
final class AnswerPeerReview
{
    /**
     * @param  int<0, 2>  $useful
     */
    public function __invoke(PeerReview $review, int $useful, string $answer): void
    {
        DB::transaction(fn () => PeerReview::query()->lockForUpdate()->findOrFail($review->id)
            ->update(['useful' => $useful, 'answer' => $answer, 'answered_at' => now()]));
    }
}
