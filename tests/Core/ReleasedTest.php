<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/**
 * What a release has promised: its changes of the database stay as they were, and new ones come after them.
 */
final class ReleasedTest extends TestCase
{
    private const TOP = __DIR__.'/../../';

    /**
     * @return array<string, string> sums by name
     */
    private function released(): array
    {
        $sums = [];
        foreach (array_filter(explode("\n", (string) file_get_contents(self::TOP.'tests/Upgrade/migrations.txt'))) as $line) {
            [$sum, $name] = preg_split('/\s+/', $line, 2) ?: ['', ''];
            $sums[$name] = $sum;
        }

        return $sums;
    }

    public function test_changes_of_the_database_that_were_released_stay_as_they_were(): void
    {
        $released = $this->released();
        self::assertNotSame([], $released);
        foreach ($released as $name => $sum) {
            self::assertSame(
                $sum, hash_file('sha256', self::TOP."database/migrations/{$name}"),
                "{$name} is released: write another one that follows it.",
            );
        }
        $last = max(array_keys($released));
        foreach (glob(self::TOP.'database/migrations/*.php') ?: [] as $path) {
            $name = basename($path);
            self::assertTrue(isset($released[$name]) || $name > $last, "{$name} would run before what is released.");
        }
    }

    public function test_the_version_has_its_part_in_the_changelog_and_a_kept_demo_of_its_release(): void
    {
        preg_match("/'version' => '([^']+)'/", (string) file_get_contents(self::TOP.'config/harbor.php'), $version);
        $changes = (string) file_get_contents(self::TOP.'CHANGELOG.md');
        self::assertMatchesRegularExpression('/^## '.preg_quote($version[1], '/').'\b/m', $changes);
        preg_match_all('/^## (\d+\.\d+\.\d+), /m', $changes, $releases);
        self::assertNotSame([], $releases[1]);
        // Corrections of a release (1.0.1) change no table, and keep none.
        foreach (array_filter($releases[1], fn (string $one) => str_ends_with($one, '.0')) as $one) {
            self::assertFileExists(self::TOP."tests/Upgrade/{$one}.tgz.00");
            self::assertMatchesRegularExpression(
                '~\Abase64:[\w+/=]{44}\n\d{4}-\d\d-\d\d \d\d:\d\d\n\z~',
                (string) file_get_contents(self::TOP."tests/Upgrade/{$one}.key"),
            );
        }
    }
}
