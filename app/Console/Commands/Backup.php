<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupFailed;
use App\Backup\BackupKey;
use App\Backup\BringBack;
use App\Backup\MakeBackup;
use App\Backup\Vault;
use App\Console\TellsCounts;
use App\Models\Operation;
use Illuminate\Console\Command;
use Illuminate\Support\Number;

/**
 * Makes a backup of database and files into a folder, while people work; or checks one. `bin/backup` calls it.
 */
final class Backup extends Command
{
    use TellsCounts;

    protected $signature = 'harbor:backup {folder : where backups are kept, on another disk}
        {--key= : a file with the key to seal it with (32 random bytes in base64)}
        {--keep= : how many of the newest stay; without it all do}
        {--check : read the newest one and compare it with its checksums, in place of making one}
        {--set= : with --check, which one}';

    protected $description = 'Make a backup of database and files into a folder, or check one';

    public function handle(MakeBackup $make, BringBack $back): int
    {
        try {
            $key = $this->option('key');
            $vault = new Vault(
                rtrim((string) $this->argument('folder'), '/'), is_string($key) ? BackupKey::ofFile($key) : null,
            );
            if ((bool) $this->option('check')) {
                return $this->check($vault, $back);
            }
            $keep = $this->option('keep');
            if (is_string($keep) && preg_match('/^[1-9][0-9]{0,3}$/', $keep) !== 1) {
                throw new BackupFailed('--keep takes how many of the newest stay: 1 or more. Nothing was made.');
            }
            $made = $make($vault, $this->tellCounts(...));
            $manifest = $made['manifest'];
            $this->line("{$made['set']}: {$manifest->files} files, ".Number::fileSize($manifest->bytes).", {$made['new']} of them new; the database in "
                .Number::fileSize($manifest->parts[Vault::DATABASE]['bytes']).($vault->key === null ? '. It is not sealed: who has it reads it.' : '. Sealed.'));
            $made['missing'] === 0 || $this->line("{$made['missing']} files went while they were copied, as what is tidied away does.");
            $gone = is_string($keep) ? $vault->tidy((int) $keep) : ['sets' => 0, 'files' => 0];
            $gone['sets'] === 0 || $this->line("{$gone['sets']} older went, with {$gone['files']} contents that none names any more.");
            Operation::record('backup', true, ['files' => $manifest->files, 'bytes' => $manifest->bytes, 'sealed' => $vault->key !== null]);

            return self::SUCCESS;
        } catch (BackupFailed $e) {
            $note = fn () => Operation::record('backup', false, ['why' => $e->getMessage()]);
            (bool) $this->option('check') || rescue($note, report: false);
            $this->error($e->getMessage());

            return self::FAILURE;
        }
    }

    private function check(Vault $vault, BringBack $back): int
    {
        $sets = $vault->sets();
        $set = (string) ($this->option('set') ?? end($sets));
        $manifest = $back->check($vault, $set, $this->tellCounts(...));
        $this->line("{$set}: whole. {$manifest->files} files, ".Number::fileSize($manifest->bytes).", made {$manifest->madeAt} by version {$manifest->version}.");

        return self::SUCCESS;
    }
}
