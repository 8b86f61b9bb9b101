<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Alike\EarlierCohorts;
use App\Models\Module;
use App\Release\ModuleMarks;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Agreement\Bands;
use YoungHarbor\Core\Marks\BandScale;

/**
 * How released marks of each assignment and module marks lie in bands, beside those of earlier cohorts.
 *
 * @phpstan-type Line array{what: string, earlier: bool, results: int, mean: float, sd: float|null, bands: list<int>}
 */
final class HowMarksLie
{
    private const MOST_YEARS = 8;

    public function __construct(private readonly ModuleMarks $marks)
    {
    }

    /**
     * @return list<array{bands: list<string>, lines: list<Line>}> a table for each scale in use
     */
    public function of(Module $module): array
    {
        $this->marks->refresh($module);
        $found = [];
        $assignments = $module->assignments()->whereNotNull('published_at')->orderBy('due_at')->orderBy('id')->get();
        $marks = DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
            ->whereIn('scripts.assignment_id', $assignments->modelKeys())->whereNotNull('results.mark')
            ->get(['scripts.assignment_id', 'results.mark'])->groupBy('assignment_id');
        foreach ($assignments as $assignment) {
            $own = $marks->get($assignment->id);
            if ($own === null) {
                continue;
            }
            $found[] = [
                $assignment->scale(), self::line($assignment->title, $own->pluck('mark')->all(), $assignment->scale()),
            ];
            foreach (EarlierCohorts::of($assignment) as $earlier) {
                $found[] = [$assignment->scale(), [
                    'what' => "{$earlier['module']}: {$earlier['title']}", 'earlier' => true, 'sd' => null,
                    'results' => $earlier['results'], 'mean' => $earlier['mean'], 'bands' => $earlier['bands'],
                ]];
            }
        }
        $all = DB::table('module_marks')->where('module_id', $module->id)->where('complete', true)->whereNotNull('mark')
            ->pluck('mark')->all();
        $all === [] || $found[] = [$module->mark_plan->bands, self::line(
            __('module-mark.working').': '.$module->code, $all, $module->mark_plan->bands,
        )];

        foreach ($this->earlier($module) as [$title, $marks]) {
            $found[] = [
                $module->mark_plan->bands, ['earlier' => true] + self::line($title, $marks, $module->mark_plan->bands),
            ];
        }

        return self::tables($found);
    }

    /**
     * Module marks of the modules it was copied from.
     *
     * @return list<array{string, list<mixed>}>
     */
    private function earlier(Module $module): array
    {
        $found = $seen = [];
        $one = Module::query()->find($module->copied_from_id);
        while ($one !== null && ! isset($seen[$one->id]) && count($seen) < self::MOST_YEARS) {
            $seen[$one->id] = true;
            $this->marks->refresh($one);
            $marks = array_values(DB::table('module_marks')->where('module_id', $one->id)->where('complete', true)
                ->whereNotNull('mark')->pluck('mark')->all());
            count($marks) < EarlierCohorts::LEAST || $found[] = [$one->fullTitle(), $marks];
            $one = Module::query()->find($one->copied_from_id);
        }

        return $found;
    }

    /**
     * @param  list<array{BandScale, Line}>  $found
     * @return list<array{bands: list<string>, lines: list<Line>}>
     */
    private static function tables(array $found): array
    {
        $tables = [];
        foreach ($found as [$scale, $line]) {
            $key = (string) json_encode($scale->toArray());
            $tables[$key] = [
                'bands' => array_map(fn ($band) => $band->name, $scale->bands),
                'lines' => [...$tables[$key]['lines'] ?? [], $line],
            ];
        }

        return array_values($tables);
    }

    /**
     * @param  array<mixed>  $marks
     * @return Line
     */
    private static function line(string $what, array $marks, BandScale $scale): array
    {
        $numbers = array_map(floatval(...), array_values($marks));
        $n = count($numbers);
        $mean = array_sum($numbers) / max(1, $n);
        $squares = array_sum(array_map(fn (float $mark) => ($mark - $mean) ** 2, $numbers));
        $boundaries = array_map(fn ($one) => $one->toFloat(), $scale->boundaries());
        $bands = array_fill(0, count($boundaries) + 1, 0);
        foreach ($numbers as $mark) {
            $bands[Bands::of($mark, $boundaries)]++;
        }

        return [
            'what' => $what, 'earlier' => false, 'results' => $n, 'mean' => $mean,
            'sd' => $n < 2 ? null : sqrt($squares / ($n - 1)), 'bands' => array_values($bands),
        ];
    }
}
