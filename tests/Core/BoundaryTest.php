<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * The core knows no framework and does no I/O: it reads no clock, no file, no environment, no global and no dice.
 */
final class BoundaryTest extends TestCase
{
    private const NAMESPACES = [
        'YoungHarbor\Core', 'Brick\Math', 'Random', 'Normalizer', 'Stringable', 'DomainException', 'LogicException',
        'BackedEnum', 'SensitiveParameter',
    ];

    private const FORBIDDEN = [
        'time', 'microtime', 'hrtime', 'date', 'gmdate', 'mktime', 'strtotime', 'date_create', 'rand', 'mt_rand',
        'random_int', 'random_bytes', 'shuffle', 'array_rand', 'uniqid',
        'fopen', 'fwrite', 'file', 'file_get_contents', 'file_put_contents', 'unlink', 'is_file', 'glob', 'exec',
        'shell_exec', 'proc_open', 'system', 'curl_init', 'stream_socket_client',
        'getenv', 'putenv', 'ini_set', 'header', 'setcookie', 'session_start', 'config', 'app', 'env', 'now', 'today',
        'request', 'auth', 'session', 'cache', 'collect', 'event', 'dispatch', 'echo', 'print', 'exit', 'die', 'eval',
        'sleep',
    ];

    /** The rooms of the core from the bottom up: each may use those before it, and none after. */
    private const ROOMS = [
        'Input', 'Figures', 'Statistics', 'Tables', 'Text', 'Names', 'Document', 'Stage', 'ScriptCode', 'Roster',
        'Logbook', 'Accounts', 'Keeping',
        'Collect', 'Discussion', 'Observing', 'Overlap', 'Writing', 'Screening', 'FirstFeedback', 'Rubric', 'Marking', 'Marks', 'Agreement', 'Allocation',
        'Peers',
        'Formats',
        'Fairway', 'Release',
    ];

    /** Made without an argument, or of "now", these read the clock or throw dice. */
    private const NOT_BARE = ['DateTimeImmutable', 'DateTime', 'Randomizer'];

    public function test_rooms_use_only_what_lies_below_them(): void
    {
        $faults = [];
        foreach ($this->files() as $path) {
            $parts = explode('/', substr($path, strlen((string) realpath(__DIR__.'/../../core')) + 1));
            $room = basename($parts[0], '.php');
            self::assertContains($room, self::ROOMS, 'a new room has its place in the order');
            preg_match_all('/YoungHarbor\\\\Core\\\\(\w+)/', (string) file_get_contents($path), $found);
            foreach (array_unique($found[1]) as $used) {
                if (
                    $used !== $room && array_search($used, self::ROOMS, true) >= array_search($room, self::ROOMS, true)
                ) {
                    $faults[] = "{$parts[0]}/".basename($path)." uses {$used}";
                }
            }
        }
        self::assertSame([], $faults);
    }

    public function test_what_is_not_allowed_is_found(): void
    {
        foreach ([
            'return time();' => 1, 'return \\time();' => 1, 'use function random_int; ' => 1,
            'use function time as t; return t();' => 1, 'new DateTimeImmutable;' => 1, 'new DateTimeImmutable();' => 1,
            "new \\DateTimeImmutable('now');" => 2,
            'new Randomizer;' => 1, "new DateTimeImmutable('2027-01-12');" => 0,
            'new DateTimeImmutable($written);' => 0, 'new Randomizer(new Mt19937($seed));' => 0, '$this->time();' => 0,
            'use Illuminate\\Support\\Carbon;' => 1, 'echo $_GET[1];' => 2,
        ] as $code => $faults) {
            $path = (string) tempnam(sys_get_temp_dir(), 'core');
            file_put_contents($path, "<?php\n{$code}\n");
            self::assertCount($faults, $this->faultsOf($path), $code);
            unlink($path);
        }
    }

    public function test_no_file_of_the_core_reaches_outside_it(): void
    {
        $files = $this->files();
        self::assertGreaterThan(40, count($files));
        self::assertSame([], array_merge(...array_map($this->faultsOf(...), $files)));
    }

    /**
     * @return list<string>
     */
    private function files(): array
    {
        $files = [];
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator((string) realpath(__DIR__.'/../../core'))
            ) as $file
        ) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }

    /**
     * @return list<string>
     */
    private function faultsOf(string $path): array
    {
        $tokens = array_values(
            array_filter(
                \PhpToken::tokenize((string) file_get_contents($path)),
                fn (\PhpToken $token) => ! $token->isIgnorable(),
            )
        );
        $faults = [];
        foreach ($tokens as $i => $token) {
            $before = $tokens[$i - 1]->text ?? '';
            $after = $tokens[$i + 1]->text ?? '';
            $isCall = $token->is(T_STRING) && $after === '('
                && ! in_array($before, ['->', '?->', '::', 'function', 'new'], true);
            if (($isCall && in_array(strtolower($token->text), self::FORBIDDEN, true)) || $token->is(
                [T_ECHO, T_PRINT, T_EXIT, T_EVAL, T_INCLUDE, T_REQUIRE, T_INCLUDE_ONCE, T_REQUIRE_ONCE, T_GLOBAL]
            )
                || ($token->is(T_VARIABLE) && preg_match('/\A\$(_[A-Z]+|GLOBALS)\z/', $token->text) === 1)) {
                $faults[] = basename($path).":{$token->line}: {$token->text}";
            }
            if ($token->is(T_USE) && ($tokens[$i + 1] ?? null)?->is(T_FUNCTION)) {
                $faults[] = basename($path).":{$token->line}: use function";
            }
            if (
                $token->is(T_NEW) && in_array(ltrim($after, '\\'), self::NOT_BARE, true)
                && (
                    ($tokens[$i + 2]->text ?? '') !== '('
                    || in_array($tokens[$i + 3]->text ?? '', [')', "'now'", '"now"'], true)
                )
            ) {
                $faults[] = basename($path).":{$token->line}: new {$after} of now";
            }
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                $name = ltrim($token->text, '\\');
                $known = array_filter(
                    self::NAMESPACES,
                    fn (string $allowed) => $name === $allowed || str_starts_with($name, $allowed.'\\'),
                );
                if ($known === []) {
                    $faults[] = basename($path).":{$token->line}: {$name}";
                }
            }
        }

        return $faults;
    }
}
