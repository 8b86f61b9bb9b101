<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * Lines of code have at most 120 columns. What stands in quotes does not count, since a sentence is not broken for its
 * length, nor does a type in a comment.
 */
final class LinesTest extends TestCase
{
    private const MOST = 120;

    public function test_code_keeps_within_its_columns(): void
    {
        $long = [];
        foreach (['app', 'core', 'bootstrap', 'config', 'database', 'routes', 'services', 'tests'] as $folder) {
            foreach ($this->files($folder, '.php') as $path) {
                foreach (file($path, FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
                    if (mb_strlen($line) > self::MOST && $this->counts($line)) {
                        $long[] = substr($path, strlen((string) realpath(__DIR__.'/../..')) + 1).':'.($n + 1);
                    }
                }
            }
        }
        self::assertSame([], $long);
    }

    public function test_views_keep_within_them_but_for_what_people_read(): void
    {
        $long = [];
        foreach ($this->files('resources/views', '.blade.php') as $path) {
            foreach (file($path, FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
                // A mail is text: where it breaks, it breaks when it is read.
                if (mb_strlen($line) > self::MOST && ! str_contains($path, '/views/mail/') && $this->isMarkup($line)) {
                    $long[] = substr($path, strlen((string) realpath(__DIR__.'/../..')) + 1).':'.($n + 1);
                }
            }
        }
        self::assertSame([], $long);
    }

    /** Whether a line of a view is too long even without its sentences: text, and long texts in quotes. */
    private function isMarkup(string $line): bool
    {
        $bare = (string) preg_replace(
            ['/"[^"{}$]{30,}"/u', '/\'[^\'{}$]{30,}\'/u', '/(^|[>}])[^<>{}@]+/u'], ['""', "''", '$1'], $line,
        );

        return mb_strlen($bare) > self::MOST;
    }

    private function counts(string $line): bool
    {
        if (preg_match('~\A\s*(/\*\*|\*).*@~', $line) === 1) {
            return false;
        }
        $bare = (string) preg_replace(['/\'(?:[^\'\\\\]|\\\\.)*\'?/', '/"(?:[^"\\\\]|\\\\.)*"?/'], ["''", '""'], $line);

        return mb_strlen($bare) > self::MOST;
    }

    /**
     * @return list<string>
     */
    private function files(string $folder, string $end): array
    {
        $files = [];
        $found = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator((string) realpath(__DIR__.'/../../'.$folder))
        );
        foreach ($found as $file) {
            if (
                $file instanceof SplFileInfo && str_ends_with($file->getFilename(), $end)
                && ! str_contains($file->getPathname(), '/bootstrap/cache/')
            ) {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
