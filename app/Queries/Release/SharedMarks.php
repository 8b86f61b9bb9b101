<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Models\Assignment;
use Illuminate\Support\Facades\DB;

/**
 * How released marks of an assignment lie, as its students see them where the coordinator shares it.
 */
final class SharedMarks
{
    /** Of fewer results nothing is told: it would tell single ones. */
    public const LEAST = 5;

    /**
     * @return list<array{band: string, results: int}>|null the lowest band first; null where nothing is told
     */
    public static function of(Assignment $assignment): ?array
    {
        if (! $assignment->release->marksShared) {
            return null;
        }
        $by = DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
            ->where('scripts.assignment_id', $assignment->id)->whereNotNull('results.mark')
            ->groupBy('results.band')->selectRaw('results.band, COUNT(*) AS n')->pluck('n', 'band');
        if ((int) $by->sum() < self::LEAST) {
            return null;
        }

        return array_map(
            fn ($band) => ['band' => $band->name, 'results' => (int) ($by[$band->name] ?? 0)],
            $assignment->scale()->bands,
        );
    }
}
