<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Documents\PackFile;
use Illuminate\Console\Command;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Checks a sample pack: every file its manifest names is there as it was and nothing else, and the part of the logbook
 * in it is chained. Needs no database. Exit 1 with a line per fault when something does not hold.
 */
final class VerifyPack extends Command
{
    use AnswersInJson;

    protected $signature = 'pack:verify {file : a pack as a ZIP} {--key= : the published public key of the logbook, to check who signed it}';

    protected $description = 'Check that a sample pack is as it was made';

    public function handle(PackFile $pack): int
    {
        $key = $this->option('key');

        return $this->answer(function () use ($pack, $key): array {
            $path = (string) $this->argument('file');
            is_file($path) || throw InvalidInput::at('file', "there is no file {$path}");

            return ['files' => $pack->verify($path, is_string($key) ? $key : null), 'holds' => true];
        });
    }
}
