<?php

declare(strict_types=1);

namespace App\Console;

use Closure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A command that prints JSON, or each fault of its input on a line of standard error.
 */
trait AnswersInJson
{
    /**
     * @param  Closure(): array<string, mixed>  $answer  may throw InvalidInput
     */
    private function answer(Closure $answer, int $flags = 0): int
    {
        try {
            $this->output->writeln(
                json_encode($answer(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | $flags)
            );
        } catch (InvalidInput $e) {
            fwrite(STDERR, implode("\n", array_map(strval(...), $e->faults))."\n");

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
