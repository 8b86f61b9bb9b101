<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Text\LightMarkup;

final class LightMarkupTest extends TestCase
{
    #[DataProvider('texts')]
    public function test_a_little_formatting_and_nothing_else(string $text, string $html): void
    {
        self::assertSame($html, LightMarkup::html($text));
    }

    /**
     * @return array<string, array{string, string}>
     */
    public static function texts(): array
    {
        return [
            'nothing' => ['', ''],
            'paragraphs and lines' => ["One,\ntwo.\n\nThree.", '<p>One,<br>two.</p><p>Three.</p>'],
            'bold and italic' => [
                '**Argument**: *much* better.', '<p><strong>Argument</strong>: <em>much</em> better.</p>',
            ],
            'both' => ['***so***', '<p><strong><em>so</em></strong></p>'],
            'a list after a line' => [
                "Next time:\n- name the source\n- **date** it",
                '<p>Next time:</p><ul><li>name the source</li><li><strong>date</strong> it</li></ul>',
            ],
            'stars that are no markup' => ['2 * 3 * 4, a ** b, and 5*6*7', '<p>2 * 3 * 4, a ** b, and 5*6*7</p>'],
            'markup of the writer' => [
                '<script>alert("x")</script> **<b>** [a](javascript:x)',
                '<p>&lt;script&gt;alert(&quot;x&quot;)&lt;/script&gt; <strong>&lt;b&gt;</strong> [a](javascript:x)</p>',
            ],
            'right to left' => ['**مرحبا** *שלום*', '<p><strong>مرحبا</strong> <em>שלום</em></p>'],
            'broken letters' => ["a\xFFb", '<p>a?b</p>'],
        ];
    }
}
