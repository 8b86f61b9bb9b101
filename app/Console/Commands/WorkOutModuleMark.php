<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\JsonFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Release\ModuleMarkJson;

/**
 * Works out one student's module mark from its parts. Needs neither database nor web server.
 */
final class WorkOutModuleMark extends Command
{
    use AnswersInJson;

    protected $signature = 'module:mark {module : parts with their weights and marks, as JSON, or - for standard input}';

    protected $description = 'Work out a module mark: weights, best of several, exemption, resit, rounding, what must be passed';

    public function handle(JsonFiles $files): int
    {
        return $this->answer(
            fn (): array => ModuleMarkJson::answer($files->object((string) $this->argument('module'), 'module')),
        );
    }
}
