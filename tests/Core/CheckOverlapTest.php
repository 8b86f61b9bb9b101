<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * The command-line door of overlap, as people call it.
 */
final class CheckOverlapTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/overlap-'.bin2hex(random_bytes(6));
        mkdir("{$this->folder}/against", 0700, true);
    }

    public function test_runs_sources_and_what_is_left_out(): void
    {
        $words = fn (string $with, int $n) => implode(' ', array_map(fn (int $i) => "{$with}{$i}", range(1, $n)));
        $this->put('against/a.txt', 'Before. '.$words('a', 30).' after.');
        $this->put('against/b.md', $words('a', 10).' and '.$words('b', 12));
        $this->put(
            'essay.txt',
            'Mine. '.$words('a', 15).' x y '.implode(' ', array_map(fn (int $i) => "a{$i}", range(16, 25)))
                .' own words here “'.$words('b', 12).'” end',
        );
        $found = $this->check('essay.txt', '--against', "{$this->folder}/against");
        // 1 + 15 + 2 + 10 + 3 + 12 + 1 words; two differing words on one side and none on the other make one run of 25.
        self::assertSame(
            [44, 44, 37, '84.1'], [$found['words'], $found['counted'], $found['matched'], $found['share']],
        );
        self::assertSame(
            [
                ['from' => 1, 'to' => 28, 'source' => 'a.txt', 'source_from' => 1, 'source_to' => 26],
                ['from' => 31, 'to' => 43, 'source' => 'b.md', 'source_from' => 11, 'source_to' => 23],
            ],
            $found['runs'],
        );
        self::assertSame(
            [
                ['name' => 'a.txt', 'matched' => 25, 'share' => '56.8'],
                ['name' => 'b.md', 'matched' => 12, 'share' => '27.3'],
            ],
            $found['sources'],
        );

        $quoted = $this->check('essay.txt', '--against', "{$this->folder}/against", '--leave-out=quotes');
        self::assertSame(
            [32, 25, '78.1', [['why' => 'quotation', 'from' => 31, 'to' => 43]]],
            [$quoted['counted'], $quoted['matched'], $quoted['share'], $quoted['left_out']],
        );
        $without = $this->check('essay.txt', '--against', "{$this->folder}/against", '--exclude-source=a.txt');
        self::assertSame(
            ['b.md' => 22], array_column($without['sources'], 'matched', 'name'), 'its words fall to the next source',
        );
        self::assertSame(
            2, count($this->check('essay.txt', '--against', "{$this->folder}/against/a.txt", '--gap=1')['runs']),
        );
        self::assertSame(
            0, $this->check('essay.txt', '--against', $this->folder)['matched'], 'a text is not its own source',
        );
    }

    public function test_faults_are_named_and_nothing_is_printed(): void
    {
        $this->put('latin.txt', "caf\xE9");
        $process = $this->run_(
            'latin.txt', '--against', "{$this->folder}/nowhere", '--min-words=0', '--leave-out=verbs',
            '--exclude-source=c',
        );
        self::assertSame([1, ''], [$process->getExitCode(), $process->getOutput()]);
        foreach (
            [
                '--min-words: must be a whole number', '--leave-out: “verbs”', '--against: there is no file or folder',
                'FILE: ', 'is not in UTF-8', '--exclude-source: there is no source “c”',
            ] as $fault
        ) {
            self::assertStringContainsString($fault, $process->getErrorOutput());
        }
    }

    /**
     * @return array<string, mixed>
     */
    private function check(string $file, string ...$options): array
    {
        $process = $this->run_($file, ...$options);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());

        return (array) json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    private function run_(string $file, string ...$options): Process
    {
        $process = new Process(
            [PHP_BINARY, __DIR__.'/../../artisan', 'overlap:check', "{$this->folder}/{$file}", ...$options]
        );
        $process->run();

        return $process;
    }

    private function put(string $name, string $text): void
    {
        file_put_contents("{$this->folder}/{$name}", $text);
    }
}
