<?php

declare(strict_types=1);

namespace App\Queries\Screen;

use App\Enums\OverlapReader;
use App\Enums\ReportState;
use App\Models\DraftCheck;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Script;
use App\Screening\ReportFigures;
use App\Wording\OverlapWords;
use LogicException;
use YoungHarbor\Core\Overlap\Figures;
use YoungHarbor\Core\Overlap\Piece;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Text\Words;

/**
 * What the reading page shows: the script with its runs marked, its sources by letter, and one run beside its source.
 * The same for staff and for students, who see no source that another student wrote.
 */
final class OverlapReading
{
    /** Words of context shown around a run in an excerpt. */
    private const CONTEXT = 90;

    /**
     * @param  array<array-key, mixed>  $asked  run, whole and hide, as a page's address has them
     * @return array<string, mixed>|null null while there is nothing to read
     */
    public function ofReport(OverlapReport $report, Script $script, array $asked, OverlapReader $reader): ?array
    {
        if ($report->state !== ReportState::Ready || $report->places === null) {
            return null;
        }
        $figures = ReportFigures::of($report);
        $gone = $report->matches->filter(fn ($match) => $match->source->taken_out_at !== null);

        return [
            ...$this->reading(
                $figures, Words::of($report->handin->text), $script, $asked, $reader, $report->hiding ?? [],
            ),
            'gone' => OverlapSource::query()->whereKey($gone->pluck('overlap_source_id'))->get(), 'report' => $report,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array<string, mixed>
     */
    public function ofDraft(DraftCheck $draft, array $asked): array
    {
        return $this->reading(
            $draft->figures(), Words::of($draft->text), $draft->script, $asked, OverlapReader::Student, [],
        );
    }

    /**
     * The words of each run in the script and in its source, for a document that shows them all.
     *
     * @param  array<string, mixed>  $reading
     * @return list<array{here: string, there: string}>
     */
    public function passages(array $reading): array
    {
        // The texts of all sources in one query; words are taken from one at a time.
        $sources = OverlapSource::query()->with('handin:id,text')
            ->whereKey(array_unique(array_column($reading['runs'], 'source')))->get()->keyBy('id');
        $texts = [];
        $passages = [];
        $script = Words::of(implode('', array_column($reading['script'], 'text')));
        foreach ($reading['runs'] as $run) {
            if (! $reading['sources'][$run['source']]['readable']) {
                $passages[] = ['here' => $script->slice($run['from'], $run['to']), 'there' => ''];

                continue;
            }
            $words = $texts[$run['source']] ??= Words::of($sources->get($run['source'])?->fullText() ?? '');
            $passages[] = [
                'here' => $script->slice($run['from'], $run['to']),
                'there' => $words->count() < $run['source_to']
                    ? ''
                    : $words->slice($run['source_from'], $run['source_to']),
            ];
        }

        return $passages;
    }

    /**
     * What is kept with an entry of the conversation record: as a marker may read it, since one can be let read the
     * record.
     *
     * @return array{sum: string, close: string, sources: list<string>, passage: string|null}
     */
    public function evidence(Script $script, ?int $run): array
    {
        $report = $script->currentHandin?->report;
        $reading = $report === null ? null : $this->ofReport($report, $script, ['run' => $run], OverlapReader::Marker);
        if ($reading === null) {
            return ['sum' => 'Not compared when this was written.', 'close' => '', 'sources' => [], 'passage' => null];
        }
        /** @var Figures $figures */
        $figures = $reading['figures'];

        return [
            'sum' => $figures->report->share().' %: '.OverlapWords::sum($figures).' '.OverlapWords::leftOut($figures),
            'close' => OverlapWords::close($figures),
            'sources' => array_values(
                array_map(
                    fn (array $source) => "{$source['letter']}: {$source['label']}, {$source['where']}, {$source['words']} words",
                    $reading['sources'],
                )
            ),
            'passage' => $run === null || $reading['current'] === null ? null : $reading['current']['passage'],
        ];
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @param  list<array{kind: string, from?: int, to?: int, note?: string}>  $hiding
     * @return array<string, mixed>
     */
    private function reading(
        Figures $figures, Words $words, Script $script, array $asked, OverlapReader $reader, array $hiding,
    ): array {
        $all = $this->runs($figures);
        $sources = $this->sources($figures, $all, $script, $reader);
        $hidden = array_values(
            array_intersect(array_column($sources, 'letter'), is_array($asked['hide'] ?? null) ? $asked['hide'] : [])
        );
        $runs = array_values(
            array_filter($all, fn (array $run) => ! in_array($sources[$run['source']]['letter'], $hidden, true))
        );
        foreach ($runs as $n => $run) {
            $runs[$n]['letter'] = $sources[$run['source']]['letter'];
            $runs[$n]['number'] = $n + 1;
            $sources[$run['source']]['first'] ??= $n + 1;
        }
        $number = max(1, min(is_numeric($asked['run'] ?? null) ? (int) $asked['run'] : 1, max(1, count($runs))));
        $current = $runs[$number - 1] ?? null;
        $whole = ($asked['whole'] ?? null) === '1' && ($current === null || $sources[$current['source']]['whole']);

        return [
            'figures' => $figures, 'runs' => $runs, 'sources' => $sources, 'number' => $number,
            'words' => $words->count(), 'whole' => $whole, 'hide' => $hidden,
            'hiding' => $this->findings($hiding, $words),
            'script' => $this->marked($words, $runs, $figures, $hiding, $number),
            'current' => $current === null ? null : [
                ...$current, 'passage' => $words->slice($current['from'], $current['to']),
                'there' => $sources[$current['source']]['readable']
                    ? $this->source(
                        $current['source'],
                        array_values(array_filter($runs, fn (array $run) => $run['source'] === $current['source'])),
                        $number, $whole,
                    )
                    : null,
            ],
        ];
    }

    /**
     * @return list<array{kind: string, source: int, from: int, to: int, source_from: int, source_to: int, words: int, pieces: list<Piece>}>
     */
    private function runs(Figures $figures): array
    {
        $runs = [];
        foreach (['same' => $figures->report->runs, 'close' => $figures->close] as $kind => $of) {
            foreach ($of as $run) {
                $runs[] = $this->run($kind, $run);
            }
        }
        usort($runs, fn (array $a, array $b) => [$a['from'], $a['to']] <=> [$b['from'], $b['to']]);

        return $runs;
    }

    /**
     * @return array{kind: string, source: int, from: int, to: int, source_from: int, source_to: int, words: int, pieces: list<Piece>}
     */
    private function run(string $kind, Run $run): array
    {
        $there = array_map(fn (Piece $piece) => $piece->sourceFrom, $run->pieces);

        return [
            'kind' => $kind, 'source' => (int) $run->source, 'from' => $run->from(), 'to' => $run->to(),
            'source_from' => min($there),
            'source_to' => max(array_map(fn (Piece $piece) => $piece->sourceTo(), $run->pieces)),
            'words' => $run->words(), 'pieces' => $run->pieces,
        ];
    }

    /**
     * @param  list<array{kind: string, source: int, words: int}>  $runs
     * @return array<int, array<string, mixed>> by id, most identical words first
     */
    private function sources(Figures $figures, array $runs, Script $script, OverlapReader $reader): array
    {
        $found = [];
        foreach ($runs as $run) {
            $of = $found[$run['source']] ?? ['words' => 0, 'runs' => 0, 'close' => 0, 'close_words' => 0];
            [$words, $count] = $run['kind'] === 'same' ? ['words', 'runs'] : ['close_words', 'close'];
            $of[$words] += $run['words'];
            $of[$count]++;
            $found[$run['source']] = $of;
        }
        $models = OverlapSource::query()
            ->select(
                ['id', 'public_id', 'kind', 'shelf', 'handin_id', 'title', 'cohort', 'url', 'fetched_at', 'created_at']
            )
            ->with(
                'handin:id,script_id', 'handin.script:id,code,assignment_id,student_id',
                'handin.script.marks:id,script_id,marker_id',
            )
            ->whereKey(array_keys($found))->get()->keyBy('id');
        // Ties fall by chance: in the order of their rows they would tell who handed in first.
        $by = fn (int $id): string => $models[$id]->public_id ?? '';
        uksort(
            $found,
            fn (int $a, int $b) => [
                $found[$b]['words'], $found[$b]['close_words'], $by($a),
            ] <=> [$found[$a]['words'], $found[$a]['close_words'], $by($b)],
        );
        $letter = 'A';
        $dated = $script->assignment->namesRevealed() || $reader === OverlapReader::Coordinator;
        $sources = [];
        foreach ($found as $id => $of) {
            $source = $models[$id] ?? null;
            if ($source === null) {
                continue;
            }
            $own = $source->handin?->script->student_id === $script->student_id;
            $sources[$id] = [
                ...$of, 'letter' => $letter, 'hatch' => (count($sources)) % 4, 'id' => $source->public_id,
                'share' => (string) Report::percent($of['words'], $figures->report->counted),
                'label' => OverlapWords::source($source, $script, $reader),
                'where' => $reader === OverlapReader::Student ? '' : OverlapWords::where($source, $script, $dated),
                'kind' => $source->kind, 'url' => $source->url, 'first' => null,
                'own' => $own && $reader !== OverlapReader::Marker, 'readable' => $reader->reads($source, $script),
                'whole' => $reader->readsWhole($source, $script),
            ];
            $letter++;
        }

        return $sources;
    }

    /**
     * The whole script in parts: each with the run it stands in, why it is left out, and what is hidden there.
     *
     * @param  list<array<string, mixed>>  $runs
     * @param  list<array{kind: string, from?: int, to?: int, note?: string}>  $hiding
     * @return list<array{text: string, run: int, same: bool, left: string, hidden: string, now: bool, letter: string, kind: string}>
     */
    private function marked(Words $words, array $runs, Figures $figures, array $hiding, int $number): array
    {
        $run = array_fill(0, $words->count(), 0);
        $same = $left = $hidden = [];
        foreach ($figures->places as $place) {
            for ($i = $place->from; $i < min($place->to, $words->count()); $i++) {
                $left[$i] = $place->why;
            }
        }
        foreach ($hiding as $one) {
            for ($i = $one['from'] ?? 0; $i < min($one['to'] ?? 0, $words->count()); $i++) {
                $hidden[$i] = $one['kind'];
            }
        }
        // A run reaches over the few words that differ in it; where two reach over the same words the first does.
        foreach ($runs as $n => $one) {
            for ($i = $one['from']; $i < $one['to']; $i++) {
                $run[$i] = ($run[$i] ?? 0) ?: $n + 1;
            }
        }
        foreach ($runs as $n => $one) {
            foreach ($one['pieces'] as $piece) {
                for ($i = $piece->from; $i < $piece->to(); $i++) {
                    $run[$i] = $n + 1;
                    $same[$i] = true;
                }
            }
        }
        $of = [];
        foreach ($run as $i => $n) {
            $of[$i] = [$n, $same[$i] ?? false, $left[$i] ?? '', $hidden[$i] ?? ''];
        }
        $parts = [];
        foreach ($this->grouped($words, $of, 0, $words->count()) as [$text, $said]) {
            $in = $runs[$said[0] - 1] ?? null;
            $parts[] = [
                'text' => $text, 'run' => $said[0], 'same' => $said[1], 'left' => $said[2] ?? '',
                'hidden' => $said[3] ?? '', 'now' => $said[0] === $number, 'letter' => (string) ($in['letter'] ?? ''),
                'kind' => (string) ($in['kind'] ?? ''),
            ];
        }

        return $parts;
    }

    /**
     * The source, whole or around the run that is open, with what it shares marked.
     *
     * @param  list<array<string, mixed>>  $runs  of this source
     * @return array{before: bool, after: bool, parts: list<array{text: string, run: int, kind: string, now: bool}>, from: int, to: int}|null
     */
    private function source(int $id, array $runs, int $number, bool $whole): ?array
    {
        $source = OverlapSource::query()->with('handin:id,text')->find($id);
        $words = Words::of($source?->fullText() ?? '');
        $now = array_values(array_filter($runs, fn (array $run) => $run['number'] === $number))[0] ?? null;
        if ($now === null || $words->count() < $now['source_to']) {
            return null;
        }
        $from = $whole ? 0 : max(0, (int) $now['source_from'] - self::CONTEXT);
        $to = $whole ? $words->count() : min($words->count(), (int) $now['source_to'] + self::CONTEXT);
        $of = array_fill(0, $words->count(), [0, false, '']);
        foreach ([...array_filter($runs, fn (array $run) => $run['number'] !== $number), $now] as $run) {
            foreach ($run['pieces'] as $piece) {
                for ($i = $piece->sourceFrom; $i < $piece->sourceTo(); $i++) {
                    $of[$i] = [(int) $run['number'], true, (string) $run['kind']];
                }
            }
        }
        $parts = [];
        foreach ($this->grouped($words, $of, $from, $to) as [$text, $said]) {
            $parts[] = ['text' => $text, 'run' => $said[0], 'kind' => $said[2] ?? '', 'now' => $said[0] === $number];
        }

        return [
            'before' => $from > 0, 'after' => $to < $words->count(), 'parts' => $parts, 'from' => $now['source_from'],
            'to' => $now['source_to'],
        ];
    }

    /**
     * Words with the same to say of them, put together with what stands between them.
     *
     * @param  array<int, array{0: int, 1: bool, 2?: string, 3?: string}>  $of  by word
     * @return list<array{string, array{0: int, 1: bool, 2?: string, 3?: string}}>
     */
    private function grouped(Words $words, array $of, int $from, int $to): array
    {
        if ($from >= $to) {
            return $words->count() === 0 && $words->text !== '' ? [[$words->text, [0, false, '', '']]] : [];
        }
        $nothing = [0, false, '', ''];
        $groups = [];
        $byte = $from === 0 ? 0 : ($words->list[$from] ?? throw new LogicException('It lies within the text.'))->start;
        for ($i = $from; $i < $to; $i = $end) {
            for ($end = $i + 1; $end < $to && $of[$end] === $of[$i]; $end++);
            assert(isset($words->list[$i], $words->list[$end - 1]));
            $start = $words->list[$i]->start;
            $start > $byte && $groups[] = [substr($words->text, $byte, $start - $byte), $nothing];
            $byte = $words->list[$end - 1]->end;
            $groups[] = [substr($words->text, $start, $byte - $start), $of[$i]];
        }
        $rest = substr($words->text, $byte, $to === $words->count() ? null : 1);
        $rest === '' || $groups[] = [$rest, $nothing];

        return $groups;
    }

    /**
     * @param  list<array{kind: string, from?: int, to?: int, note?: string}>  $hiding
     * @return list<array{kind: string, times: int, words: int, example: string, note: string}> each kind once
     */
    private function findings(array $hiding, Words $words): array
    {
        $kinds = [];
        foreach ($hiding as $one) {
            $of = $kinds[$one['kind']]
                ?? ['kind' => $one['kind'], 'times' => 0, 'words' => 0, 'example' => '', 'note' => ''];
            $of['times']++;
            $of['words'] += ($one['to'] ?? 0) - ($one['from'] ?? 0);
            if ($of['example'] === '' && isset($one['from'], $one['to'])) {
                $of['example'] = mb_strimwidth(
                    $words->slice($one['from'], min($one['to'], $one['from'] + 12)), 0, 90, ' …',
                );
            }
            $of['note'] = $one['note'] ?? $of['note'];
            $kinds[$one['kind']] = $of;
        }

        return array_values($kinds);
    }
}
