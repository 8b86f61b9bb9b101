<?php

declare(strict_types=1);

namespace App\Backup;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * A folder of backups. Contents of files lie once under `files/`, by their checksum, whichever sets name them; each set
 * under `sets/` has the database, the list of its files, the logbook's head, settings, and a manifest.
 */
final class Vault
{
    public const DATABASE = 'database.sql.gz';

    public const FILES = 'files.jsonl.gz';

    public const HEAD = 'head.json';

    public const SETTINGS = 'settings.json';

    private const MANIFEST = 'manifest.json';

    /** @var list<resource> held until the command ends */
    private array $locks = [];

    public function __construct(public readonly string $folder, public readonly ?BackupKey $key)
    {
    }

    /** One at a time: two would tidy away what the other has just kept. */
    public function lock(): void
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0o700, true)) {
            throw new BackupFailed("The folder {$this->folder} cannot be made.");
        }
        $lock = @fopen("{$this->folder}/.lock", 'c');
        if ($lock === false || $this->locks !== [] || ! flock($lock, LOCK_EX | LOCK_NB)) {
            throw new BackupFailed("A backup into {$this->folder} is under way already, or it cannot be written to.");
        }
        $this->locks[] = $lock;
    }

    /**
     * @return list<string> names of whole sets, the oldest first
     */
    public function sets(): array
    {
        $found = array_filter(
            glob("{$this->folder}/sets/*", GLOB_ONLYDIR) ?: [], fn (string $path) => is_file("{$path}/".self::MANIFEST),
        );
        sort($found);

        return array_map(basename(...), $found);
    }

    public function manifest(string $set): Manifest
    {
        $path = $this->path($set, self::MANIFEST);
        if (preg_match('/^[0-9TZ-]+$/', $set) !== 1 || ! is_file($path)) {
            throw new BackupFailed("There is no backup {$set} in {$this->folder}.");
        }

        return Manifest::fromJson((string) file_get_contents($path), $this->key, "{$this->folder}/sets/{$set}");
    }

    /**
     * Puts a part into a set.
     *
     * @param  iterable<string>  $pieces
     * @return array{bytes: int, sha256: string} as it lies there
     */
    public function put(string $set, string $part, iterable $pieces): array
    {
        $pieces = $this->key === null ? $pieces : Pieces::sealed($pieces, $this->key);

        return Pieces::write($pieces, $this->path($set, $part));
    }

    /**
     * A part of a set, open.
     *
     * @return iterable<string>
     */
    public function part(string $set, string $part): iterable
    {
        $pieces = Pieces::ofFile($this->path($set, $part));

        return $this->key === null ? $pieces : Pieces::opened($pieces, $this->key);
    }

    public function finish(string $set, Manifest $manifest): void
    {
        Pieces::write([$manifest->toJson($this->key)], $this->path($set, self::MANIFEST));
    }

    /** Under which name something of that checksum is kept. */
    public function name(string $sha256): string
    {
        return $this->key?->name($sha256) ?? $sha256;
    }

    public function has(string $name): bool
    {
        return is_file($this->kept($name));
    }

    /**
     * Keeps a file's content, and checks that it is the content it was said to be.
     */
    public function keep(string $path, string $sha256): void
    {
        $hash = hash_init('sha256');
        $read = (function () use ($path, $hash): iterable {
            foreach (Pieces::ofFile($path) as $piece) {
                hash_update($hash, $piece);
                yield $piece;
            }
        })();
        $to = $this->kept($this->name($sha256));
        Pieces::write($this->key === null ? $read : Pieces::sealed($read, $this->key), $to);
        if (hash_final($hash) !== $sha256) {
            @unlink($to);

            throw new BackupFailed("{$path} changed while it was being copied.");
        }
    }

    /**
     * @return iterable<string> a file's content, open
     */
    public function content(string $name): iterable
    {
        $pieces = Pieces::ofFile($this->kept($name));

        return $this->key === null ? $pieces : Pieces::opened($pieces, $this->key);
    }

    /**
     * What a set says of its files.
     *
     * @return iterable<array{path: string, bytes: int, at: int, sha256: string}>
     */
    public function files(string $set): iterable
    {
        $kept = '';
        foreach (Pieces::unpacked($this->part($set, self::FILES)) as $piece) {
            $lines = explode("\n", $kept.$piece);
            $kept = (string) array_pop($lines);
            foreach ($lines as $line) {
                /** @var array{path: string, bytes: int, at: int, sha256: string} $file */
                $file = json_decode($line, true, 8, JSON_THROW_ON_ERROR);
                yield $file;
            }
        }
    }

    /**
     * Takes old sets away, and contents that no set names any more.
     *
     * @param  int  $keep  how many of the newest stay
     * @return array{sets: int, files: int} how many went
     */
    public function tidy(int $keep): array
    {
        $gone = array_slice($this->sets(), 0, max(0, count($this->sets()) - max(1, $keep)));
        foreach ($gone as $set) {
            // The manifest first: what is half gone is no set.
            foreach ([self::MANIFEST, ...array_map(basename(...), glob("{$this->folder}/sets/{$set}/*") ?: [])] as $part) {
                @unlink($this->path($set, $part));
            }
            @rmdir("{$this->folder}/sets/{$set}");
        }
        $named = [];
        foreach ($this->sets() as $set) {
            foreach ($this->files($set) as $file) {
                $named[$this->name($file['sha256'])] = true;
            }
        }
        $files = 0;
        if (is_dir("{$this->folder}/files")) {
            $all = new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator("{$this->folder}/files", FilesystemIterator::SKIP_DOTS),
            );
            foreach ($all as $file) {
                if ($file instanceof SplFileInfo && $file->isFile() && ! isset($named[$file->getFilename()])) {
                    $files += (int) @unlink($file->getPathname());
                }
            }
        }

        return ['sets' => count($gone), 'files' => $files];
    }

    private function path(string $set, string $part): string
    {
        return "{$this->folder}/sets/{$set}/{$part}";
    }

    private function kept(string $name): string
    {
        return "{$this->folder}/files/".substr($name, 0, 2)."/{$name}";
    }
}
