<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use JsonException;
use YoungHarbor\Core\Formats\ScoreJson;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Works out the total of a set of marks on a rubric, from two JSON files. Needs neither database nor web server.
 *
 * JSON on standard output and exit 0; bad input gives one line a fault on standard error, nothing on standard output,
 * and exit 1.
 */
final class ScoreRubric extends Command
{
    protected $signature = 'rubric:score {rubric : a rubric as JSON, or - for standard input} {marks : marks by criterion id as JSON, or -}';

    protected $description = 'Work out the total of a set of marks on a rubric';

    public function handle(): int
    {
        try {
            $rubric = Rubric::fromArray($this->read('rubric'));
            $score = Scorer::score($rubric, $this->read('marks'));
        } catch (InvalidInput $e) {
            fwrite(STDERR, implode("\n", array_map(strval(...), $e->faults))."\n");

            return self::FAILURE;
        }
        $this->output->writeln(json_encode(ScoreJson::of($score), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));

        return self::SUCCESS;
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws InvalidInput
     */
    private function read(string $argument): array
    {
        $path = (string) $this->argument($argument);
        if ($path !== '-' && ! is_file($path)) {
            throw InvalidInput::at($argument, "there is no file {$path}");
        }
        $text = (string) file_get_contents($path === '-' ? 'php://stdin' : $path);
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidInput::at($argument, 'is not valid UTF-8');
        }
        try {
            $document = json_decode($text, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InvalidInput::at($argument, 'is not JSON: '.$e->getMessage());
        }

        return is_array($document) && (! array_is_list($document) || $document === []) ? $document : throw InvalidInput::at($argument, 'must be a JSON object');
    }
}
