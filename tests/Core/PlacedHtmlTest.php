<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Text\PlacedHtml;

/**
 * Places of comments in the markup of a text.
 */
final class PlacedHtmlTest extends TestCase
{
    /**
     * @return array{start: int, end: int, number: int, kind: string, label: string}
     */
    private static function place(string $html, string $words, int $number, string $kind = 'remark'): array
    {
        $text = self::content($html);
        $start = (int) mb_strpos($text, $words);

        return [
            'start' => $start, 'end' => $start + mb_strlen($words), 'number' => $number, 'kind' => $kind,
            'label' => "comment {$number}",
        ];
    }

    private static function content(string $html): string
    {
        return html_entity_decode(strip_tags($html), ENT_QUOTES | ENT_HTML5, 'UTF-8');
    }

    /**
     * @param  list<array{html: string, numbers: list<int>}>  $blocks
     */
    private static function together(array $blocks): string
    {
        return implode('', array_column($blocks, 'html'));
    }

    public function test_words_are_marked_across_tags_and_numbers_stand_behind_them(): void
    {
        $html = '<h2>Salt</h2><p>The pans were <em>lit</em> at night &amp; raked by day.</p>';
        $blocks = PlacedHtml::blocks($html, [self::place($html, 'were lit at', 1, 'praise')]);
        self::assertSame(['<h2>Salt</h2>', []], [$blocks[0]['html'], $blocks[0]['numbers']]);
        self::assertSame([1], $blocks[1]['numbers']);
        self::assertSame(
            '<p>The pans <mark class="placed praise">were </mark><em><mark class="placed praise">lit</mark></em>'
                .'<mark class="placed praise"> at</mark><a class="place-number" id="place-1" href="#comment-1" aria-label="comment 1">1</a>'
                .' night &amp; raked by day.</p>',
            $blocks[1]['html'],
        );
    }

    public function test_overlapping_places_keep_both_and_links_hold_no_link(): void
    {
        $html = '<p>see <a href="https://x.example">the pier</a> now</p>';
        $marked = self::together(PlacedHtml::blocks($html, [
            self::place($html, 'see the', 1), self::place($html, 'the pier', 2, 'fix'),
        ]));
        self::assertStringContainsString('<mark class="placed remark fix">the</mark>', $marked);
        self::assertStringContainsString('</a><a class="place-number" id="place-1"', $marked);
        self::assertDoesNotMatchRegularExpression('/<a [^>]*>[^<]*(<mark[^>]*>[^<]*<\/mark>)*<a /', $marked);
    }

    public function test_a_place_over_blocks_tables_and_scripts_of_other_planes(): void
    {
        $html = "<p>𝒮alt 🐟 one</p><table>\n<tr>\n<td>two</td>\n<td>three</td></tr></table><ul>\n<li>four</li></ul>";
        $from = self::place($html, 'one', 1)['start'];
        $to = self::place($html, 'four', 1)['end'];
        $blocks = PlacedHtml::blocks($html, [[
            'start' => $from, 'end' => $to, 'number' => 1, 'kind' => 'remark', 'label' => 'x',
        ]]);
        self::assertCount(3, $blocks);
        self::assertSame([[], [], [1]], array_column($blocks, 'numbers'));
        $marked = self::together($blocks);
        self::assertStringContainsString("<table>\n<tr>\n<td><mark", $marked, 'white space between cells stays bare');
        self::assertStringContainsString('𝒮alt 🐟 <mark class="placed remark">one</mark>', $marked);
    }

    public function test_nothing_but_marks_and_numbers_is_added_whatever_the_text(): void
    {
        mt_srand(4);
        $words = ['salt', 'a & b', '<5', '"toll"', 'naïve', '🐟', "it's", 'quay'];
        for ($round = 0; $round < 200; $round++) {
            $html = '';
            for ($p = 0; $p < 4; $p++) {
                $in = '';
                for ($w = 0; $w < 6; $w++) {
                    $word = htmlspecialchars($words[mt_rand(0, 7)], ENT_QUOTES | ENT_HTML5);
                    $in .= [$word, "<em>{$word}</em>", "<a href=\"#x\">{$word}</a>", "{$word}<br>"][mt_rand(0, 3)].' ';
                }
                $html .= ["<p>{$in}</p>", "<blockquote><p>{$in}</p></blockquote>", "<ul><li>{$in}</li></ul>"][mt_rand(0, 2)];
            }
            $length = mb_strlen(self::content($html));
            $places = [];
            for ($n = 1; $n <= 5; $n++) {
                $start = mt_rand(0, $length - 2);
                $places[] = [
                    'start' => $start, 'end' => mt_rand($start + 1, $length), 'number' => $n, 'kind' => 'remark',
                    'label' => 'x',
                ];
            }
            $blocks = PlacedHtml::blocks($html, $places);
            $bare = preg_replace(
                ['/<a class="place-number"[^>]*>\d+<\/a>/', '/<\/?mark[^>]*>/'], '', self::together($blocks),
            );
            self::assertSame(self::content($html), self::content((string) $bare));
            $numbers = array_merge(...array_column($blocks, 'numbers'));
            sort($numbers);
            self::assertSame([1, 2, 3, 4, 5], $numbers);
        }
    }
}
