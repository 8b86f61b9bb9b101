<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Models\Result;
use Illuminate\Support\Facades\DB;

/**
 * A student says whether a comment, or the feedback as a whole, was useful; saying it anew changes it.
 */
final class RateFeedback
{
    public function __invoke(Result $result, string $about, bool $useful): void
    {
        DB::table('feedback_ratings')->upsert(
            [
                'script_id' => $result->script_id, 'about' => $about, 'useful' => $useful, 'created_at' => now(),
                'updated_at' => now(),
            ],
            ['script_id', 'about'], ['useful', 'updated_at'],
        );
    }
}
