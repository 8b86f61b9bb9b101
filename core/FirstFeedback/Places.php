<?php

declare(strict_types=1);

namespace YoungHarbor\Core\FirstFeedback;

/**
 * A draft cut at the places that remarks are about.
 */
final class Places
{
    /**
     * @param  list<string|null>  $quotes  the words each remark is about, as they stand in the draft
     * @return list<array{string, list<int>, list<int>}> pieces of the draft in order, each with the remarks about it and
     *                                                  those of them whose words begin there
     */
    public static function in(string $draft, array $quotes): array
    {
        $spans = $cuts = [];
        foreach ($quotes as $n => $quote) {
            $at = $quote === null || $quote === '' ? false : strpos($draft, $quote);
            if ($at !== false) {
                $spans[$n] = [$at, $at + strlen((string) $quote)];
                $cuts[$at] = $cuts[$at + strlen((string) $quote)] = true;
            }
        }
        $cuts = array_keys($cuts + [0 => true, strlen($draft) => true]);
        sort($cuts);
        $pieces = [];
        foreach ($cuts as $k => $from) {
            $to = $cuts[$k + 1] ?? $from;
            if ($to > $from) {
                $pieces[] = [
                    substr($draft, $from, $to - $from),
                    array_keys(array_filter($spans, fn (array $span) => $span[0] <= $from && $to <= $span[1])),
                    array_keys(array_filter($spans, fn (array $span) => $span[0] === $from)),
                ];
            }
        }

        return $pieces;
    }
}
