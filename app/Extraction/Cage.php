<?php

declare(strict_types=1);

namespace App\Extraction;

use Illuminate\Support\Facades\Log;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Puts a program into namespaces of its own (bubblewrap): no network, no other process, none of our files but those it
 * is given. Where the kernel refuses, programs run without, with the other limits; that is said in the log and at /up.
 */
final class Cage
{
    private static ?bool $holds = null;

    /** Whether programs can be caged on this machine. Tried once a process. */
    public static function holds(): bool
    {
        if (self::$holds === null) {
            self::$holds = (new ExecutableFinder)
                ->find('bwrap') !== null && (new Process([...self::around([], null), 'true']))->run() === 0;
            self::$holds
                || Log::warning(
                    'Files are read without bubblewrap: it is not installed, or the kernel refuses it (docs/operations.md).'
                );
        }

        return self::$holds;
    }

    /**
     * What to put before a command.
     *
     * @param  list<string>  $reads  files and folders it can see, where they are
     * @param  string|null  $writes  a folder it can write to
     * @return list<string>
     */
    public static function before(array $reads, ?string $writes): array
    {
        return self::holds() ? self::around($reads, $writes) : [];
    }

    /**
     * @param  list<string>  $reads
     * @return list<string>
     */
    private static function around(array $reads, ?string $writes): array
    {
        $given = array_merge(...array_map(fn (string $path) => ['--ro-bind', $path, $path], ['/usr', ...$reads]));

        return [
            'bwrap', '--unshare-all', '--die-with-parent', '--new-session', '--tmpfs', '/tmp', ...$given,
            ...($writes === null ? [] : ['--bind', $writes, $writes]),
            '--symlink', 'usr/lib', '/lib', '--symlink', 'usr/lib64', '/lib64', '--symlink', 'usr/bin', '/bin',
            '--ro-bind-try', '/etc/fonts', '/etc/fonts', '--ro-bind-try', '/etc/ld.so.cache', '/etc/ld.so.cache',
            '--proc', '/proc', '--dev', '/dev', '--',
        ];
    }
}
