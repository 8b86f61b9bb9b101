<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * What bin/test adds up: a part that failed, or never came to its end, is never counted as passed.
 */
final class ReportTest extends TestCase
{
    private const JUNIT = '<?xml version="1.0"?><testsuites><testsuite name="core" tests="4" failures="1" errors="1">'
        .'<testcase name="one" class="A"/><testcase name="two" class="A"><failure type="X">A::two%sFailed that 1 is 2.'
        .'%s/a.php:3</failure></testcase><testcase name="three" class="A"><error type="Y">Boom</error></testcase>'
        .'<testcase name="four" class="A"><skipped/></testcase></testsuite></testsuites>';

    /**
     * @return iterable<string, array{string, string|null, int, string, list<string>}>
     */
    public static function reports(): iterable
    {
        $junit = sprintf(self::JUNIT, "\n", "\n\n");
        $good = '<testsuites><testsuite tests="1"><testcase name="one" class="A"/></testsuite></testsuites>';
        yield 'PHPUnit, of each kind' => ['x.xml', $junit, 1, '1 2', ['A::two', 'Failed that 1 is 2.', 'A::three', 'Boom']];
        yield 'PHPUnit, all well' => ['x.xml', $good, 0, '1 0', []];
        yield 'PHPUnit, ended otherwise' => ['x.xml', $good, 2, '1 1', ['ended with 2']];
        yield 'PHPUnit, killed' => ['x.xml', substr($junit, 0, 200), 137, '0 1', ['cannot be read']];
        yield 'none' => ['x.json', null, 1, '0 1', ['cannot be read']];
        $test = fn (string $status, array $results): array => ['tests' => [['status' => $status, 'results' => $results]]];
        $at = ['file' => 'a.spec.mjs', 'line' => 7];
        $suites = [['suites' => [['specs' => [
            ['title' => 'well'] + $at + $test('expected', [[]]),
            ['title' => 'bad'] + $at + $test('unexpected', [['error' => ['message' => "\e[31mnot seen\e[39m"]]]),
        ]]], 'specs' => [
            ['title' => 'now and then'] + $at + $test('flaky', [['error' => ['message' => 'late']], []]),
        ]]];
        $json = fn (array $report): string => (string) json_encode($report);
        yield 'Playwright, of each kind' => [
            'x.json', $json(['suites' => $suites, 'stats' => ['expected' => 1]]), 1, '1 2',
            ['a.spec.mjs:7 bad', '    not seen', 'a.spec.mjs:7 now and then', 'late'],
        ];
        yield 'Playwright, before any check' => [
            'x.json', $json(['suites' => [], 'errors' => [['message' => 'no such file']], 'stats' => ['expected' => 0]]),
            1, '0 1', ['no such file'],
        ];
    }

    /**
     * @param  list<string>  $says
     */
    #[DataProvider('reports')]
    public function test_what_failed_is_counted_and_named(
        string $name, ?string $report, int $status, string $counts, array $says,
    ): void {
        $folder = sys_get_temp_dir().'/report-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $report === null || file_put_contents("{$folder}/{$name}", $report);
        $run = new Process(
            [PHP_BINARY, __DIR__.'/../../bin/lib/report.php', "{$folder}/{$name}", (string) $status, "{$folder}/failed"],
        );
        $run->mustRun();
        self::assertSame("{$counts}\n", $run->getOutput());
        $failed = is_file("{$folder}/failed") ? (string) file_get_contents("{$folder}/failed") : '';
        foreach ($says as $words) {
            self::assertStringContainsString($words, $failed);
        }
        self::assertSame($says === [], $failed === '');
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }
}
