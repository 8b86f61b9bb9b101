<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Logbook\Logbook;
use App\Models\LogbookLine;
use Generator;
use Illuminate\Console\Command;
use YoungHarbor\Core\Logbook\Chain;

/**
 * Walks the whole logbook and says whether every line is as and where it was written. Exit 1 when one is not.
 */
final class VerifyLogbook extends Command
{
    protected $signature = 'logbook:verify';

    protected $description = 'Check that no line of the logbook was altered, removed, added or moved';

    public function handle(Logbook $logbook, Chain $chain): int
    {
        $found = $chain->verify($this->lines(), $logbook->head());
        foreach ($found->faults as $fault) {
            $this->error($fault);
        }
        if (! $found->holds()) {
            return self::FAILURE;
        }
        $this->info("The logbook holds: {$found->lines} lines, each as and where it was written.");

        return self::SUCCESS;
    }

    /**
     * @return Generator<array{number: int, hash: string, line: array<string, mixed>}>
     */
    private function lines(): Generator
    {
        foreach (LogbookLine::query()->orderBy('number')->lazy(500) as $line) {
            yield ['number' => $line->number, 'hash' => $line->hash, 'line' => [
                'at' => $line->at,
                'actor_id' => $line->actor_id,
                'module_id' => $line->module_id,
                'assignment_id' => $line->assignment_id,
                'action' => $line->action,
                'subject' => $line->subject,
                'details' => $line->details,
            ]];
        }
    }
}
