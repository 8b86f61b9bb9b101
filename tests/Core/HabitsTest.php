<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * Habits of the application that no type can ask for.
 */
final class HabitsTest extends TestCase
{
    /** Ways to write into the database, the files or a queue, as they stand in code. */
    private const WRITES = '/(?<!\$this)(->|::)(save|saveOrFail|saveQuietly|create|createMany|firstOrCreate|updateOrCreate|insert|'
        .'insertGetId|insertOrIgnore|upsert|update|updateOrInsert|delete|forceDelete|forceCreate|increment|decrement|'
            .'touch|attach|detach|sync|truncate|dispatch)\(|DB::|Mail::|Bus::|Storage::(put|delete|move|copy)|'
        .'\b(fopen|fwrite|file_put_contents|unlink|mkdir)\(/';

    public function test_an_action_has_one_door(): void
    {
        $doors = [];
        foreach ($this->files('app/Actions') as $path => $code) {
            preg_match_all('/^    public (?:static )?function (\w+)/m', $code, $found);
            $doors[$path] = array_values(array_diff($found[1], ['__construct']));
        }
        self::assertGreaterThan(100, count($doors));
        $actions = array_filter($doors, fn (string $path) => ! str_contains($path, '/Concerns/'), ARRAY_FILTER_USE_KEY);
        self::assertSame([], array_filter($actions, fn (array $public) => $public !== ['__invoke']));
        self::assertSame([], array_filter(array_diff_key($doors, $actions)), 'what actions share is no door');
    }

    public function test_jobs_are_called_jobs(): void
    {
        foreach ($this->files('app/Jobs') as $path => $code) {
            self::assertSame(
                str_contains($code, 'implements ShouldQueue') || str_contains($code, ', ShouldQueue'),
                str_ends_with($path, 'Job.php'), $path,
            );
        }
    }

    /**
     * @return iterable<string, array{string}>
     */
    public static function whatWritesNothing(): iterable
    {
        foreach (['Http/Controllers', 'Http/Requests', 'Policies', 'Queries', 'Desk', 'Wording'] as $room) {
            yield $room => ["app/{$room}"];
        }
    }

    #[DataProvider('whatWritesNothing')]
    public function test_what_shows_writes_nothing(string $room): void
    {
        $allowed = [
            'app/Queries/Plan/RubricEditors.php', // who is looking at a sheet just now
        ];
        $faults = [];
        foreach ($this->files($room) as $path => $code) {
            foreach (explode("\n", $code) as $n => $line) {
                $isQuery = preg_match('/DB::(table|query|raw|selectOne|select)\(/', $line) === 1;
                if (preg_match(self::WRITES, $isQuery ? str_replace('DB::', '', $line) : $line) === 1) {
                    in_array($path, $allowed, true) || $faults[] = "{$path}:".($n + 1).' '.trim($line);
                }
            }
        }
        self::assertSame([], $faults);
    }

    public function test_forms_are_checked_by_requests(): void
    {
        foreach ($this->files('app/Http/Controllers') as $path => $code) {
            self::assertDoesNotMatchRegularExpression('/->validate\(|Validator::/', $code, $path);
        }
    }

    public function test_a_model_starts_nothing(): void
    {
        foreach ($this->files('app/Models') as $path => $code) {
            self::assertDoesNotMatchRegularExpression(
                '/Job::dispatch|Mail::|use App\\\\(Jobs|Actions)/', $code, $path,
            );
        }
    }

    /**
     * @return array<string, string> code by path
     */
    private function files(string $room): array
    {
        $top = (string) realpath(__DIR__.'/../..');
        $files = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$top}/{$room}")) as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $path = $file->getPathname();
                $files[substr($path, strlen($top) + 1)] = (string) file_get_contents($path);
            }
        }

        return $files;
    }
}
