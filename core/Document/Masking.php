<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Document;

use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Names\Roll;
use YoungHarbor\Core\Names\RunningHeads;

/**
 * A document in which its authors are not named: names are hidden, also where formatting stands inside them, running
 * heads that name an author are taken out, links are without the address that does.
 */
final readonly class Masking
{
    /** Lines at the head and at the foot of a work that may name its author by one name alone, as a title page does. */
    private const FIRST = 8;

    private const LAST = 4;

    /** Where a title page or a closing page has more of them, each of few letters: so many. */
    private const MOST_OF_A_PAGE = 25;

    private const SHORT = 60;

    /** Letters of context kept with a family name that was pointed out. */
    private const CONTEXT = 60;

    private const MOST = 20;

    /**
     * @param  int  $hidden  names hidden in the text
     * @param  int  $heads  running heads taken out
     * @param  int  $addresses  of links
     * @param  list<string>  $lone  where a family name stands alone and may be a source, with what stands around it
     */
    private function __construct(
        public Document $document,
        public int $hidden,
        public int $heads,
        public int $addresses,
        public array $lone,
    ) {
    }

    /**
     * @param  list<Mask>  $masks  of all its authors
     * @param  bool  $lone  whether a family name that stands alone is hidden too
     */
    public static function of(Document $document, array $masks, bool $lone = false): self
    {
        if ($masks === []) {
            return new self($document, 0, 0, 0, []);
        }
        [$texts, $lines, $pages] = self::gathered($document);
        $heads = $hidden = 0;
        foreach (array_reverse(self::edges($texts, $lines, $pages)) as [$n, $from, $to, $line, $repeats]) {
            if ($repeats && array_filter($masks, fn (Mask $mask) => $mask->isHead($line)) !== []) {
                $texts[$n] = substr_replace($texts[$n], "\0", $from, $to - $from);
                $heads++;
            } elseif (count($pages) > 1) {
                $times = 0;
                $masked = Mask::hideAll($masks, substr($texts[$n], $from, $to - $from), $times, true);
                $texts[$n] = substr_replace($texts[$n], $masked, $from, $to - $from);
                $hidden += $times;
            }
        }
        // A line that was nothing but a head is gone with its line break.
        $texts = array_map(
            fn (string $text) => str_contains($text, "\0")
                ? trim((string) preg_replace('/\n?\0/', '', $text), "\n")
                : $text,
            array_values($texts),
        );
        $lines = array_values(array_filter($lines, fn (array $line) => trim(self::joined($texts, $line)) !== ''));
        $pointedOut = [];
        [$first, $last] = self::titleAndClose(
            array_map(fn (array $line) => strlen(self::joined($texts, $line)), $lines)
        );
        foreach ($lines as $n => $line) {
            $isEdge = $n < $first || $n >= count($lines) - $last;
            $label = $n > 0 ? trim(self::joined($texts, $lines[$n - 1])) : '';
            $label = Mask::isLabel($label) ? $label.': ' : '';
            $whole = self::joined($texts, $line);
            $places = $alone = [];
            foreach ($masks as $mask) {
                array_push(
                    $places, ...self::places($whole, $mask, $isEdge),
                    ...($label === '' ? [] : self::behind($label, $whole, $mask)),
                );
                array_push($alone, ...$mask->lone($whole));
            }
            $places = self::merged($lone ? [...$places, ...$alone] : $places);
            foreach ($lone ? [] : self::merged($alone) as $place) {
                self::touches($place, $places) || $pointedOut[] = self::around($whole, $place, $places);
            }
            $texts = self::replaced($texts, $line, $places);
            $hidden += count($places);
        }
        $addresses = 0;
        $at = 0;
        $masked = $document->map(function (Node|string $part) use (
            $texts, $masks, &$at, &$addresses,
        ): Node|string|null {
            if (is_string($part)) {
                return $texts[$at++];
            }
            if ($part->address !== null && self::isNamedIn($part->address, $masks)) {
                $addresses++;

                return $part->withoutAddress();
            }

            // A paragraph that was nothing but a running head.
            return $part->kind === NodeKind::Paragraph && $part->content === [''] ? null : $part;
        });

        return new self($masked, $hidden, $heads, $addresses, array_slice($pointedOut, 0, self::MOST));
    }

    /** A text of a discussion, in which nobody of it is named; addresses of links that name someone are left out. */
    public static function ofRoll(Document $document, Roll $roll): Document
    {
        [$texts, $lines] = self::gathered($document);
        foreach ($lines as $line) {
            $texts = self::replaced($texts, $line, $roll->places(self::joined($texts, $line)));
        }
        $at = 0;

        return $document->map(function (Node|string $part) use ($texts, $roll, &$at): Node|string {
            if (is_string($part)) {
                return $texts[$at++];
            }

            return $part->address !== null && self::words($part->address, $roll->places(...)) !== []
                ? $part->withoutAddress() : $part;
        });
    }

    /**
     * What is found in an address as it stands and as the words it is made of.
     *
     * @template T
     *
     * @param  callable(string): list<T>  $find
     * @return list<T>
     */
    private static function words(string $address, callable $find): array
    {
        $read = mb_scrub(rawurldecode($address));
        $words = strtr(
            $read, ['/' => ' ', '_' => ' ', '-' => ' ', '~' => ' @', '.' => ' ', '=' => ' ', '&' => ' ', '?' => ' '],
        );

        return [...$find($read), ...$find($words)];
    }

    /**
     * @param  list<Mask>  $masks
     */
    private static function isNamedIn(string $address, array $masks): bool
    {
        return array_sum(self::words($address, fn (string $words) => [Mask::count($masks, $words)])) > 0;
    }

    /**
     * The pieces of text in their order, which of them make a line, and which lines a page.
     *
     * @return array{list<string>, list<list<int>>, list<list<int>>}
     */
    private static function gathered(Document $document): array
    {
        $texts = [];
        $lines = [[]];
        $pages = [[0]];
        $walk = function (array $content) use (&$walk, &$texts, &$lines, &$pages): void {
            foreach ($content as $part) {
                if (is_string($part)) {
                    $lines[count($lines) - 1][] = count($texts);
                    $texts[] = $part;

                    continue;
                }
                assert($part instanceof Node);
                $parts = $part->kind === NodeKind::Break || $part->kind->isBlock();
                $part->kind === NodeKind::PageEdge && $pages[] = [];
                if ($parts) {
                    $lines[] = [];
                    $pages[count($pages) - 1][] = count($lines) - 1;
                }
                $walk($part->content);
                if ($parts) {
                    $lines[] = [];
                    $pages[count($pages) - 1][] = count($lines) - 1;
                }
            }
        };
        $walk($document->content);

        return [$texts, $lines, $pages];
    }

    /**
     * Lines at the edges of pages, and those that repeat: at the edges, or in a text without pages anywhere.
     *
     * @param  list<string>  $texts
     * @param  list<list<int>>  $lines
     * @param  list<list<int>>  $pages
     * @return list<array{int, int, int, string, bool}> in their order: a piece of text, from and to where in it, the line, and whether it repeats
     */
    private static function edges(array $texts, array $lines, array $pages): array
    {
        $places = $words = [];
        foreach ($pages as $page => $of) {
            $places[$page] = $words[$page] = [];
            foreach ($of as $n) {
                // Of a line that formatting parts into pieces only the whole is looked at, with all other text.
                foreach (count($lines[$n]) === 1 ? $lines[$n] : [] as $piece) {
                    $at = 0;
                    foreach (explode("\n", $texts[$piece]) as $line) {
                        if (trim($line) !== '') {
                            $places[$page][] = [$piece, $at, $at + strlen($line), trim($line)];
                            $words[$page][] = trim($line);
                        }
                        $at += strlen($line) + 1;
                    }
                }
            }
        }
        if (count($pages) === 1) {
            return array_map(fn (int $n) => [...$places[0][$n], true], RunningHeads::amongLines($words[0]));
        }
        $edges = [];
        foreach (RunningHeads::ofPages(array_values($words)) as $page => $repeated) {
            foreach (RunningHeads::edges($words[$page]) as $n) {
                $edges[] = [...$places[$page][$n], in_array($n, $repeated, true)];
            }
        }

        return $edges;
    }

    /**
     * How many lines at the head and at the foot may be those of a title page.
     *
     * @param  list<int>  $lengths  of the lines
     * @return array{int, int}
     */
    private static function titleAndClose(array $lengths): array
    {
        $short = function (array $lengths): int {
            $count = 0;
            foreach (array_slice($lengths, 0, self::MOST_OF_A_PAGE) as $length) {
                if ($length > self::SHORT) {
                    break;
                }
                $count++;
            }

            return $count;
        };

        return [max(self::FIRST, $short($lengths)), max(self::LAST, $short(array_reverse($lengths)))];
    }

    /**
     * Names in a line that stands behind a label of its own.
     *
     * @return list<array{int, int}>
     */
    private static function behind(string $label, string $text, Mask $mask): array
    {
        $places = array_filter($mask->find($label.$text, true), fn (array $place) => $place[0] >= strlen($label));

        return array_values(
            array_map(fn (array $place) => [$place[0] - strlen($label), $place[1] - strlen($label)], $places)
        );
    }

    /**
     * Where a line names an author. One that was read with line breaks in it, as of a PDF, is looked at line by line at
     * its head and foot too.
     *
     * @return list<array{int, int}>
     */
    private static function places(string $text, Mask $mask, bool $isEdge): array
    {
        $found = $mask->find($text);
        if (! $isEdge) {
            return $found;
        }
        $lines = explode("\n", $text);
        $at = 0;
        foreach ($lines as $n => $line) {
            foreach (
                $n < self::FIRST || $n >= count($lines) - self::LAST ? $mask->find($line, true) : [] as [$from, $to]
            ) {
                $found[] = [$at + $from, $at + $to];
            }
            $at += strlen($line) + 1;
        }

        return self::merged($found);
    }

    /**
     * @param  list<array{int, int}>  $places
     * @return list<array{int, int}>
     */
    private static function merged(array $places): array
    {
        sort($places);
        $merged = [];
        foreach ($places as $place) {
            $last = count($merged) - 1;
            if ($last >= 0 && $place[0] < $merged[$last][1]) {
                $merged[$last][1] = max($merged[$last][1], $place[1]);
            } else {
                $merged[] = $place;
            }
        }

        return $merged;
    }

    /**
     * @param  array{int, int}  $place
     * @param  list<array{int, int}>  $others
     */
    private static function touches(array $place, array $others): bool
    {
        return array_filter($others, fn (array $other) => $other[0] < $place[1] && $other[1] > $place[0]) !== [];
    }

    /**
     * What stands around a name, without the name: who reads it shall judge the use, and not learn whose script it is.
     *
     * @param  array{int, int}  $place
     * @param  list<array{int, int}>  $names  where the line names its authors
     */
    private static function around(string $text, array $place, array $names): string
    {
        foreach (array_reverse($names) as [$from, $to]) {
            $text = substr_replace($text, Mask::SHOWN, $from, $to - $from);
            $by = $from < $place[0] ? strlen(Mask::SHOWN) - ($to - $from) : 0;
            $place = [$place[0] + $by, $place[1] + $by];
        }
        $before = mb_strcut($text, max(0, $place[0] - self::CONTEXT), min($place[0], self::CONTEXT));
        $after = mb_strcut($text, $place[1], self::CONTEXT);
        $cut = ($place[0] > self::CONTEXT ? '… ' : '').mb_scrub($before).'______'.mb_scrub($after)
            .(strlen($text) > $place[1] + self::CONTEXT ? ' …' : '');

        return trim((string) preg_replace('/\s+/u', ' ', $cut));
    }

    /**
     * @param  list<string>  $texts
     * @param  list<int>  $line
     */
    private static function joined(array $texts, array $line): string
    {
        return implode('', array_map(fn (int $n) => $texts[$n], $line));
    }

    /**
     * What stands for a name goes into the first of the pieces it is made of.
     *
     * @param  list<string>  $texts
     * @param  list<int>  $line
     * @param  list<array{0: int, 1: int, 2?: string}>  $places  and what is shown there, if not what is usual
     * @return list<string>
     */
    private static function replaced(array $texts, array $line, array $places): array
    {
        $lengths = array_map(fn (int $n) => strlen($texts[$n]), $line);
        foreach (array_reverse($places) as $place) {
            [$from, $to] = $place;
            $at = 0;
            $shown = $place[2] ?? Mask::SHOWN;
            foreach ($line as $i => $n) {
                if ($at < $to && $at + $lengths[$i] > $from) {
                    $start = max(0, $from - $at);
                    $texts[$n] = substr_replace($texts[$n], $shown, $start, min($lengths[$i], $to - $at) - $start);
                    $shown = '';
                }
                $at += $lengths[$i];
            }
        }

        return array_values($texts);
    }
}
