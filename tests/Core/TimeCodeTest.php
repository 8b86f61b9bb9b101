<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Accounts\Base32;
use YoungHarbor\Core\Accounts\TimeCode;

/**
 * Codes from a phone, against the vectors of their standards (copied from memory).
 */
final class TimeCodeTest extends TestCase
{
    private const SEED = '12345678901234567890';

    /** RFC 4226, appendix D. */
    public function test_codes_by_a_counter_are_those_of_the_standard(): void
    {
        foreach ([
            '755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489',
        ] as $step => $code) {
            self::assertSame($code, TimeCode::code(self::SEED, $step));
        }
    }

    /**
     * RFC 6238, appendix B: seconds since 1970, and the eight digits with each of three hashes. Seeds are as long as
     * the hash (erratum 2866).
     *
     * @return list<array{int, string, string, string}>
     */
    public static function times(): array
    {
        return [
            [59, '94287082', '46119246', '90693936'], [1111111109, '07081804', '68084774', '25091201'],
            [1111111111, '14050471', '67062674', '99943326'], [1234567890, '89005924', '91819424', '93441116'],
            [2000000000, '69279037', '90698825', '38618901'], [20000000000, '65353130', '77737706', '47863826'],
        ];
    }

    #[DataProvider('times')]
    public function test_codes_by_time_are_those_of_the_standard(
        int $time, string $sha1, string $sha256, string $sha512,
    ): void {
        $seed = fn (int $bytes): string => substr(str_repeat(self::SEED, 4), 0, $bytes);
        self::assertSame($sha1, TimeCode::code($seed(20), TimeCode::step($time), 8));
        self::assertSame($sha256, TimeCode::code($seed(32), TimeCode::step($time), 8, 'sha256'));
        self::assertSame($sha512, TimeCode::code($seed(64), TimeCode::step($time), 8, 'sha512'));
    }

    public function test_a_code_holds_a_step_before_and_after_and_is_taken_once(): void
    {
        $now = 1_800_000_015;
        $step = TimeCode::step($now);
        $of = fn (int $away): string => TimeCode::code(self::SEED, $step + $away);
        self::assertSame($step, TimeCode::accepted(self::SEED, $of(0), $now));
        self::assertSame($step, TimeCode::accepted(self::SEED, ' '.substr($of(0), 0, 3).' '.substr($of(0), 3), $now));
        self::assertSame($step - 1, TimeCode::accepted(self::SEED, $of(-1), $now));
        self::assertSame($step + 1, TimeCode::accepted(self::SEED, $of(1), $now));
        self::assertNull(TimeCode::accepted(self::SEED, $of(-2), $now), 'a minute old');
        self::assertNull(TimeCode::accepted(self::SEED, $of(2), $now));
        self::assertNull(TimeCode::accepted(self::SEED, $of(0), $now, last: $step), 'the same again');
        self::assertNull(TimeCode::accepted(self::SEED, $of(-1), $now, last: $step), 'an older one after it');
        self::assertSame($step + 1, TimeCode::accepted(self::SEED, $of(1), $now, last: $step));
        foreach (['', '12345', '1234567', 'abcdef', '१२३४५६'] as $none) {
            self::assertNull(TimeCode::accepted(self::SEED, $none, $now));
        }
    }

    /** RFC 4648, section 10. */
    public function test_secrets_are_written_as_the_standard_writes_them(): void
    {
        foreach ([
            '' => '', 'f' => 'MY======', 'fo' => 'MZXQ====', 'foo' => 'MZXW6===', 'foob' => 'MZXW6YQ=',
            'fooba' => 'MZXW6YTB', 'foobar' => 'MZXW6YTBOI======',
        ] as $bytes => $letters) {
            self::assertSame(rtrim($letters, '='), Base32::encode((string) $bytes));
            self::assertSame((string) $bytes, Base32::decode($letters));
        }
        self::assertSame('foobar', Base32::decode('mzxw 6ytb-oi'));
        self::assertNull(Base32::decode('MZXW1'), 'a one is no letter of it');
        self::assertSame(self::SEED, Base32::decode(Base32::encode(self::SEED)));
    }

    public function test_a_phone_reads_secret_issuer_and_account(): void
    {
        self::assertSame(
            'otpauth://totp/Merrow%20Coast%20College:mara%40merrow.example?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ&issuer=Merrow%20Coast%20College',
            TimeCode::address(self::SEED, 'Merrow Coast College', 'mara@merrow.example'),
        );
    }
}
