<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Overlap\Bibliography;
use YoungHarbor\Core\Overlap\Hiding;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\Quotations;
use YoungHarbor\Core\Text\Words;

/**
 * Quotations, bibliographies and ways of hiding words, on texts made for it. The citation styles are common practice,
 * no source.
 */
final class QuotedTest extends TestCase
{
    /**
     * @param  list<string>  $quoted
     */
    #[DataProvider('quotations')]
    public function test_what_stands_between_marks_is_a_quotation(string $text, array $quoted): void
    {
        $words = Words::of($text);
        self::assertSame(
            $quoted,
            array_map(fn (Interval $interval) => $words->slice($interval->from, $interval->to), Quotations::of($words)),
        );
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function quotations(): iterable
    {
        yield 'none' => ['The salt was taxed.', []];
        yield 'curly' => ['He wrote “salt is dear” and left.', ['salt is dear']];
        yield 'straight' => ['He wrote "salt is dear" and "coal too".', ['salt is dear', 'coal too']];
        yield 'low and high' => ['Er schrieb: „Salz ist teuer.“ Dann ging er.', ['Salz ist teuer']];
        yield 'low and high, the other way' => ['Napsal „sůl je drahá” a šel.', ['sůl je drahá']];
        yield 'both high' => ['Han skrev ”saltet är dyrt” och gick.', ['saltet är dyrt']];
        yield 'angled' => ['Il écrit : « le sel est cher » et sort.', ['le sel est cher']];
        yield 'angled inward' => ['Er schrieb »Salz ist teuer« und ging.', ['Salz ist teuer']];
        yield 'single angled' => ['So ‹das Salz› hier.', ['das Salz']];
        yield 'single low' => ['Das ‚teure Salz‘ hier.', ['teure Salz']];
        yield 'single curly' => ['The ‘dear salt’ here.', ['dear salt']];
        yield 'corner marks' => ['彼は「塩 は 高い」と言った。', ['塩 は 高い']];
        yield 'nested' => ['She said “he called it ‘dear salt’ once” to me.', ['he called it ‘dear salt’ once']];
        yield 'nested in angled ones' => [
            'Elle dit « il parle de “sel cher” ici » hier.', ['il parle de “sel cher” ici'],
        ];
        yield 'an apostrophe is none' => ['The sailors’ songs and the women’s work, don’t you see.', []];
        yield 'an apostrophe inside' => ['A ‘woman’s work’ it was.', ['woman’s work']];
        yield 'of several, inside' => [
            'They sang ‘the sailors’ song of the pans’ at night.', ['the sailors’ song of the pans'],
        ];
        yield 'a straight apostrophe' => ["It's the herring girls' year.", []];
        yield 'never closed' => ['He wrote “salt is dear and went home. Nobody answered.', []];
        yield 'a new paragraph ends what is not closed' => ["He wrote “salt is dear.\n\nNobody answered ”.", []];
        yield 'several paragraphs' => [
            "“The first part of it.\n\n“The second part of it.”\n\nMy own words.",
            ['The first part of it', 'The second part of it'],
        ];
        yield 'a block' => ["As the lease has it:\n\n> The pan and all its coal\n> for a year and a day\n\nSo it was.", ['The pan and all its coal
> for a year and a day']];
        yield 'inches and feet' => ['A wall of 5" and 7 feet.', []];
        yield 'at the very end' => ['Last: “salt”', ['salt']];
        yield 'after a bracket and a dash' => ['So (“the pan”) and —“the coal”.', ['the pan', 'the coal']];
    }

    #[DataProvider('bibliographies')]
    public function test_a_bibliography_is_known_by_heading_or_shape(
        string $text, ?string $begins, ?string $ends = null,
    ): void {
        $words = Words::of($text);
        $found = Bibliography::of($words);
        self::assertCount($begins === null ? 0 : 1, $found);
        if ($begins !== null) {
            $is = $words->slice($found[0]->from, $found[0]->to);
            self::assertStringStartsWith($begins, $is);
            self::assertStringEndsWith($ends ?? $words->slice($words->count() - 1, $words->count()), $is);
        }
    }

    /** @return iterable<string, array{0: string, 1: string|null, 2?: string}> */
    public static function bibliographies(): iterable
    {
        $body = "The salt was taxed from 1702 on.\n\nMarsh thinks otherwise (1901).\n\n";
        $entries = "Marsh, P. (1901) The Pans of the Estuary. Port Ennis: Quay Press.\n\nO’Dea, N. and Ruiz, T. (1988) ‘Coal and salt’, Shore Studies, 4(2), pp. 3–19.";
        yield 'none' => [$body.'So it ended in 1850.', null];
        foreach (
            [
                'Bibliography', 'References', '# References', 'Works Cited', 'List of references:', 'Primary sources',
                '5. Bibliography', 'Literaturverzeichnis', 'Quellen und Literatur', 'Bibliographie', 'Bibliografía',
                'Referencias bibliográficas', 'Referências', 'Riferimenti bibliografici', 'Literatuurlijst',
                'Litteraturliste', 'Källor', 'Список литературы',
            ] as $heading
        ) {
            yield "under “{$heading}”" => [
                "{$body}{$heading}\n\n{$entries}\n",
                ltrim($heading, '# 5.')[0] === 'С'
                    ? 'Список'
                    : (preg_match('/\d/', $heading) === 1 ? '5' : explode(' ', ltrim($heading, '# :'))[0]),
                'pp. 3–19',
            ];
        }
        yield 'the word in a sentence is no heading' => [$body."References to salt are rare.\n\nThe end.", null];
        yield 'a heading with nothing like an entry under it' => [
            $body."Sources\n\nThe sources of the river lie high, and it runs to the sea past the pans.", null,
        ];
        yield 'begun in the last paragraph' => [
            $body.'**Sources.** Letting cards of Marram Bay, 1759–1790 (reader, document 29); rate book of 1768.',
            'Sources',
        ];
        yield 'a last paragraph about sources' => [
            $body.'Sources of this kind are silent about 1768, as I have said.', null,
        ];
        yield 'up to the appendix' => [
            "{$body}Bibliography\n\n{$entries}\n\nAppendix A\n\nA list of pans.", 'Bibliography', 'pp. 3–19',
        ];
        yield 'author and date' => [
            $body
                ."Ash, B. (2001). Rope. Tern.\n\nBirch, C. D. (1999). Net. Gull.\n\nCole, E., & Dun, F. (2010a). Tar. Auk.",
            'Ash',
        ];
        yield 'numbers in brackets' => [
            $body
                ."[1] B. Ash, Rope, Tern Press, 2001.\n[2] C. Birch, Net, Gull Press, 1999.\n[3] E. Cole, Tar, Auk Press, 2010.",
            '1',
        ];
        yield 'numbered' => [
            $body
                ."1. Ash B. Rope. Shore J. 2001;4:3-9.\n2. Birch C. Net. Shore J. 1999;2:1-4.\n3. Cole E. Tar. Shore J. 2010;9:7.",
            '1',
        ];
        yield 'title first, lines broken' => [
            $body
                ."Ash, Beatrice. Rope and Those Who\n  Walked It. Port Ennis: Tern, 2001.\nBirch, Carl. Net. Gull, 1999.\nCole, Eve. Tar. Auk, 2010.",
            'Ash',
        ];
        yield 'addresses' => [
            $body
                ."Ash, B. Rope. https://tern.example/rope\nBirch, C. Net. https://gull.example/net\nCole, E. Tar. doi 10.9999/auk",
            'Ash',
        ];
        yield 'names with particles' => [
            $body
                ."van der Veen, A. (2001). Dike.\n\nDe la Cruz, M. (1999). Sal.\n\nNí Bhriain, A. (2010). Trá.\n\nAl-Khatib, Y. (2011). Port.",
            'De',
        ];
        yield 'two entries without a heading are too few' => [$body.$entries, null];
        yield 'dates in a story are no entries' => [
            $body
                ."In 1702 the tax came.\n\nBy 1750 the pans had closed, and in 1760 they opened.\n\nAfter 1801 nobody asked.",
            null,
        ];
    }

    public function test_words_in_two_passages_are_left_out_once(): void
    {
        self::assertSame(
            14,
            LeftOut::of(
                [
                    new Interval('quotation', 10, 14), new Interval('bibliography', 0, 12),
                    new Interval('quotation', 14, 14),
                ]
            )->words(),
        );
    }

    /**
     * @param  list<array{string, string}>  $found
     */
    #[DataProvider('hidden')]
    public function test_what_hides_words_is_found_with_its_place_and_the_words_are_compared_as_they_read(
        string $text, string $reads, array $found,
    ): void {
        $words = Words::of($text);
        self::assertSame(Words::of($reads)->normalForms(), $words->normalForms());
        self::assertSame(
            $found,
            array_map(
                fn (Interval $interval) => [$interval->why, $words->slice($interval->from, $interval->to)],
                Hiding::of($words, Quotations::of($words)),
            ),
        );
    }

    /** @return iterable<string, array{string, string, list<array{string, string}>}> */
    public static function hidden(): iterable
    {
        yield 'nothing' => ['The salt of Cádiz and København, 5 µm.', 'The salt of Cádiz and København, 5 µm.', []];
        yield 'Cyrillic letters' => [
            'The sаlt раns of the estuary.', 'The salt pans of the estuary.', [['lookalike letters', 'sаlt раns']],
        ];
        yield 'a word of nothing else' => [
            'The сосоа of the estuary.', 'The cocoa of the estuary.', [['lookalike letters', 'сосоа']],
        ];
        yield 'Greek letters' => ['The τοll of the pier.', 'The toll of the pier.', [['lookalike letters', 'τοll']]];
        yield 'a Russian word is a word' => [
            'The word мужик in an English text.', 'The word мужик in an English text.', [],
        ];
        yield 'a Russian text' => [
            'Соль была дорога, и никто не спросил.', 'Соль была дорога, и никто не спросил.', [],
        ];
        yield 'zero-width spaces' => [
            "The sa\u{200B}lt of the es\u{2060}tuary.", 'The salt of the estuary.',
            [['invisible characters', "sa\u{200B}lt"], ['invisible characters', "es\u{2060}tuary"]],
        ];
        yield 'a filler that is a letter' => [
            "The sa\u{3164}lt.", 'The salt.', [['invisible characters', "sa\u{3164}lt"]],
        ];
        yield 'soft hyphens are honest' => ["The es\u{AD}tuary.", 'The estuary.', []];
        yield 'joiners of a script that needs them' => ["می\u{200C}خواهم نمک.", "می\u{200C}خواهم نمک.", []];
        yield 'joiners of one that does not' => [
            "The sa\u{200D}lt.", 'The salt.', [['invisible characters', "sa\u{200D}lt"]],
        ];
        yield 'letters set apart' => [
            'The s a l t p a n s were let.', 'The s a l t p a n s were let.',
            [['letters set apart', 's a l t p a n s']],
        ];
        yield 'initials are not' => ['J. R. R. A. B. Marsh.', 'J. R. R. A. B. Marsh.', []];
        $long = implode(' ', array_map(fn (int $n) => "word{$n}", range(1, 60)));
        yield 'everything quoted' => ["“{$long}”", $long, [['everything in quotation marks', $long]]];
        yield 'ligatures and wide letters' => ['The ﬁsh of the ｗｅｉｒ.', 'The fish of the weir.', []];
    }
}
