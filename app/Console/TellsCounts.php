<?php

declare(strict_types=1);

namespace App\Console;

/**
 * Tells how far something has come, on the error output, so that what comes out stays readable for programs.
 */
trait TellsCounts
{
    private function tellCounts(string $what, int $done, int $of): void
    {
        $this->getOutput()->getErrorStyle()->writeln("{$what}: {$done} of {$of}");
    }
}
