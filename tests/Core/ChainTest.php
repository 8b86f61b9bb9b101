<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\ChainedLine;
use YoungHarbor\Core\Logbook\ChainFault;
use YoungHarbor\Core\Logbook\ChainHead;
use YoungHarbor\Core\Logbook\HeadKey;
use YoungHarbor\Core\Logbook\WhyBroken;
use YoungHarbor\Core\ScriptCode;
use YoungHarbor\Core\Tables\Csv;

final class ChainTest extends TestCase
{
    /**
     * @return array{list<array<string, mixed>>, list<string>, ChainHead, string} contents, hashes, the head and its key
     */
    private static function book(int $lines): array
    {
        $key = new HeadKey(str_repeat('k', 32));
        $contents = $hashes = [];
        $hash = Chain::BEGINNING;
        for ($n = 1; $n <= $lines; $n++) {
            $contents[] = $content = ['event' => "step {$n}", 'details' => ['mark' => '62.5', 'who' => null]];
            $hashes[] = $hash = Chain::link($hash, $n, Chain::contentHash($content));
        }

        return [$contents, $hashes, $key->sign($lines, $hash), $key->publicKey()];
    }

    /**
     * @param  list<array<string, mixed>>  $contents
     * @param  list<string>  $hashes
     * @return list<ChainedLine>
     */
    private static function lines(array $contents, array $hashes): array
    {
        return array_map(
            fn (array $content, string $hash, int $n) => ChainedLine::whole($n + 1, $hash, $content), $contents,
            $hashes, array_keys($contents),
        );
    }

    public function test_a_hash_is_plain_sha_256_of_the_one_before_the_number_and_the_content(): void
    {
        // Worked out apart from PHP, with Python's hashlib: of {"a":1,"b":["ü/"]}, and of 000…0, 1 and that, a line
        // each.
        $content = Chain::contentHash(['b' => ['ü/'], 'a' => 1]);
        self::assertSame('9ea08d094dd6444eb61d238eec43b87d6d8c15a79735727f57eaa55533cf5a15', $content);
        self::assertSame(
            'f5cdd416080ab2d13351898345c761a9164faa7c45f5f210c7d1b090794e7b3c',
            Chain::link(Chain::BEGINNING, 1, $content),
        );
    }

    public function test_the_head_is_signed_as_rfc_8032_says(): void
    {
        // RFC 8032, section 7.1, test 1: the public key of a secret one.
        $seed = (string) hex2bin('9d61b19deffd5a60ba844af492ec2cc44449c5697b326919703bac031cae7f60');
        $key = new HeadKey($seed === '' ? 'none' : $seed);
        self::assertSame('d75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a', $key->publicKey());
        $head = $key->sign(3, Chain::BEGINNING);
        self::assertTrue($head->isSignedBy($key->publicKey()));
        self::assertFalse((new ChainHead(4, $head->hash, $head->signature))->isSignedBy($key->publicKey()));
        self::assertFalse($head->isSignedBy('no key'));
    }

    public function test_a_whole_book_holds_and_the_order_of_keys_does_not_matter(): void
    {
        [$contents, $hashes, $head, $key] = self::book(5);
        self::assertTrue(Chain::verify(self::lines($contents, $hashes), $head, $key)->holds());
        $contents[2] = array_reverse($contents[2], true);
        self::assertTrue(Chain::verify(self::lines($contents, $hashes), $head, $key)->holds());
    }

    public function test_an_excerpt_holds_with_the_other_lines_as_hashes(): void
    {
        [$contents, $hashes, $head, $key] = self::book(5);
        $lines = self::lines($contents, $hashes);
        foreach ([0, 1, 3] as $n) {
            $lines[$n] = ChainedLine::hidden($n + 1, $hashes[$n], Chain::contentHash($contents[$n]));
        }
        self::assertTrue(Chain::verify($lines, $head, $key)->holds());
        $lines[3] = ChainedLine::hidden(4, $hashes[3], Chain::contentHash($contents[2]));
        self::assertEquals([new ChainFault(WhyBroken::NotAsWritten, 4)], Chain::verify($lines, $head, $key)->faults);
    }

    public function test_what_lines_said_may_go_up_to_where_a_line_says_so_and_not_further(): void
    {
        [$contents, $hashes, $head, $key] = self::book(5);
        $lines = self::lines($contents, $hashes);
        foreach ([0, 1] as $n) {
            $lines[$n] = ChainedLine::hidden($n + 1, $hashes[$n], Chain::contentHash($contents[$n]));
        }
        self::assertTrue(Chain::verify($lines, $head, $key, 2)->holds());
        self::assertEquals(
            [new ChainFault(WhyBroken::ContentMissing, 2)], Chain::verify($lines, $head, $key, 1)->faults,
        );
        self::assertCount(2, Chain::verify($lines, $head, $key, 0)->faults);
    }

    public function test_what_was_done_to_a_book_shows(): void
    {
        [$contents, $hashes, $head, $key] = self::book(5);
        $lines = self::lines($contents, $hashes);

        $altered = $contents;
        $altered[2]['details'] = ['mark' => '72.5', 'who' => null];
        self::assertEquals(
            [new ChainFault(WhyBroken::NotAsWritten, 3)],
            Chain::verify(self::lines($altered, $hashes), $head, $key)->faults,
        );

        $removed = $lines;
        array_splice($removed, 1, 1);
        self::assertEquals(
            new ChainFault(WhyBroken::LineMissing, 2, 3), Chain::verify($removed, $head, $key)->faults[0],
        );

        $cut = array_slice($lines, 0, 4);
        self::assertEquals([new ChainFault(WhyBroken::EndMissing, 4, 5)], Chain::verify($cut, $head, $key)->faults);

        $swapped = $contents;
        [$swapped[1], $swapped[2]] = [$contents[2], $contents[1]];
        self::assertCount(2, Chain::verify(self::lines($swapped, $hashes), $head, $key)->faults);

        // Everything after a change worked out anew: only the signature cannot be.
        [$forged, $hash] = [[], Chain::BEGINNING];
        foreach ($altered as $content) {
            $forged[] = $hash = Chain::link($hash, count($forged) + 1, Chain::contentHash($content));
        }
        self::assertEquals(
            [new ChainFault(WhyBroken::NotTheSignedLine, 5)],
            Chain::verify(self::lines($altered, $forged), $head, $key)->faults,
        );
        $other = new HeadKey(str_repeat('o', 32));
        self::assertEquals(
            [new ChainFault(WhyBroken::HeadAltered, 5)],
            Chain::verify(self::lines($altered, $forged), $other->sign(5, $hash), $key)->faults,
        );
        self::assertEquals([new ChainFault(WhyBroken::HeadMissing, 5)], Chain::verify($lines, null, $key)->faults);
    }

    public function test_no_spreadsheet_runs_a_cell_as_a_formula(): void
    {
        self::assertSame(
            "'=1+1,\"'+SUM(A1,B1)\",-5,'@x,\"a \"\"b\"\", c\",\r\n",
            Csv::line(['=1+1', '+SUM(A1,B1)', '-5', '@x', 'a "b", c', null]),
        );
    }

    public function test_script_codes_are_a_bird_and_three_digits(): void
    {
        self::assertMatchesRegularExpression('/\A[A-Z]+-007\z/', (string) ScriptCode::drawn(3, 7));
        $this->expectExceptionMessage('not a bird');
        ScriptCode::drawn(3, 1000);
    }
}
