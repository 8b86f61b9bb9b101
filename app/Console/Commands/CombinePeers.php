<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\OptionsAsNumbers;
use App\Console\TableFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Formats\PeerMarksCsv;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Peers\CombinedMark;
use YoungHarbor\Core\Peers\Combining;
use YoungHarbor\Core\Peers\Method;
use YoungHarbor\Core\Peers\Reliability;

/**
 * Combines peers' marks of scripts. Needs neither database nor web server.
 */
final class CombinePeers extends Command
{
    use AnswersInJson;
    use OptionsAsNumbers;

    protected $signature = 'peers:combine {csv : reviewer,script,mark and kind if there is, or - for standard input}
        {--method=median : median, mean, trimmed or reliability} {--decimals=1}';

    protected $description = 'Combine peers’ marks by median, mean, trimmed mean or measured reliability';

    public function handle(TableFiles $files): int
    {
        return $this->answer(function () use ($files): array {
            $in = new Document;
            $decimals = max(0, min(6, $this->wholeOption('decimals', $in, 0, 6)));
            $method = Method::tryFrom((string) $this->option('method'));
            if ($method === null) {
                $in->fault('--method', 'must be median, mean, trimmed or reliability');
            }
            $in->throwFaults();
            assert($method !== null);
            $table = PeerMarksCsv::read($files->text((string) $this->argument('csv'), 'csv'));

            return $method === Method::Reliability
                ? $this->byReliability($table, $decimals)
                : $this->exact($table, $method, $decimals);
        });
    }

    /**
     * @param  int<0, 6>  $decimals
     * @return array<string, mixed>
     */
    private function exact(PeerMarksCsv $table, Method $method, int $decimals): array
    {
        $reviews = array_count_values(array_map(fn ($one) => $one->reviewer, $table->peers));

        return [
            'scripts' => array_map($this->script(...), Combining::exact($table->byScript(), $method, $decimals)),
            'reviewers' => array_map(fn (string|int $reviewer) => [
                'reviewer' => (string) $reviewer, 'bias' => null, 'sd' => null, 'reviews' => $reviews[$reviewer],
            ], array_keys($reviews)),
        ];
    }

    /**
     * @param  int<0, 6>  $decimals
     * @return array<string, mixed>
     */
    private function byReliability(PeerMarksCsv $table, int $decimals): array
    {
        $found = Reliability::of($table->peers, $table->known, $decimals);

        return [
            'scripts' => array_values(array_map($this->script(...), array_filter(
                $found['marks'], fn (CombinedMark $one) => ! isset($table->trials[$one->script]),
            ))),
            'reviewers' => array_map(fn (array $one) => [
                'reviewer' => $one['reviewer'], 'bias' => sprintf('%.1F', $one['bias']),
                'sd' => sprintf('%.1F', $one['sd']), 'reviews' => $one['reviews'],
            ], $found['reviewers']),
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private function script(CombinedMark $one): array
    {
        return [
            'script' => $one->script, 'mark' => (string) $one->mark,
            'low' => $one->low === null ? null : sprintf('%.1F', $one->low),
            'high' => $one->high === null ? null : sprintf('%.1F', $one->high), 'reviews' => count($one->weights),
            'weights' => array_map(fn (float $weight) => sprintf('%.2F', $weight), $one->weights),
        ];
    }
}
