<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\JsonFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Formats\ScoreJson;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Works out the total of a set of marks on a rubric, from two JSON files. Needs neither database nor web server.
 *
 * JSON on standard output and exit 0; bad input gives one line a fault on standard error, nothing on standard output,
 * and exit 1.
 */
final class ScoreRubric extends Command
{
    use AnswersInJson;

    protected $signature = 'rubric:score {rubric : a rubric as JSON, or - for standard input} {marks : marks by criterion id as JSON, or -}';

    protected $description = 'Work out the total of a set of marks on a rubric';

    public function handle(JsonFiles $files): int
    {
        return $this->answer(fn (): array => ScoreJson::of(Scorer::score(
            Rubric::fromArray($files->object((string) $this->argument('rubric'), 'rubric')),
            $files->object((string) $this->argument('marks'), 'marks'),
        )));
    }
}
