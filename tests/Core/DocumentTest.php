<?php

declare(strict_types=1);

namespace Tests\Core;

use App\Extraction\HtmlTree;
use App\Extraction\Refusal;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Html;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Names\Mask;

/**
 * The tree of what is allowed in a document, what is written from it, and names hidden in it.
 */
final class DocumentTest extends TestCase
{
    private function tree(string $html): Document
    {
        return (new HtmlTree)->read($html, fn (): null => null);
    }

    public function test_the_structure_of_a_text_stays_and_is_written_as_it_was_read(): void
    {
        $html = '<h1>Salt</h1><p>One <em>two</em> <strong>three</strong><sup>4</sup></p><blockquote><p>Quoted</p></blockquote>'
            .'<ul><li>first</li><li>second</li></ul><table><tr><th>Year</th><td colspan="2">Tons</td></tr></table>';
        self::assertSame($html, Html::ofText($this->tree($html)));
    }

    public function test_paragraphs_are_parted_and_words_never_run_together(): void
    {
        self::assertSame(
            "Salt\n\nOne two\n\nfirst\n\nsecond\n\na\n\nb",
            $this->tree(
                '<h1>Salt</h1><p>One<br>two</p><ul><li>first</li><li>second</li></ul><table><tr><td>a</td><td>b</td></tr></table>'
            )->text(),
        );
        self::assertSame('one word', $this->tree("<p>one\n      <b>wo</b>rd</p>")->text());
        self::assertSame('', $this->tree('<p> </p><hr>')->text());
        self::assertSame(
            "> Quoted\n\n> twice", $this->tree('<blockquote><p>Quoted</p><p>twice</p></blockquote>')->text(),
        );
    }

    public function test_letters_of_every_script_survive(): void
    {
        $text = 'Ólafur — “þetta” 日本 العربية naïve 🐚 & <not a tag>';
        self::assertSame($text, $this->tree('<p>'.htmlspecialchars($text).'</p>')->text());
        self::assertSame($text, $this->tree(Html::ofText($this->tree('<p>'.htmlspecialchars($text).'</p>')))->text());
    }

    public function test_what_has_no_place_in_the_tree_is_not_there(): void
    {
        $html = '<p onclick="x()" style="color:red" id="me" class="c">Salt<script>x()</script><svg onload="x()"><text>drawn</text></svg></p><iframe src="https://evil.example"></iframe>'
            .'<form action="/x"><input name="a"><button>go</button></form><a href="javascript:x()">on</a><a href="data:text/html,x">and on</a><object data="x"></object><style>p{}</style><meta http-equiv="refresh" content="0"><img src="https://evil.example/p.png" alt="Hana">';
        self::assertSame('<p>Salt</p>onand on', Html::ofText($this->tree($html)));
    }

    public function test_the_address_of_a_link_stands_beside_it_and_is_no_word_of_the_script(): void
    {
        $tree = $this->tree(
            '<p>See <a href="https://www.pans.example/ledger?year=1801">the ledger</a>, <a href="https://pans.example/">pans.example</a> and <a href="mailto:hk@x.example">me</a>.</p>'
        );
        self::assertSame('See the ledger, pans.example and me.', $tree->text());
        self::assertSame(
            '<p>See <span data-address="pans.example/ledger?year=1801">the ledger</span>, pans.example and me.</p>',
            Html::ofText($tree),
        );
        self::assertSame(
            '<p>See the ledger [pans.example/ledger?year=1801], pans.example and me.</p>', Html::ofFile($tree),
        );
        self::assertSame(Html::ofText($tree), Html::ofText((new HtmlTree)->ofOurs(Html::ofText($tree))));
    }

    public function test_nesting_that_no_text_has_is_refused(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('within each other');
        $this->tree(str_repeat('<blockquote>', 300).'salt');
    }

    public function test_a_name_is_masked_wherever_it_stands_in_the_markup(): void
    {
        $mask = new Mask('Zoë Ng', 'M204105', 'zoe.ng@merrow.example');
        $masked = Masking::of(
            $this->tree(
                '<h1>By <b>Zoë</b> Ng</h1><ul><li>m204105</li></ul><p>Ng, Zoë wrote to zoe.ng@merrow.example about Ngorongoro. See <a href="https://pans.example/~zoe.ng/essay">here</a>.</p>'
            ),
            [$mask],
        );
        self::assertSame([4, 1, 0], [$masked->hidden, $masked->addresses, $masked->heads]);
        self::assertSame(
            '<h1>By <b>[name hidden]</b></h1><ul><li>[name hidden]</li></ul><p>[name hidden] wrote to [name hidden] about Ngorongoro. See here.</p>',
            Html::ofText($masked->document),
        );
    }

    public function test_running_heads_that_name_the_author_are_taken_out_and_others_stay(): void
    {
        $mask = new Mask("Niamh O'Donnell", 'M204101', null);
        $page = fn (int $n): string => "O'Donnell {$n}\n\nThe pans were drawn on day {$n}.\nEach was raked.\n\nCoastal Communities, page {$n}\f";
        $masked = Masking::of(Document::ofText($page(1).$page(2).$page(3).$page(4)), [$mask]);
        self::assertSame(4, $masked->heads);
        self::assertStringNotContainsString('Donnell', $masked->document->text());
        self::assertSame(4, substr_count($masked->document->text(), 'Coastal Communities'));
        self::assertStringStartsWith(
            "The pans were drawn on day 1. Each was raked.\n\nCoastal", $masked->document->text(),
        );
        $other = Masking::of(
            Document::ofText(str_replace("O'Donnell", 'Salt and fire', $page(1).$page(2).$page(3))), [$mask],
        );
        self::assertSame([0, 0], [$other->heads, $other->hidden]);
        // Pasted into a text without pages.
        $pasted = Masking::of(
            Document::ofText(
                "Salt\n\nThe pans.\n\nHaddad, p. 2\n\nAnd fire.\n\nHaddad, p. 3\n\nAnd brine.\n\nHaddad, p. 4\n\nAnd ash."
            ),
            [new Mask('Layla Haddad', null, null)],
        );
        self::assertSame("Salt\n\nThe pans.\n\nAnd fire.\n\nAnd brine.\n\nAnd ash.", $pasted->document->text());
    }

    public function test_a_family_name_alone_is_pointed_out_without_the_name_or_hidden_when_asked(): void
    {
        $mask = new Mask('Layla Haddad', null, null);
        $document = Document::ofText(
            'Salt roads.'.str_repeat("\n\nA line.", 9)
                ."\n\nThe best account is that of Haddad, who walked them; Peter Haddad did not."
                .str_repeat("\n\nA line.", 5)
        );
        $left = Masking::of($document, [$mask]);
        self::assertSame($document->text(), $left->document->text());
        self::assertSame(['The best account is that of ______, who walked them; Peter Haddad did not.'], $left->lone);
        $hidden = Masking::of($document, [$mask], lone: true);
        self::assertStringContainsString(
            'that of [name hidden], who walked them; Peter Haddad did not', $hidden->document->text(),
        );
        self::assertSame([], $hidden->lone);
    }

    public function test_markup_written_as_text_stays_text(): void
    {
        $html = Html::ofText(
            Masking::of(
                $this->tree('<p>&lt;script&gt;alert(1)&lt;/script&gt;</p>'), [new Mask('A B', null, null)],
            )->document
        );
        self::assertStringNotContainsString('<script', $html);
        self::assertStringContainsString('&lt;script&gt;', $html);
    }

    public function test_a_cover_sheet_names_nobody_however_long_it_is_and_whatever_cell_a_label_stands_in(): void
    {
        $mask = new Mask('Hana Kovářová', '20411', null);
        $rows = '<tr><td>Module</td><td>HT210</td></tr><tr><td>Title</td><td>Salt</td></tr><tr><td>Tutor</td><td>Dr Salter</td></tr><tr><td>Words</td><td>2,000</td></tr><tr><td>Due</td><td>Monday</td></tr>';
        $prose = '<p>'.str_repeat('The pans were drawn twice a day and let by the year. ', 4).'</p>';
        $sheet = "{$prose}<table>{$rows}<tr><td>First name:</td><td>Hana</td></tr><tr><td>Surname</td><td>KOVÁŘOVÁ</td></tr><tr><td>Student number</td><td>20411</td></tr></table>"
            .str_repeat($prose, 6);
        $masked = Masking::of($this->tree($sheet), [$mask])->document->text();
        foreach (['Hana', 'KOV', '20411'] as $sign) {
            self::assertStringNotContainsString($sign, $masked);
        }
        self::assertStringContainsString('Dr Salter', $masked);
        // A title page of a dozen short lines.
        $page = '<p>'.implode(
            '</p><p>',
            [
                'Merrow Coast College', 'HT210', 'Coastal Communities', 'Essay 2', 'Salt roads', 'of the estuary',
                'A study', 'in two parts', 'with a map', 'autumn', 'Kovářová', 'Group C',
            ],
        ).'</p>';
        self::assertStringNotContainsString(
            'Kovářová', Masking::of($this->tree($page.str_repeat($prose, 6)), [$mask])->document->text(),
        );
        // Sources in short lines at the end stay.
        $sources = str_repeat($prose, 3).'<p>Kovářová (1987)</p><p>Byrne, 1902</p><p>Salter (1911)</p>';
        self::assertStringContainsString(
            'Kovářová (1987)', Masking::of($this->tree($sources), [$mask])->document->text(),
        );
    }
}
