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
    private const NAMESPACES = ['YoungHarbor\Core', 'Brick\Math', 'Random', 'Normalizer', 'Stringable', 'DomainException', 'SensitiveParameter'];

    private const FORBIDDEN = [
        'time', 'microtime', 'hrtime', 'date', 'gmdate', 'mktime', 'strtotime', 'date_create', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'shuffle', 'array_rand', 'uniqid',
        'fopen', 'fwrite', 'file', 'file_get_contents', 'file_put_contents', 'unlink', 'is_file', 'glob', 'exec', 'shell_exec', 'proc_open', 'system', 'curl_init', 'stream_socket_client',
        'getenv', 'putenv', 'ini_set', 'header', 'setcookie', 'session_start', 'config', 'app', 'env', 'now', 'today', 'request', 'auth', 'session', 'cache', 'collect', 'event', 'dispatch', 'echo', 'print', 'exit', 'die', 'eval', 'sleep',
    ];

    public function test_no_file_of_the_core_reaches_outside_it(): void
    {
        $faults = [];
        $files = 0;
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core')) as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $files++;
                array_push($faults, ...$this->faultsOf($file->getPathname()));
            }
        }
        self::assertGreaterThan(40, $files);
        self::assertSame([], $faults);
    }

    /**
     * @return list<string>
     */
    private function faultsOf(string $path): array
    {
        $tokens = array_values(array_filter(\PhpToken::tokenize((string) file_get_contents($path)), fn (\PhpToken $token) => ! $token->isIgnorable()));
        $faults = [];
        foreach ($tokens as $i => $token) {
            $before = $tokens[$i - 1]->text ?? '';
            $after = $tokens[$i + 1]->text ?? '';
            $isCall = $token->is(T_STRING) && $after === '(' && ! in_array($before, ['->', '?->', '::', 'function', 'new'], true);
            if (($isCall && in_array(strtolower($token->text), self::FORBIDDEN, true)) || $token->is([T_ECHO, T_PRINT, T_EXIT, T_EVAL, T_INCLUDE, T_REQUIRE, T_INCLUDE_ONCE, T_REQUIRE_ONCE, T_GLOBAL])
                || ($token->is(T_VARIABLE) && preg_match('/\A\$(_[A-Z]+|GLOBALS)\z/', $token->text) === 1)) {
                $faults[] = basename($path).":{$token->line}: {$token->text}";
            }
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                $name = ltrim($token->text, '\\');
                $known = array_filter(self::NAMESPACES, fn (string $allowed) => $name === $allowed || str_starts_with($name, $allowed.'\\'));
                if ($known === []) {
                    $faults[] = basename($path).":{$token->line}: {$name}";
                }
            }
        }

        return $faults;
    }
}
