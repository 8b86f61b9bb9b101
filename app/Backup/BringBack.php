<?php

declare(strict_types=1);

namespace App\Backup;

use App\Logbook\FileHeadStore;
use Closure;

/**
 * Brings a backup back into an empty database and an empty folder of files, once all of it was read and found whole.
 */
final class BringBack
{
    /**
     * @param  Closure(string, int, int): void  $tell
     */
    public function __invoke(Vault $vault, string $set, Closure $tell): Manifest
    {
        $root = rtrim((string) config('harbor.files'), '/');
        if (! Database::isEmpty()) {
            throw new BackupFailed('The database is not empty: a backup is brought back into an empty one. Nothing was changed.');
        }
        if (is_dir($root) && (scandir($root) ?: []) !== ['.', '..']) {
            throw new BackupFailed("{$root} is not empty: a backup is brought back into an empty folder. Nothing was changed.");
        }
        $manifest = $this->check($vault, $set, $tell);
        $tell('database', 0, 1);
        Database::load(Pieces::unpacked($vault->part($set, Vault::DATABASE)));
        $tell('database', 1, 1);
        $n = 0;
        foreach ($vault->files($set) as $file) {
            $n++ % 50 === 0 && $tell('files', $n - 1, $manifest->files);
            $to = "{$root}/".$this->below($file['path']);
            $written = Pieces::write($vault->content($vault->name($file['sha256'])), $to);
            if ($written['sha256'] !== $file['sha256']) {
                throw new BackupFailed("{$file['path']} is not what was kept.");
            }
            touch($to, $file['at']);
        }
        $tell('files', $n, $manifest->files);
        if (isset($manifest->parts[Vault::HEAD])) {
            Pieces::write($vault->part($set, Vault::HEAD), "{$root}/".FileHeadStore::PLACE);
        }

        return $manifest;
    }

    /**
     * Reads all of a set and compares it with its checksums.
     *
     * @param  Closure(string, int, int): void  $tell
     */
    public function check(Vault $vault, string $set, Closure $tell): Manifest
    {
        $manifest = $vault->manifest($set);
        foreach ($manifest->parts as $part => $known) {
            $path = "{$vault->folder}/sets/{$set}/".basename($part);
            if (! is_file($path) || hash_file('sha256', $path) !== $known['sha256']) {
                throw new BackupFailed("{$part} of {$set} is missing or damaged.");
            }
        }
        $n = 0;
        foreach ($vault->files($set) as $file) {
            $n++ % 50 === 0 && $tell('check', $n - 1, $manifest->files);
            if (! $vault->has($vault->name($file['sha256']))) {
                throw new BackupFailed("{$file['path']} of {$set} is missing.");
            }
            $hash = hash_init('sha256');
            foreach ($vault->content($vault->name($file['sha256'])) as $piece) {
                hash_update($hash, $piece);
            }
            if (hash_final($hash) !== $file['sha256']) {
                throw new BackupFailed("{$file['path']} of {$set} is damaged.");
            }
        }
        if ($n !== $manifest->files) {
            throw new BackupFailed("The list of files of {$set} has {$n} lines, and {$manifest->files} were written.");
        }
        $tell('check', $n, $manifest->files);

        return $manifest;
    }

    /** A path that leads out of the folder is none of ours. */
    private function below(string $path): string
    {
        return $path === '' || $path[0] === '/' || in_array('..', explode('/', $path), true)
            ? throw new BackupFailed("The backup names {$path}, which leads out of the folder of files.") : $path;
    }
}
