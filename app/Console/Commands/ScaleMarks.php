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
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\ScaledMarks;
use YoungHarbor\Core\Marks\Scaling;

/**
 * Moves the marks of a table together, exactly, and says whether their order was kept.
 */
final class ScaleMarks extends Command
{
    use AnswersInJson;
    use OptionsAsNumbers;

    protected $signature = 'marks:scale {csv : script,mark, or - for standard input}
        {--add= : mark + D} {--linear= : A,B for A + B × mark, B above 0}
        {--map= : a CSV from,to of at least two points in rising order}';

    protected $description = 'Move marks by a constant, along a line, or between points';

    public function handle(TableFiles $files): int
    {
        return $this->answer(function () use ($files): array {
            $scaling = $this->scaling($files);
            $scaled = ScaledMarks::of(
                MarksCsv::marks($files->text((string) $this->argument('csv'), 'csv')), $scaling,
            );
            $scripts = [];
            foreach ($scaled->marks as $script => $mark) {
                $scripts[] = [
                    'script' => (string) $script, 'before' => Figure::plain($mark['before']),
                    'after' => Figure::exact($mark['after']), 'clipped' => $mark['clipped'],
                ];
            }

            return ['scripts' => $scripts, 'order_kept' => $scaled->isOrderKept()];
        });
    }

    /**
     * @throws InvalidInput
     */
    private function scaling(TableFiles $files): Scaling
    {
        $asked = array_filter(['add', 'linear', 'map'], fn (string $one) => $this->option($one) !== null);
        count($asked) === 1 || throw InvalidInput::at('', 'give one of --add, --linear and --map');
        $in = new Document;
        $scaling = match (reset($asked)) {
            'add' => fn () => Scaling::add($this->signedOption('add', 1, $in)[0]),
            'linear' => fn () => Scaling::linear(...$this->signedOption('linear', 2, $in)),
            default => fn () => Scaling::map(MarksCsv::points($files->text((string) $this->option('map'), 'map'))),
        };
        reset($asked) === 'map' || $this->signedOption((string) reset($asked), reset($asked) === 'add' ? 1 : 2, $in);
        $in->throwFaults();

        return $scaling();
    }
}
