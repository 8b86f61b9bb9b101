<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Text\TextAnchor;
use YoungHarbor\Core\Text\TextSlices;

final class TextAnchorTest extends TestCase
{
    private const TEXT = "When the parish met in 1786, it had a lamp, a keeper and no money for oil.\n\nThe usual account says that shipowners, who gained most, paid most. The vestry book tells a less tidy story — “we pay”, it says.";

    public function test_a_place_in_a_text_keeps_its_words_and_what_stands_around_them(): void
    {
        $start = (int) mb_strpos(self::TEXT, '“we pay”');
        $anchor = TextAnchor::at(self::TEXT, $start, $start + 8);
        self::assertSame('“we pay”', $anchor->exact);
        self::assertSame('k tells a less tidy story — ', mb_substr($anchor->prefix, -28));
        self::assertSame(', it says.', $anchor->suffix);
        self::assertSame([$start, $start + 8], $anchor->in(self::TEXT));
        self::assertEquals($anchor, TextAnchor::fromArray($anchor->toArray()));
    }

    public function test_line_breaks_and_spaces_of_a_new_extraction_do_not_matter(): void
    {
        $anchor = TextAnchor::at(self::TEXT, 0, 27);
        $again = "\n  When  the\nparish met\u{00A0}in 1786, it had a lamp, a keeper";
        self::assertSame([3, 31], $anchor->in($again));
        self::assertSame("When  the\nparish met\u{00A0}in 1786", mb_substr($again, 3, 28));
    }

    public function test_of_the_same_words_twice_only_the_one_in_its_surroundings_is_taken(): void
    {
        $text = 'The light was paid for by the parish. The wall was paid for by the college. The mill was paid for by nobody.';
        $second = (int) mb_strpos($text, 'paid', 30);
        $anchor = TextAnchor::at($text, $second, $second + 4);
        $moved = 'A new first sentence, paid for. '.$text;
        self::assertSame([$second + 32, $second + 36], $anchor->in($moved));
        // Its sentence is gone: the word elsewhere is not its place.
        self::assertNull($anchor->in('A lamp, paid for by others.'));
        // The words stand twice in the same surroundings, and the text is another: which is meant cannot be told.
        $chorus = 'row on, my friends, row on to shore, row on, my friends, row on to shore, ';
        $anchor = TextAnchor::at(str_repeat($chorus, 3), 95, 102);
        self::assertSame([95, 102], $anchor->in(str_repeat($chorus, 3)));
        self::assertNull($anchor->in('x '.str_repeat($chorus, 3)));
    }

    public function test_texts_edited_at_random_give_back_the_place_or_an_orphan_never_another_place(): void
    {
        mt_srand(77);
        $words = [
            'the', 'light', 'was', 'paid', 'for', 'by', 'parish', 'and', 'those', 'who', 'called', 'often', 'carried',
            'little', 'salt', 'naïve', '“dues”', '港',
        ];
        $found = $orphans = 0;
        for ($n = 0; $n < 1500; $n++) {
            $text = array_map(fn () => $words[mt_rand(0, count($words) - 1)], range(1, 120));
            $from = mt_rand(0, 110);
            $to = $from + mt_rand(1, 9);
            $before = implode(' ', array_slice($text, 0, $from));
            $exact = implode(' ', array_slice($text, $from, $to - $from));
            $start = mb_strlen($before) + ($from === 0 ? 0 : 1);
            $anchor = TextAnchor::at(implode(' ', $text), $start, $start + mb_strlen($exact));
            // The place is known through every edit: its words carry a number no rule of the anchor sees.
            $edited = array_map(fn (string $word, int $at) => [$word, $at], $text, array_keys($text));
            for ($edit = mt_rand(1, 25); $edit > 0; $edit--) {
                $at = mt_rand(0, count($edited) - 1);
                array_splice(
                    $edited, $at, mt_rand(0, 2),
                    mt_rand(0, 1) === 0 ? [] : [[$words[mt_rand(0, count($words) - 1)], -1]],
                );
            }
            $now = implode("\n", array_column($edited, 0));
            $place = $anchor->in($now);
            if ($place === null) {
                $orphans++;

                continue;
            }
            $found++;
            self::assertSame($exact, str_replace("\n", ' ', mb_substr($now, $place[0], $place[1] - $place[0])));
            $number = $place[0] === 0 ? 0 : substr_count(mb_substr($now, 0, $place[0]), "\n");
            $kept = array_slice(array_column($edited, 1), $number, $to - $from);
            // A place with words of its own, or with the same words put in just there by an edit.
            self::assertTrue(
                array_intersect($kept, range($from, $to - 1)) !== []
                    || array_filter($kept, fn (int $at) => $at >= 0) === [],
                "wrong place in case {$n}: ".json_encode(
                    [$exact, $from, $anchor->prefix, $anchor->suffix, array_slice($edited, max(0, $number - 8), 26)],
                    JSON_UNESCAPED_UNICODE,
                ),
            );
        }
        self::assertGreaterThan(700, $found);
        self::assertGreaterThan(50, $orphans);
    }

    public function test_what_has_not_moved_is_told_without_looking_for_it_as_it_is_by_looking(): void
    {
        mt_srand(5);
        $words = ['salt', 'naïve', '“dues”', '港', '🐟', 'the'];
        $text = implode(' ', array_map(fn () => $words[mt_rand(0, 5)], range(1, 900)));
        $slices = new TextSlices($text);
        $version = TextAnchor::versionOf($text);
        $length = mb_strlen($text);
        $places = [0, 255, 256, 257, 511, 512, $length - 1];
        foreach ([...$places, ...array_map(fn () => mt_rand(0, $length - 1), range(1, 400))] as $start) {
            foreach ([1, 2, 256, 257, 700, $length] as $many) {
                $end = min($length, $start + $many);
                self::assertSame(mb_substr($text, $start, $end - $start), $slices->between($start, $end));
            }
            $end = min($length, $start + 30);
            $kept = TextAnchor::at($text, max(0, $end - 30), $end)->toArray();
            self::assertSame(
                TextAnchor::fromArray($kept)->in($text, $version), TextAnchor::unmoved($kept, $slices, $version),
            );
            self::assertNull(TextAnchor::unmoved(['exact' => 'x'.$kept['exact']] + $kept, $slices, $version));
            self::assertNull(TextAnchor::unmoved($kept, $slices, TextAnchor::versionOf($text.' ')));
        }
        foreach ([['start' => '1'], ['end' => null], ['start' => -1], ['start' => 9, 'end' => 9, 'exact' => '']] as $bad) {
            self::assertNull(TextAnchor::unmoved($bad + TextAnchor::at($text, 9, 20)->toArray(), $slices, $version));
        }
        self::assertSame('', (new TextSlices(''))->between(0, 3));
    }

    public function test_places_outside_a_text_are_refused(): void
    {
        foreach ([[-1, 3], [3, 3], [0, 10_000], [74, 76]] as [$start, $end]) {
            try {
                TextAnchor::at(self::TEXT, $start, $end);
                self::fail("{$start} to {$end} was taken");
            } catch (InvalidInput $e) {
                self::assertStringContainsString('does not lie in the text', $e->getMessage());
            }
        }
    }
}
