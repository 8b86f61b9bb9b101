<?php

declare(strict_types=1);

namespace App\Backup;

use App\Logbook\FileHeadStore;
use Closure;
use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * Makes a backup while people work. First the logbook's head, then the database in one snapshot, then the files: the
 * head only grows, and files are written before the rows that name them and never change, so the three fit.
 */
final class MakeBackup
{
    /** Settings that tell no secret. */
    private const SETTINGS = [
        'app.url', 'app.env', 'harbor.institution', 'harbor.timezone', 'harbor.files', 'harbor.web.search',
        'harbor.detector.address', 'harbor.assistant.address', 'mail.default', 'mail.from.address',
        'queue.default', 'session.lifetime', 'logging.default',
    ];

    /**
     * @param  Closure(string, int, int): void  $tell  what is being done, how much of it is done, of how much
     * @return array{set: string, manifest: Manifest, new: int, missing: int} new: files not kept before; missing: files that went while they were copied
     */
    public function __invoke(Vault $vault, Closure $tell): array
    {
        $vault->lock();
        $begun = now('UTC');
        $set = $begun->format('Ymd\THis\Z');
        if (in_array($set, $vault->sets(), true)) {
            throw new BackupFailed("There is a backup of this second already ({$set}). Try again.");
        }
        $before = $this->before($vault);
        $root = rtrim((string) config('harbor.files'), '/');
        $parts = [];
        $head = "{$root}/".FileHeadStore::PLACE;
        if (is_file($head)) {
            $parts[Vault::HEAD] = $vault->put($set, Vault::HEAD, [(string) file_get_contents($head)]);
        }
        $tell('database', 0, 1);
        $parts[Vault::DATABASE] = $vault->put($set, Vault::DATABASE, Pieces::packed(Database::dumped()));
        $tell('database', 1, 1);
        $counted = ['files' => 0, 'bytes' => 0, 'new' => 0, 'missing' => 0];
        $parts[Vault::FILES] = $vault->put(
            $set, Vault::FILES, Pieces::packed($this->listed($vault, $root, $before, $counted, $tell)),
        );
        $parts[Vault::SETTINGS] = $vault->put($set, Vault::SETTINGS, [$this->settings()]);
        $manifest = new Manifest(
            $begun->toIso8601ZuluString(), (string) config('harbor.version'), $vault->key?->fingerprint(),
            self::applicationKey(), $parts, $counted['files'], $counted['bytes'],
        );
        $vault->finish($set, $manifest);

        return ['set' => $set, 'manifest' => $manifest, 'new' => $counted['new'], 'missing' => $counted['missing']];
    }

    /** By which APP_KEY is known again without telling it. */
    public static function applicationKey(): string
    {
        return bin2hex(hash_hkdf('sha256', (string) config('app.key') ?: 'none', 8, 'backup'));
    }

    /**
     * What the last set knew of files: checksums of those that are as they were need not be worked out again.
     *
     * @return array<string, array{bytes: int, at: int, sha256: string}>
     */
    private function before(Vault $vault): array
    {
        $sets = $vault->sets();
        if ($sets === []) {
            return [];
        }
        $set = $sets[count($sets) - 1];
        $vault->manifest($set);
        $known = [];
        foreach ($vault->files($set) as $file) {
            $known[$file['path']] = ['bytes' => $file['bytes'], 'at' => $file['at'], 'sha256' => $file['sha256']];
        }

        return $known;
    }

    /**
     * @param  array<string, array{bytes: int, at: int, sha256: string}>  $before
     * @param  array{files: int, bytes: int, new: int, missing: int}  $counted
     * @param  Closure(string, int, int): void  $tell
     * @return iterable<string> a line a file
     */
    private function listed(Vault $vault, string $root, array $before, array &$counted, Closure $tell): iterable
    {
        $paths = $this->paths($root);
        foreach ($paths as $n => $path) {
            $n % 50 === 0 && $tell('files', $n, count($paths));
            clearstatcache(true, "{$root}/{$path}");
            if (! is_file("{$root}/{$path}")) {
                $counted['missing']++;

                continue;
            }
            $file = ['path' => $path, 'bytes' => (int) filesize("{$root}/{$path}"), 'at' => (int) filemtime("{$root}/{$path}")];
            $known = $before[$path] ?? null;
            $file['sha256'] = $known !== null && [$known['bytes'], $known['at']] === [$file['bytes'], $file['at']]
                ? $known['sha256'] : (string) hash_file('sha256', "{$root}/{$path}");
            if (! $vault->has($vault->name($file['sha256']))) {
                $vault->keep("{$root}/{$path}", $file['sha256']);
                $counted['new']++;
            }
            $counted['files']++;
            $counted['bytes'] += $file['bytes'];
            yield json_encode($file, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n";
        }
        $tell('files', count($paths), count($paths));
    }

    /**
     * @return list<string> below the folder of files, but for the logbook's head, which was taken before
     */
    private function paths(string $root): array
    {
        $found = [];
        $all = is_dir($root) ? new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS),
            RecursiveIteratorIterator::LEAVES_ONLY, RecursiveIteratorIterator::CATCH_GET_CHILD,
        ) : [];
        foreach ($all as $file) {
            $path = $file instanceof SplFileInfo ? substr($file->getPathname(), strlen($root) + 1) : '';
            if ($path !== '' && $path !== FileHeadStore::PLACE && ! str_starts_with($path, 'probe/')) {
                $found[] = $path;
            }
        }
        sort($found);

        return $found;
    }

    private function settings(): string
    {
        $settings = [];
        foreach (self::SETTINGS as $key) {
            $settings[$key] = config($key);
        }

        return json_encode($settings, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }
}
