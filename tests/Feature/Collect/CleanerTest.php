<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Extraction\Cleaner;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Text\Mask;

final class CleanerTest extends TestCase
{
    public function test_the_structure_of_a_text_stays(): void
    {
        $html = '<h1>Salt</h1><p>One <em>two</em> <strong>three</strong><sup>4</sup></p><blockquote><p>Quoted</p></blockquote>'
            .'<ul><li>first</li><li>second</li></ul><table><tr><th>Year</th><td colspan="2">Tons</td></tr></table>';
        $clean = (new Cleaner)->clean($html);
        foreach (['<h1>Salt</h1>', '<em>two</em>', '<blockquote>', '<li>second</li>', '<td colspan="2">Tons</td>'] as $part) {
            self::assertStringContainsString($part, $clean);
        }
    }

    public function test_paragraphs_are_parted_and_words_never_run_together(): void
    {
        $cleaner = new Cleaner;
        self::assertSame(
            "Salt\n\nOne two\n\nfirst\n\nsecond\n\na\n\nb",
            $cleaner->plain('<h1>Salt</h1><p>One<br>two</p><ul><li>first</li><li>second</li></ul><table><tr><td>a</td><td>b</td></tr></table>'),
        );
        self::assertSame('one word', $cleaner->plain("<p>one\n      <b>wo</b>rd</p>"));
        self::assertSame('', $cleaner->plain('<p> </p><hr>'));
    }

    public function test_letters_of_every_script_survive(): void
    {
        $text = 'Ólafur — “þetta” 日本 العربية naïve 🐚 & <not a tag>';
        $html = '<p>'.htmlspecialchars($text).'</p>';
        self::assertSame($text, (new Cleaner)->plain((new Cleaner)->clean($html)));
    }

    public function test_a_name_is_masked_wherever_it_stands_in_the_markup(): void
    {
        $times = 0;
        $mask = new Mask('Zoë Ng', 'M204105', 'zoe.ng@merrow.example');
        $masked = (new Cleaner)->mask('<h1>By Zoë Ng</h1><ul><li>m204105</li></ul><p>Ng, Zoë wrote to zoe.ng@merrow.example about Ngorongoro.</p>', $mask, $times);
        self::assertSame(4, $times);
        self::assertStringNotContainsString('Zoë', $masked);
        self::assertStringContainsString('Ngorongoro', $masked);
        self::assertStringContainsString('<h1>By [name hidden]</h1>', $masked);
    }

    public function test_markup_written_as_text_stays_text(): void
    {
        $times = 0;
        $clean = (new Cleaner)->clean('<p>&lt;script&gt;alert(1)&lt;/script&gt;</p>');
        $masked = (new Cleaner)->mask($clean, new Mask('A B', null, null), $times);
        self::assertStringNotContainsString('<script', $clean.$masked);
        self::assertStringContainsString('&lt;script&gt;', $masked);
    }
}
