<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

use YoungHarbor\Core\Overlap\Bibliography;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\Quotations;
use YoungHarbor\Core\Text\Sentences;
use YoungHarbor\Core\Text\Words;

/**
 * What of a text is measured: its running sentences. Quotations, the bibliography and what was given are not the
 * writer's; headings, table rows, lines of verse or code and items of lists are no sentences, and are left out too.
 *
 * A passage that has no mark that ends a sentence, and fewer words than a heading could have, is no sentence.
 */
final readonly class Prose
{
    private const HEADING = 15;

    /**
     * @param  list<string>  $words  normalised, those of the sentences in a row
     * @param  list<array{from: int, words: int, paragraph: int, at: int, to: int, marks: array<string, int>}>  $sentences  `from` counts in $words; `at` and `to` (exclusive) in the words of the text
     * @param  list<int>  $paragraphs  words of each paragraph
     * @param  array<string, int>  $marks  punctuation inside the sentences: comma, semicolon, colon, dash, bracket, question, exclamation
     * @param  int  $all  words of the whole text
     */
    private function __construct(
        public array $words,
        public array $sentences,
        public array $paragraphs,
        public array $marks,
        public int $all,
    ) {
    }

    /** A text as it stands; quotations and the bibliography are looked for in it. */
    public static function of(string $text): self
    {
        $words = Words::of($text);

        return self::without($words, [...Quotations::of($words), ...Bibliography::of($words)]);
    }

    /**
     * @param  list<Interval>  $places  what is not the writer's
     */
    public static function without(Words $text, array $places): self
    {
        $out = [];
        foreach (LeftOut::of($places)->intervals as [$from, $to]) {
            $out += array_fill_keys(range($from, $to - 1), true);
        }
        $words = $sentences = $paragraphs = [];
        $none = array_fill_keys(['comma', 'semicolon', 'colon', 'dash', 'bracket', 'question', 'exclamation'], 0);
        $marks = $none;
        $verse = self::lines($text);
        foreach (Sentences::of($text) as $sentence) {
            if ((! $sentence->closed && $sentence->words() < self::HEADING) || isset($verse[$sentence->from])) {
                continue;
            }
            $from = count($words);
            $own = $none;
            for ($i = $sentence->from; $i < $sentence->to; $i++) {
                if (isset($out[$i])) {
                    continue;
                }
                $words[] = $text->list[$i]->normal;
                $after = $text->list[$i + 1]->start ?? strlen($text->text);
                self::tally(substr($text->text, $text->list[$i]->end, min($after - $text->list[$i]->end, 40)), $own);
            }
            if (count($words) > $from) {
                $sentences[] = [
                    'from' => $from, 'words' => count($words) - $from, 'paragraph' => $sentence->paragraph,
                    'at' => $sentence->from, 'to' => $sentence->to, 'marks' => $own,
                ];
                foreach ($own as $mark => $times) {
                    $marks[$mark] += $times;
                }
                $paragraphs[$sentence->paragraph] = ($paragraphs[$sentence->paragraph] ?? 0) + count($words) - $from;
            }
        }

        return new self($words, $sentences, array_values($paragraphs), $marks, $text->count());
    }

    public function count(): int
    {
        return count($this->words);
    }

    /** Its first sentences, up to so many words; one sentence at least. */
    public function first(int $words): self
    {
        if ($this->count() <= $words) {
            return $this;
        }
        $last = 0;
        foreach ($this->sentences as $n => $sentence) {
            if ($words < $sentence['from'] + $sentence['words']) {
                break;
            }
            $last = $n;
        }
        $sentences = array_slice($this->sentences, 0, $last + 1);
        $paragraphs = $marks = [];
        foreach ($sentences as $sentence) {
            $paragraphs[$sentence['paragraph']] = ($paragraphs[$sentence['paragraph']] ?? 0) + $sentence['words'];
            foreach ($sentence['marks'] as $mark => $times) {
                $marks[$mark] = ($marks[$mark] ?? 0) + $times;
            }
        }
        $end = $sentences[$last]['from'] + $sentences[$last]['words'];

        return new self(array_slice($this->words, 0, $end), $sentences, array_values($paragraphs), $marks, $this->all);
    }

    /**
     * The words of one sentence.
     *
     * @return list<string>
     */
    public function sentence(int $number): array
    {
        return array_slice($this->words, $this->sentences[$number]['from'], $this->sentences[$number]['words']);
    }

    /**
     * Sentences that stand in blocks of short lines, as verse, code, tables and lists do: at least four lines in a row
     * of at most twelve words each, of which fewer than half end as sentences end.
     *
     * @return array<int, true> by the word they begin with
     */
    private static function lines(Words $text): array
    {
        $lines = [];
        $at = 0;
        $start = 0;
        foreach (preg_split('/\R/u', $text->text, flags: PREG_SPLIT_OFFSET_CAPTURE) ?: [] as [$line, $start]) {
            $from = $at;
            while ($at < $text->count() && $text->list[$at]->start < $start + strlen($line)) {
                $at++;
            }
            if ($at === $from) {
                $lines[] = ['from' => $from, 'to' => $at, 'short' => false, 'ends' => false]; // parts two blocks
            } else {
                $lines[] = [
                    'from' => $from, 'to' => $at, 'short' => $at - $from <= 12,
                    'ends' => preg_match('/[.!?…][)\]"\'’”»]*\h*\z/u', $line) === 1,
                ];
            }
        }
        $found = [];
        $block = [];
        foreach ([...$lines, ['from' => 0, 'to' => 0, 'short' => false, 'ends' => false]] as $line) {
            if ($line['short']) {
                $block[] = $line;

                continue;
            }
            if (count($block) >= 4 && 2 * count(array_filter(array_column($block, 'ends'))) < count($block)) {
                $found += array_fill_keys(range($block[0]['from'], end($block)['to'] - 1), true);
            }
            $block = [];
        }

        return $found;
    }

    /**
     * @param  array<string, int>  $marks
     */
    private static function tally(string $between, array &$marks): void
    {
        if ($between === ' ') {
            return;
        }
        foreach (
            [
                'comma' => '/[,،、，]/u', 'semicolon' => '/[;؛；]/u', 'colon' => '/[:：]/u',
                'dash' => '/[–—]|(?<=\s)-{1,3}(?=\s)/u', 'bracket' => '/[(\[（]/u', 'question' => '/[?؟？]/u',
                'exclamation' => '/[!！]/u',
            ] as $mark => $pattern
        ) {
            $marks[$mark] += (int) preg_match_all($pattern, mb_scrub($between));
        }
    }
}
