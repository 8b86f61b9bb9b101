<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Models\Handin;
use App\Models\OverlapReport;
use App\Models\OverlapRun;
use App\Models\Script;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Credit;
use YoungHarbor\Core\Overlap\Piece;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Overlap\Winnowing;
use YoungHarbor\Core\Text\Words;

/**
 * Compares one hand-in with the current hand-ins of the same assignment: candidates by shared fingerprints, then exact
 * alignment of each, then credit of every matched word to one source. Only attempts that count are compared.
 */
final class CompareHandin
{
    /** Progress is written this often, in compared scripts. */
    private const STEP = 10;

    /**
     * @param  bool  $indexing  whether this hand-in is new, so that those it shares text with have to be compared again
     * @return list<int> hand-ins whose own reports have to learn of this one
     */
    public function __invoke(Handin $handin, bool $indexing): array
    {
        $script = $handin->script;
        $report = OverlapReport::query()->firstOrCreate(['handin_id' => $handin->id]);
        if ($script->current_handin_id !== $handin->id) {
            // Replaced meanwhile: a later attempt is compared in its place.
            $report->delete();

            return [];
        }
        $report->update(['state' => ReportState::Running, 'failure' => null, 'compared' => 0, 'to_compare' => 0]);
        $words = Words::of($handin->text)->normalForms();
        $outdated = $indexing ? $this->index($handin, $script, $words) : [];
        $candidates = $this->candidates($handin, $script->assignment_id, $script->group_name);
        $report->update(['to_compare' => $candidates->count()]);
        $runs = $this->runs($words, $candidates, $report, $script->assignment->overlap_min_words);
        $leftOut = $script->assignment->leftOut($words);
        $this->store($report, new Report(count($words) - $leftOut->words(), $leftOut->from(Credit::share($runs))), $leftOut->words());

        return $indexing ? array_values(array_unique([...$outdated, ...$candidates->all()])) : [];
    }

    /**
     * @param  list<string>  $words
     * @return list<int> current hand-ins whose reports named an earlier attempt of this script
     */
    private function index(Handin $handin, Script $script, array $words): array
    {
        $earlier = Handin::query()->where('script_id', $script->id)->whereKeyNot($handin->id)->pluck('id')->all();
        $hashes = [];
        foreach ((new Winnowing)->fingerprints($words) as $print) {
            $hashes[$print->hash] = true;
        }
        $outdated = OverlapRun::query()->whereIn('source_handin_id', $earlier)
            ->join('overlap_reports', 'overlap_reports.id', '=', 'overlap_runs.overlap_report_id')
            ->distinct()->pluck('overlap_reports.handin_id')->map(fn ($id) => (int) $id)->all();
        DB::transaction(function () use ($handin, $script, $earlier, $hashes): void {
            DB::table('overlap_prints')->whereIn('handin_id', [$handin->id, ...$earlier])->delete();
            OverlapReport::query()->whereIn('handin_id', $earlier)->delete();
            foreach (array_chunk(array_keys($hashes), 1000) as $chunk) {
                DB::table('overlap_prints')->insert(array_map(fn (int $hash) => [
                    'assignment_id' => $script->assignment_id, 'handin_id' => $handin->id, 'hash' => $hash,
                ], $chunk));
            }
        });

        return array_values($outdated);
    }

    /**
     * @return Collection<int, int> hand-ins of other scripts that share at least one fingerprint
     */
    private function candidates(Handin $handin, int $assignmentId, ?string $group): Collection
    {
        return DB::table('overlap_prints as mine')
            ->join('overlap_prints as other', fn (JoinClause $join) => $join
                ->on('other.assignment_id', '=', 'mine.assignment_id')
                ->on('other.hash', '=', 'mine.hash')
                ->on('other.handin_id', '!=', 'mine.handin_id'))
            ->join('scripts', 'scripts.current_handin_id', '=', 'other.handin_id')
            // What a group handed in together is no overlap.
            ->when($group, fn ($query) => $query->where(fn ($query) => $query->whereNull('scripts.group_name')->orWhere('scripts.group_name', '<>', $group)))
            ->where('mine.handin_id', $handin->id)
            ->where('mine.assignment_id', $assignmentId)
            ->distinct()->orderBy('other.handin_id')->pluck('other.handin_id')->map(fn ($id) => (int) $id);
    }

    /**
     * @param  list<string>  $words
     * @param  Collection<int, int>  $candidates
     * @return list<Run> sources are named by their hand-in's id, so that ties fall the same way each time
     */
    private function runs(array $words, Collection $candidates, OverlapReport $report, int $leastWords): array
    {
        $alignment = new Alignment($leastWords, (int) config('harbor.overlap.gap'));
        $runs = [];
        foreach ($candidates as $n => $id) {
            $source = Words::of((string) Handin::query()->whereKey($id)->value('text'))->normalForms();
            array_push($runs, ...$alignment->runs($words, $source, sprintf('%012d', $id)));
            if (($n + 1) % self::STEP === 0) {
                $report->update(['compared' => $n + 1]);
            }
        }

        return $runs;
    }

    private function store(OverlapReport $report, Report $found, int $leftOut): void
    {
        DB::transaction(function () use ($report, $found, $leftOut): void {
            OverlapReport::query()->lockForUpdate()->find($report->id);
            $report->runs()->delete();
            foreach ($found->runs as $run) {
                $report->runs()->create([
                    'source_handin_id' => (int) $run->source,
                    'from_word' => $run->from(),
                    'to_word' => $run->to(),
                    'source_from' => $run->sourceFrom(),
                    'source_to' => $run->sourceTo(),
                    'words' => $run->words(),
                    'pieces' => array_map(fn (Piece $piece) => [$piece->from, $piece->sourceFrom, $piece->length], $run->pieces),
                ]);
            }
            $report->update([
                'state' => ReportState::Ready, 'compared' => $report->to_compare, 'counted' => $found->counted, 'left_out' => $leftOut,
                'matched' => $found->matched(), 'share' => (string) $found->share(), 'finished_at' => now(),
            ]);
        });
    }
}
