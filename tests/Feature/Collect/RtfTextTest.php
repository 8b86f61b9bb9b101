<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Extraction\RtfText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * RTF 1.9, section "Unicode RTF": `\ucN` says how many fallback characters follow each `\uN`; the value is bound to
 * its group. From memory of the specification.
 */
final class RtfTextTest extends TestCase
{
    #[DataProvider('texts')]
    public function test_each_character_stands_alone_without_its_fallback(string $rtf, string $written): void
    {
        self::assertSame($written, RtfText::plainUnicode($rtf));
    }

    /**
     * @return iterable<string, array{string, string}>
     */
    public static function texts(): iterable
    {
        yield 'a plain fallback' => ['\u8220?We', '{\uc0\u8220 }We'];
        yield 'a hexadecimal fallback' => ["\\u8220\\'93We", '{\uc0\u8220 }We'];
        yield 'a space that ends the number, then a fallback' => ['\u233 ?t', '{\uc0\u233 }t'];
        yield 'no fallback' => ['\uc0\u233 t', '\uc0{\uc0\u233 }t'];
        yield 'two fallbacks' => ['\uc2\u233 ??t', '\uc2{\uc0\u233 }t'];
        yield 'a fallback that is a letter' => ['caf\u233e au lait', 'caf{\uc0\u233 } au lait'];
        yield 'one character after the other' => ['\u233?\u234?x', '{\uc0\u233 }{\uc0\u234 }x'];
        yield 'a value bound to its group' => ['{\uc0 \u233 t}\u233?t', '{\uc0 {\uc0\u233 }t}{\uc0\u233 }t'];
        yield 'a group that ends before the fallback' => ['{\u233}t', '{{\uc0\u233 }}t'];
        yield 'a negative number' => ['\u-3913?x', '{\uc0\u-3913 }x'];
        yield 'control words that only begin alike' => ['\ul text\ulnone\par', '\ul text\ulnone\par'];
        yield 'escaped braces stay' => ['\{a\}', '\{a\}'];
        yield 'a line end is no fallback' => ["\\u233\n?t", '{\uc0\u233 }t'];
        yield 'nothing of the kind' => ['{\rtf1\ansi Plain.\par}', '{\rtf1\ansi Plain.\par}'];
    }
}
