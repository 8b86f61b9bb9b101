<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\OptionsAsNumbers;
use App\Console\TableFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Formats\MarksCsv;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Marking\Sample;
use YoungHarbor\Core\Marking\SampledScript;
use YoungHarbor\Core\Marking\SampleRule;

/**
 * Says which scripts of a table of marks are to be marked a second time. Needs neither database nor web server.
 */
final class DrawSample extends Command
{
    use AnswersInJson;
    use OptionsAsNumbers;

    protected $signature = 'moderation:sample {csv : script,marker,mark, or - for standard input}
        {--seed= : a whole number from 0; the same gives the same sample}
        {--share=0.10 : of all scripts, drawn besides those chosen for their mark}
        {--least=6 : drawn at least} {--root : at least the square root of all}
        {--fails : every script below the second band} {--top : every script in the last band}
        {--near= : every script within so many marks of a boundary}
        {--bands=0,40,50,60,70 : where bands begin}';

    protected $description = 'Choose and draw the scripts that are marked a second time';

    public function handle(TableFiles $files): int
    {
        return $this->answer(function () use ($files): array {
            $in = new Document;
            $seed = $this->wholeOption('seed', $in, 0, PHP_INT_MAX);
            $near = $this->option('near') === null ? null : $this->decimalOption('near', $in, 0, 100);
            $rule = new SampleRule(
                $this->decimalOption('share', $in, 0, 1), $this->wholeOption('least', $in, 0, 1_000_000),
                (bool) $this->option('root'), (bool) $this->option('fails'), (bool) $this->option('top'), $near,
            );
            $in->throwFaults();
            $boundaries = MarksCsv::boundaries((string) $this->option('bands'));
            $sample = Sample::draw(
                MarksCsv::firstMarks($files->text((string) $this->argument('csv'), 'csv')), $rule, $boundaries, $seed,
            );

            return [
                'sample' => array_map(fn (SampledScript $one) => [
                    'script' => $one->script, 'why' => $one->reasonKeys(), 'chance' => Figure::cut($one->chance),
                ], $sample->scripts),
                'size' => count($sample->scripts), 'by_marker' => (object) $sample->byMarker(),
            ];
        });
    }
}
