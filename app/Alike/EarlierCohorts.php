<?php

declare(strict_types=1);

namespace App\Alike;

use App\Models\Assignment;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Agreement\Bands;

/**
 * Results of earlier cohorts of the same assignment: those it was copied from, and what those were copied from.
 */
final class EarlierCohorts
{
    /** Smaller cohorts are left out: their distribution would tell single results. */
    public const LEAST = 10;

    private const MOST = 8;

    /**
     * @return list<array{title: string, module: string, results: int, mean: float, bands: list<int>}> the latest first; bands are those of the assignment asked about
     */
    public static function of(Assignment $assignment): array
    {
        $boundaries = array_map(fn ($one) => $one->toFloat(), $assignment->scale()->boundaries());
        $found = [];
        for (
            $earlier = Assignment::query()->with('module')->find($assignment->copied_from_id),
            $seen = [$assignment->id];
            $earlier !== null && count($found) < self::MOST && ! in_array($earlier->id, $seen, true);
            $earlier = Assignment::query()->with('module')->find($earlier->copied_from_id)
        ) {
            $seen[] = $earlier->id;
            $marks = DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
                ->where('scripts.assignment_id', $earlier->id)->whereNotNull('results.mark')->pluck('results.mark')
                ->map(fn (mixed $mark) => (float) $mark)->all();
            if (count($marks) < self::LEAST) {
                continue;
            }
            $bands = array_fill(0, count($boundaries) + 1, 0);
            foreach ($marks as $mark) {
                $bands[Bands::of($mark, $boundaries)]++;
            }
            $found[] = [
                'title' => $earlier->title, 'module' => $earlier->module->fullTitle(), 'results' => count($marks),
                'mean' => array_sum($marks) / count($marks), 'bands' => array_values($bands),
            ];
        }

        return $found;
    }
}
