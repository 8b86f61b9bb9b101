<?php

declare(strict_types=1);

namespace App\Extraction;

use RuntimeException;

/**
 * The machine had no time to read a file. That is no fault of the file: whoever reads in a job lets this through, so
 * that the job is run again; whoever reads while a person waits says it to them. Never to be taken for a Refusal.
 */
final class ReaderBusy extends RuntimeException
{
    public function __construct(int $seconds)
    {
        parent::__construct(
            "The server was too busy to read it within {$seconds} seconds. Nothing is wrong with the file: add it again in a few minutes."
        );
    }
}
