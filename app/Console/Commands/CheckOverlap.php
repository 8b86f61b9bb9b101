<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\TextFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Bibliography;
use YoungHarbor\Core\Overlap\Figures;
use YoungHarbor\Core\Overlap\Grams;
use YoungHarbor\Core\Overlap\Hiding;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOutChoices;
use YoungHarbor\Core\Overlap\Quotations;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Text\Words;

/**
 * Shows which words of a file also stand in others, without database or web server.
 */
final class CheckOverlap extends Command
{
    use AnswersInJson;

    protected $signature = 'overlap:check {file : the text} {--against=* : a file or a folder to compare with; may be given more than once} {--min-words=8 : shortest run of identical words} {--gap=2 : differing words that part two pieces of one run, at most} {--leave-out= : quotes, bibliography, or both with a comma} {--exclude-source=* : a source that does not count}';

    protected $description = 'Show which words of a text also stand in others';

    public function handle(TextFiles $files): int
    {
        return $this->answer(fn (): array => $this->check($files));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function check(TextFiles $files): array
    {
        $faults = [];
        $alignment = new Alignment(
            max(1, $this->whole('min-words', 1, 1000, $faults)), max(0, $this->whole('gap', 0, 100, $faults)),
        );
        $leaveOut = array_filter(explode(',', (string) $this->option('leave-out')));
        foreach (array_diff($leaveOut, ['quotes', 'bibliography']) as $unknown) {
            $faults[] = new Fault('--leave-out', "“{$unknown}” cannot be left out; there are quotes and bibliography");
        }
        $file = (string) $this->argument('file');
        $sources = $this->sources($file, $faults);
        $text = $files->text($file, 'FILE', $faults);
        $texts = array_map(fn (string $path) => $files->text($path, '--against', $faults), $sources);
        foreach (array_diff((array) $this->option('exclude-source'), array_keys($sources)) as $unknown) {
            $faults[] = new Fault('--exclude-source', "there is no source “{$unknown}”");
        }
        if ($faults !== []) {
            throw new InvalidInput($faults);
        }
        $words = Words::of($text);
        $numbers = Grams::numbers($words->normalForms());
        $runs = [];
        foreach ($texts as $name => $source) {
            array_push($runs, ...$alignment->runs($numbers, Words::of($source)->normalForms(), (string) $name));
        }
        $quotations = Quotations::of($words);
        $choices = new LeftOutChoices(
            in_array('quotes', $leaveOut, true), in_array('bibliography', $leaveOut, true),
            sources: array_values(array_map(strval(...), (array) $this->option('exclude-source'))),
        );
        $figures = Figures::of(
            $words->count(), [...$quotations, ...($choices->bibliography ? Bibliography::of($words) : [])], $runs, [],
            $choices,
        );
        $report = $figures->report;
        $left = $figures->places;

        return [
            'words' => $words->count(), 'counted' => $report->counted, 'matched' => $report->matched(),
            'share' => (string) $report->share(),
            'runs' => array_map(
                fn (Run $run) => [
                    'from' => $run->from(), 'to' => $run->to(), 'source' => $run->source,
                    'source_from' => $run->sourceFrom(), 'source_to' => $run->sourceTo(),
                ],
                $report->runs,
            ),
            'sources' => array_map(
                fn (string|int $name, int $matched) => [
                    'name' => (string) $name, 'matched' => $matched,
                    'share' => (string) Report::percent($matched, $report->counted),
                ],
                array_keys($report->bySource()), array_values($report->bySource()),
            ),
            'left_out' => array_map(
                fn (Interval $interval) => ['why' => $interval->why, 'from' => $interval->from, 'to' => $interval->to],
                $left,
            ),
            'hiding' => array_map(
                fn (Interval $interval) => ['kind' => $interval->why, 'from' => $interval->from, 'to' => $interval->to],
                Hiding::of($words, $quotations),
            ),
        ];
    }

    /**
     * @param  list<Fault>  $faults
     */
    private function whole(string $option, int $least, int $most, array &$faults): int
    {
        $given = $this->option($option);
        $value = is_string($given) ? $given : '';
        if (preg_match('/\A\d{1,5}\z/', $value) === 1 && (int) $value >= $least && (int) $value <= $most) {
            return (int) $value;
        }
        $faults[] = new Fault("--{$option}", "must be a whole number from {$least} to {$most}");

        return $least;
    }

    /**
     * Files to compare with, by the name they go under: the file's own, or its path where two have the same.
     *
     * @param  list<Fault>  $faults
     * @return array<string, string> paths by name
     */
    private function sources(string $file, array &$faults): array
    {
        $paths = [];
        foreach ((array) $this->option('against') as $against) {
            $against = (string) $against;
            if (! file_exists($against)) {
                $faults[] = new Fault('--against', "there is no file or folder {$against}");
            }
            foreach (is_dir($against) ? (glob(rtrim($against, '/').'/*') ?: []) : [$against] as $path) {
                // The text is not its own source.
                if (is_file($path) && realpath($path) !== realpath($file)) {
                    $paths[$path] = basename($path);
                }
            }
        }
        $names = array_count_values($paths);
        $sources = [];
        foreach ($paths as $path => $name) {
            $sources[$names[$name] === 1 ? $name : $path] = $path;
        }
        ksort($sources, SORT_STRING);

        return $sources;
    }
}
