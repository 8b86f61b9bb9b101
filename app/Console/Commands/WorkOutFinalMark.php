<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\JsonFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Formats\FinalMarkJson;

/**
 * Works out the mark that goes out from a settled one, step by step. Needs neither database nor web server.
 */
final class WorkOutFinalMark extends Command
{
    use AnswersInJson;

    protected $signature = 'marks:final {mark : a settled mark and what happens to it, as JSON, or - for standard input}';

    protected $description = 'Work out a final mark: scaling, factor, lateness, length, cap, adjustment, rounding';

    public function handle(JsonFiles $files): int
    {
        return $this->answer(
            fn (): array => FinalMarkJson::answer($files->object((string) $this->argument('mark'), 'mark')),
        );
    }
}
