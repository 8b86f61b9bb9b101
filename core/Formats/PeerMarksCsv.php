<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Peers\PeerMark;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * A table of peers' marks: reviewer, script, mark and, if there are others than peers, kind.
 */
final readonly class PeerMarksCsv
{
    private const MOST = 100_000;

    /**
     * @param  non-empty-list<PeerMark>  $peers
     * @param  array<string, float>  $known  by script: the mean of staff's marks, or the known mark of a trial script
     * @param  array<string, true>  $trials  scripts that are trials
     */
    private function __construct(public array $peers, public array $known, public array $trials)
    {
    }

    /**
     * @param  string  $text  CSV in UTF-8 with a line of headings
     *
     * @throws InvalidInput naming each line that is wrong
     */
    public static function read(string $text): self
    {
        $in = new Document;
        $peers = $staff = $trials = $lines = [];
        foreach (CsvRows::byHeading($text) as $line => $row) {
            $missing = $lines === [] ? array_diff(['reviewer', 'script', 'mark'], array_keys($row)) : [];
            $missing === [] || throw InvalidInput::at('csv', 'has no column '.implode(', ', $missing));
            count($lines) < self::MOST || throw InvalidInput::at('csv', 'has more than 100,000 lines');
            [$reviewer, $script, $kind] = [trim($row['reviewer']), trim($row['script']), trim($row['kind'] ?? '') ?: 'peer'];
            $mark = Document::parse(trim($row['mark']));
            $key = json_encode([$kind, $reviewer, $script]);
            $fault = match (true) {
                ! in_array($kind, ['peer', 'staff', 'trial'], true) => "kind must be peer, staff or trial, not \"{$kind}\"",
                $script === '' => 'script is missing',
                $kind === 'trial' && $reviewer !== '' => 'the known mark of a trial script has no reviewer',
                $kind !== 'trial' && $reviewer === '' => 'reviewer is missing',
                $mark === null || $mark->isGreaterThan(100) => "mark must be a number from 0 to 100, not \"{$row['mark']}\"",
                isset($lines[$key]) => "stands in line {$lines[$key]} already",
                default => null,
            };
            $lines[$key] ??= $line;
            if ($fault !== null) {
                $in->fault("line {$line}", $fault);
            } elseif ($kind === 'peer') {
                $peers[] = new PeerMark($reviewer, $script, $mark);
            } elseif ($kind === 'staff') {
                $staff[$script][] = $mark->toFloat();
            } else {
                $trials[$script] = $mark->toFloat();
            }
        }
        $in->throwFaults();

        return new self(
            $peers === [] ? throw InvalidInput::at('csv', 'there is no mark of a peer') : $peers,
            $trials + array_map(fn (array $of) => array_sum($of) / count($of), $staff),
            array_fill_keys(array_map(strval(...), array_keys($trials)), true),
        );
    }

    /**
     * Peers' marks of scripts that are not trials.
     *
     * @return array<string, non-empty-list<PeerMark>> by script
     */
    public function byScript(): array
    {
        $by = [];
        foreach ($this->peers as $one) {
            isset($this->trials[$one->script]) || $by[$one->script][] = $one;
        }

        return $by;
    }
}
