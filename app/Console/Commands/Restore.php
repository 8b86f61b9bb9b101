<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupFailed;
use App\Backup\BackupKey;
use App\Backup\BringBack;
use App\Backup\MakeBackup;
use App\Backup\Vault;
use App\Console\TellsCounts;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;

/**
 * Brings a backup back into an empty database and an empty folder, and verifies the logbook of it. `bin/restore` calls
 * it.
 */
final class Restore extends Command
{
    use TellsCounts;

    protected $signature = 'harbor:restore {folder : where backups are kept}
        {--set= : which one; the newest without it}
        {--key= : a file with the key it is sealed with}
        {--other-application-key : bring it back although APP_KEY is another one than when it was made}';

    protected $description = 'Bring a backup back into an empty database and an empty folder of files';

    public function handle(BringBack $back): int
    {
        try {
            $key = $this->option('key');
            $vault = new Vault(
                rtrim((string) $this->argument('folder'), '/'), is_string($key) ? BackupKey::ofFile($key) : null,
            );
            $sets = $vault->sets();
            if ($sets === []) {
                throw new BackupFailed("There is no backup in {$vault->folder}.");
            }
            $set = (string) ($this->option('set') ?? end($sets));
            if ($vault->manifest($set)->applicationKey !== MakeBackup::applicationKey() && ! (bool) $this->option('other-application-key')) {
                throw new BackupFailed(
                    'APP_KEY is another one than when this backup was made: with it neither logbook nor receipts can be verified, and second steps of sign-in cannot be read. Set the APP_KEY of then. If it is lost for good, add --other-application-key and seal the logbook anew afterwards. Nothing was changed.',
                );
            }
            $manifest = $back($vault, $set, $this->tellCounts(...));
            Artisan::call('migrate', ['--force' => true], $this->output);
            $this->line("{$set} is back: {$manifest->files} files, made {$manifest->madeAt} by version {$manifest->version}.");

            return $this->call('logbook:verify');
        } catch (BackupFailed $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
    }
}
