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

    /** Views that are still longer, in lines: this number only goes down. */
    private const LONG_IN_VIEWS = 1151;

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

    public function test_views_do_not_grow_longer_lines(): void
    {
        $long = 0;
        foreach ($this->files('resources/views', '.blade.php') as $path) {
            foreach (file($path, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
                $long += mb_strlen($line) > self::MOST ? 1 : 0;
            }
        }
        self::assertLessThanOrEqual(self::LONG_IN_VIEWS, $long);
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
