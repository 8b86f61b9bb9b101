<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Names\Mask;

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
    public function test_every_way_to_name_the_author_is_found_and_words_are_left(string $name, ?string $number, string $mail, array $named, array $ordinary): void
    {
        $mask = new Mask($name, $number, $mail);
        foreach ($named as $text) {
            self::assertNotSame([], $mask->find("Before that, {$text} and after."), "{$name} in “{$text}”");
            self::assertStringNotContainsString($text, $mask->hide("Before that, {$text} and after."));
        }
        foreach ($ordinary as $text) {
            self::assertSame($text, $mask->hide($text), "{$name} is not in “{$text}”");
        }
    }

    /** @return iterable<string, array{string, string|null, string, list<string>, list<string>}> */
    public static function people(): iterable
    {
        yield 'accents' => ['Hana Kovářová', 'M2041', 'hana.kovarova@merrow.example',
            ['Hana Kovářová', 'HANA KOVAROVA', 'Kovářová, Hana', 'H. Kovářová', 'H Kovarova', 'Kovářová H.', 'KOVÁŘOVÁ HANA', 'hana_kovarova', 'm2041', 'hana.kovarova@merrow.example', 'Hana K.', "Hana\u{a0}Kova\u{301}r\u{30c}ova\u{301}"],
            ['Hana went to the quay.', 'The Kovářová pottery', 'M20417']];
        yield 'apostrophe' => ["Niamh O'Donnell", '204113', 'niamh.odonnell@x.example',
            ["NIAMH O'DONNELL", 'N. O’Donnell', 'Niamh ODonnell', "O'Donnell, Niamh", '204113', "N. M. O'Donnell"], ["Niamh's well on O'Donnell Street", 'Donnell']];
        yield 'a name of ordinary words' => ['Will Salt', '2041', 'w.salt@x.example',
            ['Will Salt', 'WILL SALT', 'W. Salt', 'Salt, Will', 'student number: 2041'], ['Brine will salt preserve herring.', 'In 2041 the wall will fall.', 'Of salt will come', 'W Salt']];
        yield 'a rose' => ['Rose Fair', null, 'r@x.example', ['Fair Rose', 'Fair, Rose', 'R. Fair'], ['A fair rose; fair, rose']];
        yield 'two letters' => ['Bo Li', 'M1', 'bo@x.example', ['Bo Li', 'BO LI', 'Li, Bo'], ['bo li', 'M1 motorway']];
        yield 'one letter' => ['E Kovář', null, 'e@x.example', ['E Kovář', 'E. Kovar', 'Kovář, E'], ['e', 'the Kovář kiln']];
        yield 'a letter that is a word' => ['Ada Grove', null, 'a@x.example', ['A. Grove', 'Ada Grove'], ['A Grove of oaks', 'ada', 'I saw A grove']];
        yield 'other letters' => ['Ólafur Brandsson', null, 'olafur.b@x.example', ['Olafur Brandsson', 'Ó. Brandsson', 'brandsson, ólafur', 'O Brandsson'], ['Brandsson']];
        yield 'letters written as two' => ['Jörg Møller', null, 'jm@x.example', ['Joerg Moeller', 'Jorg Moller', 'JÖRG MØLLER'], ['Moeller']];
        yield 'hyphens' => ['Kwabena Asante-Mensah', null, 'k@x.example', ['Kwabena Asante Mensah', 'K. Asante-Mensah', 'Asante‑Mensah, K.'], ['Asante']];
        yield 'many parts' => ['Ana María José de la Ortúzar', null, 'a@x.example', ['Ana Ortuzar', 'Ana María José de la Ortúzar', 'A. M. J. de la Ortúzar', 'Ana M. Ortuzar'], ['a maria', 'José de']];
        yield 'one name' => ['Suharto', null, 's@x.example', ['Suharto'], ['suhartoism']];
        yield 'registered without accents' => ['Jose Nunez', null, 'j@x.example', ['José Núñez'], ['José']];
        yield 'a mail address of its own' => ['Lin Hui', null, 'hui_lin77@x.example', ['hui_lin77', 'hui_lin77@x.example', 'lin hui'], ['Hui spoke']];
    }

    public function test_a_lone_name_is_masked_only_in_a_short_line_at_head_or_foot(): void
    {
        $mask = new Mask('Hana Kovářová', null, 'hk@x.example');
        self::assertSame([Mask::SHOWN, 'Name: '.Mask::SHOWN, 'by '.Mask::SHOWN], [$mask->hide('Kovářová', nameLine: true), $mask->hide('Name: Hana', nameLine: true), $mask->hide('by Hana', nameLine: true)]);
        self::assertSame('Kovářová', $mask->hide('Kovářová'));
        self::assertSame('Salt pans of the estuary and Hana', $mask->hide('Salt pans of the estuary and Hana', nameLine: true));
        $salt = new Mask('Will Salt', null, 'ws@x.example');
        self::assertSame('Salt', $salt->hide('Salt', nameLine: true), 'a title is not a name');
        self::assertSame('by '.Mask::SHOWN, $salt->hide('by Salt', nameLine: true));
    }

    public function test_what_is_found_is_counted_and_parted(): void
    {
        $times = 0;
        $hidden = (new Mask('Niamh O’Donnell', 'M204101', 'niamh.odonnell@merrow.example'))->hide("By NIAMH O'Donnell (m204101), niamh.odonnell@merrow.example; O’Donnell, Niamh. Donnell Street, Niamh's M2041017.", $times);
        self::assertSame(4, $times);
        self::assertSame('By [name hidden] ([name hidden]), [name hidden]; [name hidden]. Donnell Street, Niamh\'s M2041017.', $hidden);
    }
}
