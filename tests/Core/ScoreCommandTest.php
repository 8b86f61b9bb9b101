<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * `php artisan rubric:score` as a module team would run it: on files, without a database.
 */
final class ScoreCommandTest extends TestCase
{
    private const RUBRIC = <<<'JSON'
        {"title":"Essay","weighting":"percent","decimals":1,"levels":[],"criteria":[
          {"id":"a","title":"Argument","weight":"40","kind":"levels","optional":false,
           "levels":[{"id":"l1","title":"low","points":"0"},{"id":"l2","title":"high","points":"5","upto":"7"}],
           "overrides":{"l1":"1"},"unused":[]},
          {"id":"b","weight":"35","kind":"scale","min":"0","max":"10","step":"0.5","optional":true},
          {"id":"c","weight":"25","kind":"checklist","items":[{"id":"s1","title":"one","points":"2"},{"id":"s2","title":"two","points":"3"}]},
          {"id":"d","weight":"0","kind":"comment"}]}
        JSON;

    /**
     * @return array{int, string, string} exit code, standard output, standard error
     */
    private function score(string $rubric, string $marks): array
    {
        $files = array_map(function (string $text): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'score');
            file_put_contents($path, $text);

            return $path;
        }, [$rubric, $marks]);
        $process = new Process([PHP_BINARY, 'artisan', 'rubric:score', ...$files], dirname(__DIR__, 2), [
            // No database answers here: the command must not need one.
            'DB_CONNECTION' => 'mariadb', 'DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'APP_ENV' => 'production',
        ]);
        $process->run();
        array_map(unlink(...), $files);

        return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }

    public function test_a_complete_set(): void
    {
        [$exit, $out, $error] = $this->score(
            self::RUBRIC, '{"a":{"level":"l2","points":"5"},"b":{"points":"7.5"},"c":{"done":["s2"]}}',
        );

        self::assertSame([0, ''], [$exit, $error]);
        self::assertSame([
            'total' => '69.8', 'out_of' => '100', 'complete' => true, 'missing' => [],
            'criteria' => [
                [
                    'id' => 'a', 'points' => '5', 'max' => '7', 'weight' => '40', 'effective_weight' => '40',
                    'contribution' => '28.571428',
                ],
                [
                    'id' => 'b', 'points' => '7.5', 'max' => '10', 'weight' => '35', 'effective_weight' => '35',
                    'contribution' => '26.25',
                ],
                [
                    'id' => 'c', 'points' => '3', 'max' => '5', 'weight' => '25', 'effective_weight' => '25',
                    'contribution' => '15',
                ],
            ],
        ], json_decode($out, true));
    }

    public function test_a_set_in_which_one_does_not_apply_and_one_is_missing(): void
    {
        [$exit, $out] = $this->score(self::RUBRIC, '{"b":{"not_applicable":true},"c":{"done":[]}}');
        $score = json_decode($out, true);

        self::assertSame([0, '0.0', false, ['a']], [$exit, $score['total'], $score['complete'], $score['missing']]);
        self::assertSame(['61.538461', '0', '38.461538'], array_column($score['criteria'], 'effective_weight'));
        self::assertSame([null, null, '0'], array_column($score['criteria'], 'points'));
    }

    #[DataProvider('bad')]
    public function test_bad_input_gives_a_line_a_fault_and_nothing_else(
        string $rubric, string $marks, string $says,
    ): void {
        [$exit, $out, $error] = $this->score($rubric, $marks);

        self::assertSame([1, ''], [$exit, $out]);
        self::assertStringContainsString($says, $error);
        self::assertStringEndsWith("\n", $error);
    }

    /**
     * @return iterable<string, array{string, string, string}>
     */
    public static function bad(): iterable
    {
        yield 'not JSON' => ['{', '{}', 'rubric: is not JSON'];
        yield 'a list' => [self::RUBRIC, '[1]', 'marks: must be a JSON object'];
        yield 'another encoding' => [self::RUBRIC, "{\"a\":{\"comment\":\"caf\xE9\"}}", 'marks: is not valid UTF-8'];
        yield 'weights at 99.5' => [
            str_replace('"40"', '"39.5"', self::RUBRIC), '{}', 'criteria: the weights total 99.5 %, 0.5 short of 100',
        ];
        yield 'a float' => [
            str_replace('"40"', '40.0', self::RUBRIC), '{}', 'criteria[0].weight: must be a number such as "12.5"',
        ];
        yield 'an id of another rubric' => [
            self::RUBRIC, '{"z":{"points":"1"}}', 'z: is not a criterion of this rubric',
        ];
        yield 'points outside' => [self::RUBRIC, '{"b":{"points":"11"}}', 'b.points: must lie from 0 to 10, not 11'];
    }
}
