<?php

declare(strict_types=1);

namespace Tests;

use App\Models\User;
use YoungHarbor\Core\Names\Letters;

/**
 * People, the ways their names are written, and documents that hold them in every place a format has. All made up.
 */
final readonly class Plantings
{
    /**
     * @param  list<string>  $spellings  that name them anywhere
     * @param  list<string>  $alone  that name them in a line of their own at head or foot
     * @param  list<string>  $signs  what must be left nowhere, in small letters without marks and spaces
     * @param  list<string>  $others  people and things that are like them and are not
     */
    public function __construct(
        public string $name,
        public ?string $number,
        public string $email,
        public array $spellings,
        public array $alone,
        public array $signs,
        public array $others,
    ) {
    }

    /**
     * @return list<self>
     */
    public static function people(): array
    {
        return [
            new self('Hana Kovářová', 'M204111', 'hk111@merrow.example',
                [
                    'Hana Kovářová', 'HANA KOVÁŘOVÁ', 'Kovářová, Hana', 'H. Kovářová', 'Hana Kovarova', 'M204111',
                    '204111', 'M 204111', 'hk111@merrow.example', 'hk111', "Hana\u{A0}Kova\u{301}r\u{30C}ova\u{301}",
                    "Ha\u{AD}na Ko\u{AD}vářová", "H\u{200B}ana Kov\u{2060}ářová", 'hkovarova', '@hana_kovarova',
                    'HanaKovarova', 'H A N A  K O V Á Ř O V Á', "\u{0397}ana K\u{043E}vářová",
                    'hana.kovarova@post.example', 'my name is Hana Kovářová', 'H. Kovářová1',
                ],
                ['Kovářová', 'by Hana', 'Kovářová 3', 'Name: Kovářová', 'Kovářová, p. 2'],
                ['kovarova', '204111', 'hk111'],
                [
                    'Jana Kovářová', 'Hana Novotná', 'Kovářová (1987)', 'the Kovářová pottery', 'J. Kovářová',
                    'Johana Kovaříková', 'number 204112', 'hk112@merrow.example', 'Kovářová and Sons', 'Hana, a flower',
                ]),
            new self("Niamh O'Donnell", '204113', 'niamh.odonnell@merrow.example',
                [
                    "Niamh O'Donnell", 'Niamh O’Donnell', "Niamh O\u{2BC}Donnell", 'Niamh O Donnell', 'Niamh ODonnell',
                    'N. O Donnell', "O'Donnell, Niamh", "O'DONNELL, N.", '204113', "2041\u{200D}13", 'niamh.odonnell',
                    'nodonnell', "submitted by O'Donnell", 'niamh-o-donnell', "Niamh M. O'Donnell",
                    "Niamh\u{2009}O\u{2019}Don\u{AD}nell", 'Student number: 204 113', '@odonnell_niamh',
                    "O'Donnell (204113)", 'N i a m h  O D o n n e l l',
                ],
                ["O'Donnell", 'Submitted by Niamh', "O'Donnell 12", 'Student: O’Donnell', 'Niamh, 4'],
                ['odonnell', '204113'],
                [
                    "Peter O'Donnell", "P. O'Donnell", "O'Donnell (1987)", 'Niamh Kelly', 'Niamh McDonnell',
                    "O'Donnell Street", "O'Donnell, N. (1998)", '2041131', '1204113', "a report by O'Donnell in 1902",
                ]),
            new self('Layla Haddad', 'S1880412', 'lhaddad2@merrow.example',
                [
                    'Layla Haddad', 'layla haddad', 'HADDAD Layla', 'L. Haddad', 'Haddad, L.', 'S1880412', 'S 1880412',
                    '1880412', 'lhaddad2', 'Layla al-Haddad', "Layla\u{200C} Had\u{200B}dad", 'laylahaddad_essay',
                    'prepared by Haddad', "L\u{0430}yl\u{0430} H\u{0430}dd\u{0430}d", 'Ｌayla Ｈaddad',
                ],
                ['Haddad', 'Author: Layla', 'Haddad, p. 3'], ['haddad', '1880412'],
                [
                    'Sami Haddad', 'Haddad & Sons', 'Haddad (1991)', 'Layla Majnun', 'Leyla Haddadin', 'S. Haddad',
                    '18804120', 'the house of Haddad',
                ]),
            new self('Kwabena Asante-Mensah', null, 'k.asante@merrow.example',
                [
                    'Kwabena Asante-Mensah', 'Kwabena Mensah', 'K. Asante-Mensah', 'Asante Mensah, Kwabena',
                    'k.asante', 'KwabenaAsanteMensah', "Kwabena Asante\u{2011}Mensah", 'K. Mensah',
                ],
                ['Asante-Mensah', 'by Kwabena'], ['kwabena', 'asantemensah', 'kmensah', 'kasante'],
                ['Ama Mensah', 'Kwame Asante-Mensah', 'Asante kings', 'Asante-Mensah (1999)', 'A. Mensah']),
            new self('Мария Иванова', '20419914', 'm.ivanova@merrow.example',
                [
                    'Мария Иванова', 'Иванова Мария', 'МАРИЯ ИВАНОВА', 'М. Иванова', 'Иванова М.', '20419914',
                    'm.ivanova',
                ],
                ['Иванова', 'Иванова 2'], ['иванова', '20419914', 'mivanova'],
                ['Анна Иванова', 'Иванова (1987)', 'Мария Петрова', '20419915']),
            new self(
                '王小明', '20412345', 'wxm45@merrow.example',
                ['王小明', '王 小明', "王\u{200B}小明", '由王小明撰写', '20412345', 'wxm45'], ['王小明'], ['王小明', '20412345', 'wxm45'],
                ['王大明', '小明', '大王小船', '20412346'],
            ),
            new self(
                'محمد الحداد', '20417788', 'mh7788@merrow.example',
                ['محمد الحداد', 'مُحَمَّد الحَدّاد', 'كتبه محمد الحداد', 'mh7788'], ['محمد الحداد'],
                ['محمدالحداد', 'mh7788'], ['سامي الحداد', 'محمد علي'],
            ),
        ];
    }

    public function user(): User
    {
        return User::factory()->make(['name' => $this->name, 'number' => $this->number, 'email' => $this->email]);
    }

    /**
     * What of the person is left in a text.
     *
     * @return list<string>
     */
    public function left(string $text): array
    {
        $squashed = fn (bool $latin): string => (string) preg_replace(
            '/[^\p{L}\p{N}]+/u', '', mb_strtolower(Letters::of(mb_scrub($text), $latin)->plain),
        );
        $read = $squashed(true).' '.$squashed(false);

        return array_values(array_filter($this->signs, fn (string $sign) => str_contains($read, $sign)));
    }

    /** The n-th spelling, over and over. */
    public function spelling(int $n): string
    {
        return $this->spellings[$n % count($this->spellings)];
    }
}
