<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Models\Result;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * What there is around a result beside itself, in one query: on results night there is nothing yet, and so nothing is
 * asked for.
 */
final readonly class AroundResult
{
    /**
     * @param  int  $seen  comments that came into view
     * @param  bool  $toldOf  whether a notice that leads to it is unread
     */
    private function __construct(
        public int $seen, public bool $hasThreads, public bool $hasRatings, public bool $hasReview, public bool $toldOf,
    ) {
    }

    public static function of(Result $result, User $person): self
    {
        $path = route('results.show', $result, false);
        $row = DB::selectOne(
            'SELECT (SELECT COUNT(*) FROM comment_views WHERE result_id = ?) AS seen,
                EXISTS (SELECT 1 FROM reply_threads WHERE script_id = ?) AS threads,
                EXISTS (SELECT 1 FROM feedback_ratings WHERE script_id = ?) AS ratings,
                EXISTS (SELECT 1 FROM reviews WHERE result_id = ? OR new_result_id = ?) AS review,
                EXISTS (SELECT 1 FROM notices WHERE user_id = ? AND read_at IS NULL
                    AND (link = ? OR link LIKE ?)) AS told',
            [
                $result->id, $result->script_id, $result->script_id, $result->id, $result->id, $person->id, $path,
                "{$path}#%",
            ],
        );

        return new self(
            (int) $row->seen, (bool) $row->threads, (bool) $row->ratings, (bool) $row->review, (bool) $row->told,
        );
    }
}
