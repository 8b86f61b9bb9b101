<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Logbook\Excerpt;
use App\Logbook\Logbook;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Script;
use Illuminate\Console\Command;

/**
 * Writes the lines about one script, or of one assignment, in a form that can be verified without this application's
 * database: for whoever looks into a complaint.
 */
final class ExcerptOfLogbook extends Command
{
    protected $signature = 'logbook:excerpt {of : a script\'s code, or an assignment\'s id as its address has it} {file : where it is written}';

    protected $description = 'Write lines of the logbook in a form that can be verified elsewhere';

    public function handle(Logbook $logbook): int
    {
        $of = (string) $this->argument('of');
        $script = Script::query()->where('code', $of)->first();
        $assignment = $script === null ? Assignment::query()->where('public_id', $of)->first() : null;
        $head = $logbook->head();
        if (($script === null && $assignment === null) || $head === null) {
            $this->error(
                $head === null ? __('logbook.faults.head-missing') : "There is no script and no assignment {$of}."
            );

            return self::FAILURE;
        }
        $file = fopen((string) $this->argument('file'), 'w');
        if ($file === false) {
            $this->error("{$this->argument('file')} cannot be written.");

            return self::FAILURE;
        }
        $chosen = fn (LogbookLine $line): bool => $script !== null
            ? $line->subject_kind === 'script' && $line->subject === $script->code
            : $line->assignment === $assignment->public_id;
        foreach (Excerpt::write($head, $logbook->publicKey(), $chosen) as $row) {
            fwrite($file, $row);
        }
        fclose($file);
        $this->info(
            "Written. Whoever gets it checks it with: php artisan logbook:verify FILE --key={$logbook->publicKey()}"
        );

        return self::SUCCESS;
    }
}
