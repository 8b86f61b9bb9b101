<?php

declare(strict_types=1);

namespace App\Support;

use App\Enums\ReportState;
use App\Models\OverlapRun;
use App\Models\Script;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Text\Words;

/**
 * What the reading page shows of one script: its runs in order, its sources by letter, and one run beside its source.
 */
final class OverlapReading
{
    /** Words of context shown around a run. */
    private const CONTEXT = 90;

    /**
     * @return array<string, mixed>
     */
    public function of(Script $script, int $number): array
    {
        $handin = $script->currentHandin;
        $report = $handin?->report;
        if ($handin === null || $report === null || $report->state !== ReportState::Ready) {
            return ['report' => $report, 'runs' => collect(), 'sources' => [], 'current' => null];
        }
        $runs = $report->runs()->with('source.script:id,code,assignment_id')->orderBy('from_word')->get();
        $letters = $this->letters($runs, $report->counted);
        $number = max(1, min($number, max(1, $runs->count())));
        $run = $runs[$number - 1] ?? null;
        $words = Words::of($handin->text);

        return [
            'report' => $report,
            'runs' => $runs,
            'letters' => $letters,
            'number' => $number,
            'words' => $words->count(),
            'text' => $run === null ? $this->plain($words) : null,
            'current' => $run === null ? null : [
                'run' => $run,
                'letter' => $letters[$run->source_handin_id]['letter'],
                'code' => $run->source->script->code,
                'here' => $this->excerpt($words, array_map(fn (array $p) => [$p[0], $p[0] + $p[2]], $run->pieces)),
                'there' => $this->excerpt(Words::of($run->source->text), array_map(fn (array $p) => [$p[1], $p[1] + $p[2]], $run->pieces)),
            ],
        ];
    }

    /**
     * @param  Collection<int, OverlapRun>  $runs
     * @return array<int, array{letter: string, code: string, words: int, runs: int, share: string, first: int}> by hand-in, most words first
     */
    private function letters(Collection $runs, int $counted): array
    {
        $first = [];
        foreach ($runs as $i => $run) {
            $first[$run->source_handin_id] ??= $i + 1;
        }
        $letter = 'A';
        $sources = [];
        foreach ($runs->groupBy('source_handin_id')->sortByDesc(fn (Collection $group) => $group->sum('words')) as $id => $group) {
            $matched = (int) $group->sum('words');
            $sources[$id] = [
                'letter' => $letter++, 'code' => $group->firstOrFail()->source->script->code, 'words' => $matched,
                'runs' => $group->count(), 'share' => (string) Report::percent($matched, $counted), 'first' => $first[$id],
            ];
        }

        return $sources;
    }

    /**
     * The words around some pieces as parts of text, those inside the pieces marked.
     *
     * @param  list<array{int, int}>  $pieces  word offsets, ends exclusive
     * @return array{before: bool, after: bool, parts: list<array{text: string, same: bool}>}
     */
    private function excerpt(Words $words, array $pieces): array
    {
        usort($pieces, fn (array $a, array $b) => $a[0] <=> $b[0]);
        $from = max(0, $pieces[0][0] - self::CONTEXT);
        $to = min($words->count(), $pieces[count($pieces) - 1][1] + self::CONTEXT);
        $parts = [];
        $byte = $words->list[$from]->start;
        foreach ($pieces as [$start, $end]) {
            $begin = $words->list[$start]->start;
            $stop = $words->list[$end - 1]->end;
            if ($begin < $byte) {
                continue;
            }
            $parts[] = ['text' => substr($words->text, $byte, $begin - $byte), 'same' => false];
            $parts[] = ['text' => substr($words->text, $begin, $stop - $begin), 'same' => true];
            $byte = $stop;
        }
        $parts[] = ['text' => substr($words->text, $byte, $words->list[$to - 1]->end - $byte), 'same' => false];

        return ['before' => $from > 0, 'after' => $to < $words->count(), 'parts' => $parts];
    }

    private function plain(Words $words): string
    {
        return $words->slice(0, min($words->count(), 4 * self::CONTEXT)).($words->count() > 4 * self::CONTEXT ? ' …' : '');
    }
}
