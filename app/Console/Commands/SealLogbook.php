<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * Seals the logbook as it stands in the database, after a state older than its head had to be restored. That it was
 * done, and why, is its first new line; the head before is kept beside the new one.
 */
final class SealLogbook extends Command
{
    protected $signature = 'logbook:seal {--reason= : why the database stands behind the sealed head}';

    protected $description = 'Seal the logbook as it stands, after an older state of the database had to be restored';

    public function handle(Logbook $logbook): int
    {
        $reason = trim((string) $this->option('reason'));
        if (mb_strlen($reason) < 10) {
            $this->components->error(
                'Say why with --reason="…", in a sentence: it becomes a line of the logbook. Nothing was changed.'
            );

            return self::FAILURE;
        }
        $before = $logbook->setAsideHead();
        DB::transaction(
            fn () => $logbook->write(
                Entry::of(LogEvent::SealedAnew)->with(lines_told: $before->count ?? 0)->because($reason)
            )
        );
        $this->components->info('The logbook is sealed as it stands. The head before is kept beside it.');

        return self::SUCCESS;
    }
}
