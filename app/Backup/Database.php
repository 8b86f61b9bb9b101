<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/**
 * The database as one text of statements, taken in one snapshot while people work, and brought back. MariaDB's own
 * programs do it; the password goes to them in a file only we can read, never on a command line.
 */
final class Database
{
    /** Nothing anybody would miss; what they hold of people is not kept longer by being in a backup. */
    private const EMPTY = ['sessions', 'cache', 'cache_locks', 'sign_in_links', 'password_reset_tokens'];

    private const ENDS = '-- Dump completed';

    /** Whether changes are written to a binary log, from which a time between two backups can be reached. */
    public static function logsChanges(): bool
    {
        return (int) (DB::selectOne('SELECT @@log_bin AS on_')->on_ ?? 0) === 1;
    }

    public static function isEmpty(): bool
    {
        return DB::select('SHOW TABLES') === [];
    }

    /**
     * @return iterable<string>
     */
    public static function dumped(): iterable
    {
        $database = self::config('database');
        $command = [
            'mariadb-dump', '--defaults-extra-file=%', '--single-transaction', '--quick', '--skip-lock-tables',
            '--hex-blob', '--default-character-set=utf8mb4', '--routines', '--triggers',
            ...array_map(fn (string $table) => "--ignore-table-data={$database}.{$table}", self::EMPTY),
            ...(self::logsChanges() ? ['--master-data=2'] : []), $database,
        ];
        $tail = '';
        foreach (self::run($command, null) as $piece) {
            $tail = substr($tail.$piece, -200);
            yield $piece;
        }
        if (! str_contains($tail, self::ENDS)) {
            throw new BackupFailed('The database stopped answering before all of it was copied.');
        }
    }

    /**
     * @param  iterable<string>  $pieces
     */
    public static function load(iterable $pieces): void
    {
        $command = ['mariadb', '--defaults-extra-file=%', '--default-character-set=utf8mb4', self::config('database')];
        foreach (self::run($command, $pieces) as $said) {
            throw new BackupFailed('The database said: '.mb_substr($said, 0, 300));
        }
    }

    /**
     * @param  list<string>  $command  % stands for the file with how to get in
     * @param  iterable<string>|null  $in
     * @return iterable<string> what it writes
     */
    private static function run(array $command, ?iterable $in): iterable
    {
        $access = (string) tempnam(sys_get_temp_dir(), 'db');
        chmod($access, 0o600);
        file_put_contents($access, self::access());
        $faults = (string) tempnam(sys_get_temp_dir(), 'db');
        $command = array_map(fn (string $part) => str_replace('=%', "={$access}", $part), $command);
        $process = @proc_open($command, [
            ['pipe', 'r'], ['pipe', 'w'], ['file', $faults, 'w'],
        ], $pipes);
        try {
            if (! is_resource($process)) {
                throw new BackupFailed("{$command[0]} is not installed here (package mariadb-client).");
            }
            foreach ($in ?? [] as $piece) {
                if (@fwrite($pipes[0], $piece) === false) {
                    break; // it has ended, and says why
                }
            }
            fclose($pipes[0]);
            while (! feof($pipes[1])) {
                $piece = fread($pipes[1], 65_536);
                if ($piece !== false && $piece !== '') {
                    yield $piece;
                }
            }
            fclose($pipes[1]);
            $code = proc_close($process);
            if ($code !== 0) {
                throw new BackupFailed(
                    "{$command[0]}: ".mb_substr(trim((string) file_get_contents($faults)) ?: "ended with {$code}", 0, 400),
                );
            }
        } finally {
            @unlink($access);
            @unlink($faults);
        }
    }

    private static function access(): string
    {
        $quoted = fn (string $value): string => '"'.addcslashes($value, '"\\').'"';
        $socket = self::config('unix_socket');

        return "[client]\n".($socket === ''
            ? 'host='.$quoted(self::config('host'))."\nport=".self::config('port')."\nprotocol=tcp\n"
            : 'socket='.$quoted($socket)."\n")
            .'user='.$quoted(self::config('username'))."\npassword=".$quoted(self::config('password'))."\n";
    }

    private static function config(string $key): string
    {
        return (string) config('database.connections.'.config('database.default').".{$key}");
    }
}
