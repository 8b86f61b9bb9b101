<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * A place in a text that finds itself again after the text was extracted anew: the quoted words, a little of what
 * stands before and after, and the position (W3C Web Annotation Data Model, TextQuoteSelector and TextPositionSelector;
 * positions count code points from 0, ends exclusive).
 *
 * A place is never guessed: the words must be there as quoted, but for white space, and what surrounds them must agree
 * enough to tell them from the same words elsewhere. Otherwise the anchor is an orphan.
 */
final readonly class TextAnchor
{
    /** Code points kept before and after. */
    public const CONTEXT = 32;

    /** A longer quotation stands for itself where its words occur once. */
    private const TELLING = 24;

    /**
     * Characters of the surroundings that must agree, on either side too, and by how many a place must be ahead of the
     * next best.
     */
    private const AGREE = 12;

    private const BESIDE = 4;

    private const AHEAD = 6;

    private function __construct(
        public string $exact,
        public string $prefix,
        public string $suffix,
        public int $start,
        public int $end,
        public string $version,
    ) {
    }

    /**
     * @throws InvalidInput for a place that is not in the text, or holds no word
     */
    public static function at(string $text, int $start, int $end): self
    {
        $length = mb_strlen($text);
        $exact = $start >= 0 && $start < $end && $end <= $length ? mb_substr($text, $start, $end - $start) : '';
        if (trim($exact) === '') {
            throw InvalidInput::at('anchor', 'does not lie in the text');
        }
        $from = max(0, $start - self::CONTEXT);

        return new self(
            $exact, mb_substr($text, $from, $start - $from), mb_substr($text, $end, self::CONTEXT), $start, $end,
            self::versionOf($text),
        );
    }

    /**
     * @param  array<array-key, mixed>  $from
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $from): self
    {
        $text = fn (string $key): string => is_string($from[$key] ?? null) && mb_check_encoding($from[$key], 'UTF-8')
            ? $from[$key]
            : '';
        $start = $from['start'] ?? null;
        $end = $from['end'] ?? null;
        if (trim($text('exact')) === '' || ! is_int($start) || ! is_int($end) || $start < 0 || $end <= $start) {
            throw InvalidInput::at('anchor', 'must quote words and say where they stand');
        }

        return new self(
            $text('exact'), mb_substr($text('prefix'), -self::CONTEXT), mb_substr($text('suffix'), 0, self::CONTEXT),
            $start, $end, $text('version'),
        );
    }

    /**
     * @return array{exact: string, prefix: string, suffix: string, start: int, end: int, version: string}
     */
    public function toArray(): array
    {
        return [
            'exact' => $this->exact, 'prefix' => $this->prefix, 'suffix' => $this->suffix, 'start' => $this->start,
            'end' => $this->end, 'version' => $this->version,
        ];
    }

    /** What tells one extraction of a text from another. */
    public static function versionOf(string $text): string
    {
        return substr(hash('sha256', $text), 0, 16);
    }

    /**
     * Where the quoted words stand in a text now.
     *
     * @param  string|null  $version  of the text, for whoever asks of many places in it
     * @return array{int, int}|null code points; null for an orphan
     */
    public function in(string $text, ?string $version = null): ?array
    {
        if (
            $this->version !== '' && $this->version === ($version ?? self::versionOf($text))
            && mb_substr($text, $this->start, $this->end - $this->start) === $this->exact
        ) {
            return [$this->start, $this->end];
        }
        $folded = Folded::of($text);
        $quote = Folded::of($this->exact)->text;
        $places = $quote === '' ? [] : $folded->occurrences($quote);
        if ($places === []) {
            return null;
        }
        $scores = array_map(fn (int $at) => $this->agreement($folded->text, $at, $at + strlen($quote)), $places);
        arsort($scores);
        $best = (int) array_key_first($scores);
        $isAlone = count($places) === 1;
        if (
            ! ($isAlone && mb_strlen($quote) >= self::TELLING)
            && ($scores[$best] === 0 || (! $isAlone && $scores[$best] - array_values($scores)[1] < self::AHEAD))
        ) {
            return null;
        }
        [$from, $to] = $folded->original($places[$best], $places[$best] + strlen($quote));
        $start = mb_strlen(substr($text, 0, $from));

        return [$start, $start + mb_strlen(substr($text, $from, $to - $from))];
    }

    /**
     * Where the words of a kept place stand in the very text it was made in: what in() says of it, for hundreds of
     * places at once.
     *
     * @param  array<array-key, mixed>  $kept  as toArray() gave it
     * @param  string  $version  of the text
     * @return array{int, int}|null code points; null when in() has to look for it
     */
    public static function unmoved(array $kept, TextSlices $text, string $version): ?array
    {
        $start = $kept['start'] ?? null;
        $end = $kept['end'] ?? null;

        return ($kept['version'] ?? '') === $version && is_int($start) && is_int($end) && $start >= 0 && $start < $end
            && $text->between($start, $end) === ($kept['exact'] ?? null) ? [$start, $end] : null;
    }

    /** How many characters before and after agree, counted from the quotation outwards; 0 when that is too few. */
    private function agreement(string $text, int $from, int $to): int
    {
        $letters = fn (string $words): array => mb_str_split(mb_scrub(trim($words)));
        $start = max(0, $from - 4 * self::CONTEXT);
        $prefix = array_reverse($letters(Folded::of($this->prefix)->text));
        $suffix = $letters(Folded::of($this->suffix)->text);
        $before = self::common($prefix, array_reverse($letters(substr($text, $start, $from - $start))));
        $after = self::common($suffix, $letters(substr($text, $to, 4 * self::CONTEXT)));
        $isEnough = $before >= min(self::BESIDE, count($prefix)) && $after >= min(self::BESIDE, count($suffix))
            && $before + $after >= min(self::AGREE, count($prefix) + count($suffix));

        return $isEnough ? $before + $after : 0;
    }

    /**
     * @param  list<string>  $one
     * @param  list<string>  $other
     */
    private static function common(array $one, array $other): int
    {
        $n = 0;
        while (isset($one[$n], $other[$n]) && $one[$n] === $other[$n]) {
            $n++;
        }

        return $n;
    }
}
