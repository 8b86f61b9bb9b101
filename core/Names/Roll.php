<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Names;

/**
 * The people of a discussion, and where a text names any of them. What is said to stand for a person takes the place of
 * their name, so that who answers whom can still be read.
 *
 * Only those of whom some sign stands in the text are looked for with all the care of {@see Mask}: a cohort of hundreds
 * costs little more than a few.
 */
final class Roll
{
    /** @var array<int, Mask> by person, made when needed */
    private array $masks = [];

    /** @var list<list<string>> signs of each person: letters and digits, without spaces, in lower case */
    private readonly array $signs;

    /**
     * @param  list<array{name: string, number: string|null, email: string|null, shown: string}>  $people
     */
    public function __construct(private readonly array $people)
    {
        $this->signs = array_map(self::signsOf(...), $people);
    }

    /** Of whom it is made: another one when somebody joins, or is renamed. */
    public function fingerprint(): string
    {
        return md5(json_encode($this->people, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /**
     * Where people are named, and what stands there instead: what is said to stand for them, or no more than that it is
     * a name, where it may be of several.
     *
     * @return list<array{int, int, string}> byte offsets, the end exclusive, in order and apart
     */
    public function places(string $text): array
    {
        $found = [];
        foreach ($this->hintedIn($text) as $n) {
            $person = $this->people[$n];
            $this->masks[$n] ??= new Mask($person['name'], $person['number'], $person['email']);
            foreach ($this->masks[$n]->among($text) as [$from, $to]) {
                $found[] = [$from, $to, $person['shown']];
            }
        }
        sort($found);
        $places = [];
        foreach ($found as [$from, $to, $shown]) {
            $last = count($places) - 1;
            if ($last < 0 || $from >= $places[$last][1]) {
                $places[] = [$from, $to, $shown];

                continue;
            }
            [$start, $end, $before] = $places[$last];
            // A whole name says more than one of its parts, which another person may share.
            $places[$last] = [$start, max($end, $to), match (true) {
                $before === $shown => $shown,
                $start === $from && $end < $to => $shown,
                $to < $end || ($start < $from && $to === $end) => $before,
                default => Mask::SHOWN,
            }];
        }

        return $places;
    }

    public function hide(string $text): string
    {
        foreach (array_reverse($this->places($text)) as [$from, $to, $shown]) {
            $text = substr_replace($text, $shown, $from, $to - $from);
        }

        return $text;
    }

    /**
     * @return list<int> of whom some sign stands in a text
     */
    private function hintedIn(string $text): array
    {
        $squeezed = self::squeezed($text);
        $hinted = [];
        foreach ($this->signs as $n => $signs) {
            foreach ($signs as $sign) {
                if (str_contains($squeezed, $sign)) {
                    $hinted[] = $n;
                    break;
                }
            }
        }

        return $hinted;
    }

    /**
     * @param  array{name: string, number: string|null, email: string|null, shown: string}  $person
     * @return list<string>
     */
    private static function signsOf(array $person): array
    {
        $parts = preg_split('/[\s\p{Z}\p{Pd}·・,.\'’]+/u', $person['name'], flags: PREG_SPLIT_NO_EMPTY) ?: [];
        $local = strstr((string) $person['email'], '@', true);
        $digits = preg_replace('/\D+/', '', (string) $person['number']) ?? '';
        $signs = [];
        foreach ([...$parts, (string) $local] as $part) {
            array_push(
                $signs, self::letters(Letters::of($part, true)->plain), self::letters(Letters::of($part, false)->plain),
            );
        }
        // Letters that are also written as two: both are signs.
        foreach ($parts as $part) {
            $two = strtr(mb_strtolower($part), ['ä' => 'ae', 'ö' => 'oe', 'ü' => 'ue', 'ø' => 'oe', 'å' => 'aa']);
            $signs[] = self::letters(Letters::of($two, true)->plain);
        }
        strlen($digits) >= 3 && $signs[] = $digits;

        return array_values(array_unique(array_filter($signs, fn (string $sign) => $sign !== '')));
    }

    /** A text as it is read, also as letters of other alphabets that look like Latin ones. */
    private static function squeezed(string $text): string
    {
        return self::letters(Letters::of($text, true)->plain.(
            preg_match('/[^\x00-\x7F]/', $text) === 1 ? ' '.Letters::of($text, false)->plain : ''
        ));
    }

    private static function letters(string $text): string
    {
        return (string) preg_replace('/[^\p{L}\p{N}]+/u', '', mb_strtolower($text));
    }
}
