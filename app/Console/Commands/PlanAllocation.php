<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\JsonFiles;
use App\Wording\UnplacedWords;
use Illuminate\Console\Command;
use YoungHarbor\Core\Formats\PlanJson;

/**
 * Works out who marks which script, or who reviews whom, from a JSON file. Needs neither database nor web server.
 */
final class PlanAllocation extends Command
{
    use AnswersInJson;

    protected $signature = 'allocation:plan {plan : scripts and markers, or authors, as JSON, or - for standard input}';

    protected $description = 'Work out who marks which script, or who reviews whom';

    public function handle(JsonFiles $files): int
    {
        return $this->answer(
            function () use ($files): array {
                $answer = PlanJson::answer($files->object((string) $this->argument('plan'), 'plan'));
                $answer['unplaced'] = array_map(
                    fn (array $one) => ['script' => $one['script'], 'why' => UnplacedWords::of($one)],
                    $answer['unplaced'],
                );

                return $answer;
            }
        );
    }
}
