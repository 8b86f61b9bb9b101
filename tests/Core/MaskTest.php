<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Names\Letters;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Names\PictureNames;
use YoungHarbor\Core\Names\RunningHeads;

/**
 * An author named in a text is found however the name is written; ordinary words that happen to be names are not.
 */
final class MaskTest extends TestCase
{
    /**
     * @param  list<string>  $named
     * @param  list<string>  $ordinary
     */
    #[DataProvider('people')]
    public function test_every_way_to_name_the_author_is_found_and_words_are_left(
        string $name, ?string $number, string $mail, array $named, array $ordinary,
    ): void {
        $mask = new Mask($name, $number, $mail);
        foreach ($named as $text) {
            self::assertNotSame([], $mask->find("Before that, {$text} and after."), "{$name} in “{$text}”");
            self::assertStringNotContainsString($text, $mask->hide("Before that, {$text} and after."));
        }
        foreach ($ordinary as $text) {
            self::assertSame($text, $mask->hide($text), "{$name} is not in “{$text}”");
        }
    }

    /** Letters of a number can be someone's initials: behind a word that says what it is they go with its digits. */
    public function test_a_number_goes_with_its_letters_wherever_it_stands(): void
    {
        foreach (['M231301', 'KJT-231301', 'AB12', '12AB34', '231301', '1234'] as $number) {
            $mask = new Mask('Abena Osei-Whitlock', $number, 'a@x.example');
            foreach (['my number %s, says', 'Number: %s,', 'student no. of mine: %s.', 'ID %s', 'candidate %s '] as $text) {
                foreach ([$number, strtolower($number), implode(' ', str_split($number))] as $written) {
                    self::assertSame(
                        sprintf($text, Mask::SHOWN), $mask->hide(sprintf($text, $written)), "{$number} as {$written}",
                    );
                }
            }
            foreach (['A number of pans in 1786.', 'The number fell to 231302 tons.', 'No. 12 of 1812'] as $text) {
                self::assertSame($text, $mask->hide($text));
            }
        }
    }

    /** @return iterable<string, array{string, string|null, string, list<string>, list<string>}> */
    public static function people(): iterable
    {
        yield 'accents' => ['Hana Kovářová', 'M2041', 'hana.kovarova@merrow.example',
            [
                'Hana Kovářová', 'HANA KOVAROVA', 'Kovářová, Hana', 'H. Kovářová', 'H Kovarova', 'Kovářová H.',
                'KOVÁŘOVÁ HANA', 'hana_kovarova', 'm2041', 'hana.kovarova@merrow.example', 'Hana K.',
                "Hana\u{a0}Kova\u{301}r\u{30c}ova\u{301}",
            ],
            ['Hana went to the quay.', 'The Kovářová pottery', 'M20417']];
        yield 'apostrophe' => ["Niamh O'Donnell", '204113', 'niamh.odonnell@x.example',
            [
                "NIAMH O'DONNELL", 'N. O’Donnell', 'Niamh ODonnell', "O'Donnell, Niamh", '204113', "N. M. O'Donnell",
            ], ["Niamh's well on O'Donnell Street", 'Donnell']];
        yield 'a name of ordinary words' => ['Will Salt', '2041', 'w.salt@x.example',
            ['Will Salt', 'WILL SALT', 'W. Salt', 'Salt, Will', 'student number: 2041'], [
                'Brine will salt preserve herring.', 'In 2041 the wall will fall.', 'Of salt will come', 'W Salt',
            ]];
        yield 'a rose' => [
            'Rose Fair', null, 'r@x.example', ['Fair Rose', 'Fair, Rose', 'R. Fair'], ['A fair rose; fair, rose'],
        ];
        yield 'two letters' => ['Bo Li', 'M1', 'bo@x.example', ['Bo Li', 'BO LI', 'Li, Bo'], ['bo li', 'M1 motorway']];
        // What goes with the name behind it never takes the one before it for itself.
        yield 'a letter between' => ['Seán Ó Sé', null, 's@x.example', ['Seán Ó Sé', 'SEÁN Ó SÉ', 'Sé, Seán'], ['Ó']];
        yield 'a daughter' => ['Siobhán Ní Dhúill', null, 's@x.example', ['Siobhán Ní Dhúill', 'Dhúill, Siobhán'], ['Ní']];
        yield 'a middle letter' => ['Robert F Kestrel', null, 'r@x.example', ['Robert F Kestrel', 'Robert Kestrel', 'R. Kestrel'], ['F']];
        yield 'one letter' => [
            'E Kovář', null, 'e@x.example', ['E Kovář', 'E. Kovar', 'Kovář, E'], ['e', 'the Kovář kiln'],
        ];
        yield 'a letter that is a word' => [
            'Ada Grove', null, 'a@x.example', ['A. Grove', 'Ada Grove'], ['A Grove of oaks', 'ada', 'I saw A grove'],
        ];
        yield 'other letters' => [
            'Ólafur Brandsson', null, 'olafur.b@x.example',
            ['Olafur Brandsson', 'Ó. Brandsson', 'brandsson, ólafur', 'O Brandsson'], ['Brandsson'],
        ];
        yield 'letters written as two' => [
            'Jörg Møller', null, 'jm@x.example', ['Joerg Moeller', 'Jorg Moller', 'JÖRG MØLLER'], ['Moeller'],
        ];
        yield 'hyphens' => [
            'Kwabena Asante-Mensah', null, 'k@x.example',
            ['Kwabena Asante Mensah', 'K. Asante-Mensah', 'Asante‑Mensah, K.'], ['Asante'],
        ];
        yield 'many parts' => [
            'Ana María José de la Ortúzar', null, 'a@x.example',
            ['Ana Ortuzar', 'Ana María José de la Ortúzar', 'A. M. J. de la Ortúzar', 'Ana M. Ortuzar'],
            ['a maria', 'José de'],
        ];
        yield 'one name' => ['Suharto', null, 's@x.example', ['Suharto'], ['suhartoism']];
        yield 'registered without accents' => ['Jose Nunez', null, 'j@x.example', ['José Núñez'], ['José']];
        yield 'a mail address of its own' => [
            'Lin Hui', null, 'hui_lin77@x.example', ['hui_lin77', 'hui_lin77@x.example', 'lin hui'], ['Hui spoke'],
        ];
    }

    public function test_a_lone_name_is_masked_only_in_a_short_line_at_head_or_foot(): void
    {
        $mask = new Mask('Hana Kovářová', null, 'hk@x.example');
        self::assertSame(
            [Mask::SHOWN, 'Name: '.Mask::SHOWN, 'by '.Mask::SHOWN],
            [
                $mask->hide('Kovářová', nameLine: true), $mask->hide('Name: Hana', nameLine: true),
                $mask->hide('by Hana', nameLine: true),
            ],
        );
        self::assertSame('Kovářová', $mask->hide('Kovářová'));
        self::assertSame(
            'Salt pans of the estuary and Hana', $mask->hide('Salt pans of the estuary and Hana', nameLine: true),
        );
        $salt = new Mask('Will Salt', null, 'ws@x.example');
        self::assertSame('Salt', $salt->hide('Salt', nameLine: true), 'a title is not a name');
        self::assertSame('by '.Mask::SHOWN, $salt->hide('by Salt', nameLine: true));
    }

    public function test_what_is_found_is_counted_and_parted(): void
    {
        $times = 0;
        $hidden = (new Mask('Niamh O’Donnell', 'M204101', 'niamh.odonnell@merrow.example'))->hide(
            "By NIAMH O'Donnell (m204101), niamh.odonnell@merrow.example; O’Donnell, Niamh. Donnell Street, Niamh's M2041017.",
            $times,
        );
        self::assertSame(4, $times);
        self::assertSame(
            'By [name hidden] ([name hidden]), [name hidden]; [name hidden]. Donnell Street, Niamh\'s M2041017.',
            $hidden,
        );
    }

    public function test_a_source_of_the_same_name_is_pointed_out_and_not_masked(): void
    {
        $mask = new Mask("Niamh O'Donnell", '204113', 'niamh.odonnell@x.example');
        foreach (
            [
                "So O'Donnell has it.", "O'Donnell, N. (1998) Salt roads.", "N. O'Donnell (1987) disagrees.",
                "The ledgers of O'Donnell and Byrne",
            ] as $text
        ) {
            self::assertSame($text, $mask->hide($text));
            self::assertCount(1, $mask->lone($text), $text);
        }
        foreach (["Peter O'Donnell wrote", "P. O'Donnell wrote", 'Niamh Kelly wrote'] as $text) {
            self::assertSame([], $mask->lone($text), 'someone else: '.$text);
        }
        foreach (
            [
                "submitted by O'Donnell", "O'Donnell (204113)", "N. O'Donnell (2026), essay for HT210",
                'My name is Niamh', 'Signed, O’Donnell',
            ] as $text
        ) {
            self::assertStringContainsString(Mask::SHOWN, $mask->hide($text), 'a sign of self: '.$text);
        }
    }

    public function test_running_heads_are_known_by_a_name_or_a_number_said_to_be_a_students(): void
    {
        $mask = new Mask("Niamh O'Donnell", 'M204113', 'no@x.example');
        foreach (
            [
                "O'Donnell 2", "O'Donnell, p. 3", 'Student number 204101', 'Niamh - 4', "Page 2 of 9 O'Donnell",
                'M204113', 'Candidate No. 77123',
            ] as $line
        ) {
            self::assertTrue($mask->isHead($line), $line);
        }
        foreach (['Coastal Communities 3', 'Salt pans, page 2', 'Number 3', 'Donnelly 2', 'HT210 Essay 4'] as $line) {
            self::assertFalse($mask->isHead($line), $line);
        }
        self::assertTrue((new Mask('Will Salt', null, null))->isHead('Salt 3'));
        self::assertFalse((new Mask('Will Salt', null, null))->isHead('Salt pans of the estuary'));
    }

    public function test_lines_that_repeat_at_the_edges_of_pages_are_found_whatever_their_numbers(): void
    {
        self::assertSame(
            [[0, 3], [0, 3], [3]],
            RunningHeads::ofPages(
                [
                    ['Haddad 1', 'a', 'b', 'HT210, i'], ['Haddad 2', 'c', 'd', 'HT210, ii'],
                    ['Alone', 'e', 'f', 'HT210, iii'],
                ]
            ),
        );
        self::assertSame(
            [], array_merge(...RunningHeads::ofPages([['One', '2'], ['Three', '4']])),
            'numbers of pages alone are no heads',
        );
        self::assertSame(
            [1, 3, 5],
            RunningHeads::amongLines(
                ['Salt', 'Haddad 2', 'roads', 'Haddad 3', 'and', 'Haddad 4', 'Table 1', 'Table 2']
            ),
        );
    }

    public function test_letters_lead_back_to_where_they_stood(): void
    {
        $text = "Ha\u{AD}na Kova\u{301}řová, ﬁn Ønes-\nse 1";
        $letters = Letters::of($text, true);
        self::assertSame('Hana Kovarova, fin Onesse 1', $letters->plain);
        foreach (
            [
                'Hana' => "Ha\u{AD}na", 'Kovarova' => "Kova\u{301}řová", 'fin' => 'ﬁn', 'Onesse' => "Ønes-\nse",
                '1' => '1',
            ] as $plain => $original
        ) {
            $at = (int) strpos($letters->plain, (string) $plain);
            [$from, $to] = $letters->original($at, $at + strlen((string) $plain));
            self::assertSame($original, substr($text, $from, $to - $from));
        }
        self::assertSame('Мария', Letters::of('Мария', false)->plain);
        self::assertSame('Map', Letters::of('Мар', true)->plain);
    }

    public function test_words_seen_in_a_picture_are_the_authors_when_they_are_nearly_so(): void
    {
        $seen = PictureNames::of([['name' => 'Layla Haddad', 'number' => 'S1880412', 'email' => 'lhaddad2@x.example']]);
        foreach ([['Layla', 'Hadded'], ['HADDAD,', 'Leyla']] as $words) {
            self::assertSame([0, 1], $seen->in($words));
        }
        self::assertSame([2], $seen->in(['Student', 'number:', '51880412']));
        self::assertSame([1, 2], $seen->in(['Name:', 'L', 'H-d']), 'whatever stands behind a label');
        self::assertSame([1, 2], $seen->in(['by', 'Xyz', 'Qrs']));
        self::assertSame([], $seen->in(['The', 'ladder', 'of', 'salt', 'by', 'the', 'sea']));
        self::assertSame([], $seen->in(['Names', 'of', 'pans', 'in', 'the', 'estuary', 'are', 'old']));
        self::assertSame(
            [],
            PictureNames::of(
                [['name' => 'Will Salt', 'number' => '12', 'email' => null]]
            )->in(['Salt', 'will', 'keep']),
        );
    }

    public function test_a_long_text_is_searched_in_time_that_grows_with_it(): void
    {
        $mask = new Mask("Niamh O'Donnell", 'M204101', 'niamh.odonnell@merrow.example');
        $line = "The pans of the O'Donnell family were raked in 1876 — “salt” and naïve brine stood by Niamh and P. O'Donnell. ";
        self::assertCount(500, $mask->lone(str_repeat($line, 500)));
        self::assertSame([], $mask->find(str_repeat($line, 500)));
    }

    public function test_in_work_that_is_not_about_them_only_what_cannot_be_a_source_is_hidden(): void
    {
        $mask = new Mask('Olúwaseun Bräckwater', 'M777123', 'o.brackwater@merrow.example');
        foreach ([
            "Bräckwater\n\nAs argued by Bräckwater (1998), the tide pays.", 'Bräckwater, O. (1998) Tide mills.',
            'The Bräckwaters and their mill.',
        ] as $source) {
            self::assertSame($source, $mask->hideElsewhere($source));
        }
        $times = 0;
        self::assertSame(
            'I asked [name hidden], [name hidden] and wrote to [name hidden] ([name hidden]).',
            $mask->hideElsewhere(
                'I asked Olúwaseun Bräckwater, Bräckwater, Olúwaseun and wrote to o.brackwater@merrow.example (M777123).', $times,
            ),
        );
        self::assertSame(4, $times);
        self::assertSame('Well argued, [name hidden].', $mask->hideAmong('Well argued, Olúwaseun.'));
    }

    public function test_two_who_share_a_name_are_both_hidden_whole(): void
    {
        $masks = [new Mask('Anna Smit', null, null), new Mask('Anna Jones-Quay', null, null)];
        $times = 0;
        self::assertSame(
            'by [name hidden] and [name hidden]', Mask::hideAll($masks, 'by Anna Smit and Anna Jones-Quay', $times, true),
        );
        self::assertSame(2, $times);
        foreach (['Anna Smit, Anna Jones-Quay', 'by Anna Jones-Quay, once known as Anna Smit'] as $line) {
            $masked = Masking::of(Document::ofText("Tide mills\n\n{$line}\n\nThe mills turned."), $masks)->document->text();
            self::assertDoesNotMatchRegularExpression('/Anna|Smit|Quay/', $masked);
        }
    }
}
