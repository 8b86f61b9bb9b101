<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * A text with each run of white space as one space, and the way back to where its words stood. Offsets are bytes.
 */
final readonly class Folded
{
    /**
     * @param  list<int>  $places  where each run without white space begins in the folded text
     * @param  list<int>  $origins  and in the original
     */
    private function __construct(
        public string $text,
        private array $places,
        private array $origins,
    ) {
    }

    public static function of(string $text): self
    {
        preg_match_all('/[^\s\p{Z}]+/u', $text, $found, PREG_OFFSET_CAPTURE);
        $folded = '';
        $places = [];
        $origins = [];
        foreach ($found[0] as [$run, $origin]) {
            $folded .= $folded === '' ? '' : ' ';
            $places[] = strlen($folded);
            $origins[] = $origin;
            $folded .= $run;
        }

        return new self($folded, $places, $origins);
    }

    /**
     * @return list<int> where the words occur, each place once
     */
    public function occurrences(string $words): array
    {
        $places = [];
        for ($at = strpos($this->text, $words); $at !== false; $at = strpos($this->text, $words, $at + 1)) {
            $places[] = $at;
        }

        return $places;
    }

    /**
     * @return array{int, int} the same stretch in the original; it begins and ends with a letter
     */
    public function original(int $from, int $to): array
    {
        return [$this->place($from), $this->place($to - 1) + 1];
    }

    private function place(int $at): int
    {
        $low = 0;
        $high = count($this->places) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            $this->places[$middle] <= $at ? $low = $middle : $high = $middle - 1;
        }

        return $this->origins[$low] + $at - $this->places[$low];
    }
}
