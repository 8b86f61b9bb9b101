<?php

declare(strict_types=1);

namespace App\Console;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * Reads a table of comma-separated values that a command was given, in the encodings spreadsheets write.
 */
final class TableFiles
{
    /**
     * @param  string  $path  "-" for standard input
     * @param  string  $place  how faults name it
     *
     * @throws InvalidInput
     */
    public function text(string $path, string $place): string
    {
        if ($path !== '-' && ! is_file($path)) {
            throw InvalidInput::at($place, "there is no file {$path}");
        }

        return CsvRows::utf8((string) file_get_contents($path === '-' ? 'php://stdin' : $path))[0];
    }
}
