<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Models\DraftCheck;
use App\Models\Handin;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Credit;
use YoungHarbor\Core\Overlap\Piece;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Overlap\Winnowing;
use YoungHarbor\Core\Text\Words;

/**
 * Compares a draft with the hand-ins of its assignment, its own student's and group's left out. Nothing of the draft is
 * put into the index, and what is kept says which of its words stand elsewhere, not where.
 */
final class CompareDraft
{
    private const HASHES = 500;

    public function __invoke(DraftCheck $draft): void
    {
        $words = Words::of($draft->text)->normalForms();
        $candidates = $this->candidates($draft, $words);
        $draft->update(['state' => ReportState::Running, 'compared' => 0, 'to_compare' => count($candidates)]);
        $alignment = new Alignment($draft->script->assignment->overlap_min_words, (int) config('harbor.overlap.gap'));
        $runs = [];
        foreach ($candidates as $n => $id) {
            array_push($runs, ...$alignment->runs($words, Words::of((string) Handin::query()->whereKey($id)->value('text'))->normalForms(), sprintf('%012d', $id)));
            $draft->update(['compared' => $n + 1]);
        }
        $leftOut = $draft->script->assignment->leftOut($words);
        $report = new Report(count($words) - $leftOut->words(), $leftOut->from(Credit::share($runs)));
        $pieces = array_merge([], ...array_map(fn (Run $run) => array_map(fn (Piece $piece) => [$piece->from, $piece->to()], $run->pieces), $report->runs));
        sort($pieces);
        $draft->update(['state' => ReportState::Ready, 'share' => (string) $report->share(), 'pieces' => $pieces]);
    }

    /**
     * @param  list<string>  $words
     * @return list<int> hand-ins that share a fingerprint
     */
    private function candidates(DraftCheck $draft, array $words): array
    {
        $script = $draft->script;
        $hashes = [];
        foreach ((new Winnowing)->fingerprints($words) as $print) {
            $hashes[$print->hash] = true;
        }
        $found = [];
        foreach (array_chunk(array_keys($hashes), self::HASHES) as $chunk) {
            $ids = DB::table('overlap_prints')->join('scripts', fn (JoinClause $join) => $join->on('scripts.current_handin_id', '=', 'overlap_prints.handin_id'))
                ->where('overlap_prints.assignment_id', $script->assignment_id)->whereIn('hash', $chunk)->where('scripts.id', '<>', $script->id)
                ->when($script->group_name, fn ($query, string $group) => $query->where(fn ($query) => $query->whereNull('scripts.group_name')->orWhere('scripts.group_name', '<>', $group)))
                ->distinct()->pluck('overlap_prints.handin_id');
            foreach ($ids as $id) {
                $found[(int) $id] = true;
            }
        }
        ksort($found);

        return array_keys($found);
    }
}
