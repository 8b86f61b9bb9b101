<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * The proof that files were handed in: their SHA-256 sums, when they came in, and a seal over both that only the
 * institution can make (HMAC-SHA-256, RFC 2104). Written as lines of text, so that a mail is a receipt.
 */
final readonly class Receipt
{
    /**
     * @param  string  $id  of the attempt
     * @param  string  $received  UTC, as 2026-11-23T11:59:31Z: when it arrived, which is what counts
     * @param  string  $recorded  UTC: when the server had written it down, which a queue makes later
     * @param  non-empty-list<string>  $sums  SHA-256 of each file in hexadecimal, in their order
     */
    public function __construct(
        public string $id,
        public string $received,
        public string $recorded,
        public array $sums,
    ) {
    }

    public function seal(#[\SensitiveParameter] string $key): string
    {
        return hash_hmac(
            'sha256', implode("\n", ['receipt', $this->id, $this->received, $this->recorded, ...$this->sums]), $key,
        );
    }

    /**
     * @param  list<string>  $names  of the files, in their order
     */
    public function text(string $seal, array $names): string
    {
        $lines = ["Receipt: {$this->id}", "Received: {$this->received}", "Recorded: {$this->recorded}"];
        foreach ($this->sums as $n => $sum) {
            array_push($lines, 'File: '.($names[$n] ?? $n + 1), "SHA-256: {$sum}");
        }

        return implode("\n", [...$lines, "Seal: {$seal}"])."\n";
    }

    /**
     * Finds a receipt in a text, such as a mail or a forwarded one.
     *
     * @return array{self, string} the receipt, and the seal it carries
     *
     * @throws InvalidInput naming the lines that are missing
     */
    public static function parse(string $text): array
    {
        $in = new Document;
        // Mail programs put ">" and spaces before a line.
        $find = function (string $label, string $value) use ($text): array {
            preg_match_all('/^[>\s]*'.$label.':\s*('.$value.')\s*$/mi', $text, $found);

            return $found[1];
        };
        $ids = $find('Receipt', '[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}');
        $times = $find('Received', '\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ');
        $recorded = $find('Recorded', '\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ');
        $sums = array_map(strtolower(...), $find('SHA-256', '[0-9a-f]{64}'));
        $seals = $find('Seal', '[0-9a-f]{64}');
        foreach (
            ['Receipt' => $ids, 'Received' => $times, 'Recorded' => $recorded, 'Seal' => $seals] as $label => $values
        ) {
            if (count($values) !== 1) {
                $in->fault(
                    $label,
                    $values === []
                        ? 'there is no such line in the receipt'
                        : 'there is more than one such line; give one receipt alone',
                );
            }
        }
        if ($sums === []) {
            $in->fault('SHA-256', 'there is no such line in the receipt');
        }
        $in->throwFaults();
        assert($sums !== []);

        return [
            new self(strtolower($ids[0]), strtoupper($times[0]), strtoupper($recorded[0]), $sums),
            strtolower($seals[0]),
        ];
    }

    public function holds(string $seal, #[\SensitiveParameter] string $key): bool
    {
        return hash_equals($this->seal($key), $seal);
    }

    /** The place of a file in the receipt, from 1; null when it is none of those handed in. */
    public function place(string $sha256): ?int
    {
        $at = array_search(strtolower($sha256), $this->sums, true);

        return $at === false ? null : $at + 1;
    }
}
