<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Accounts;

/**
 * Codes of a few digits that a phone and a server make of the same secret and the time: TOTP of RFC 6238, which is HOTP
 * of RFC 4226 over the number of half minutes since 1970.
 */
final class TimeCode
{
    /** Seconds for which a code holds. */
    public const STEP = 30;

    public const DIGITS = 6;

    /** Bytes of a new secret, as RFC 4226, section 4, recommends. */
    public const SECRET_BYTES = 20;

    /** Steps before and after the present one whose code is taken too: clocks differ, and typing takes a while. */
    private const BESIDE = 1;

    /**
     * @param  string  $secret  bytes
     * @param  int  $step  which half minute
     * @param  'sha1'|'sha256'|'sha512'  $algorithm
     */
    public static function code(
        #[\SensitiveParameter] string $secret, int $step, int $digits = self::DIGITS, string $algorithm = 'sha1',
    ): string {
        $hash = hash_hmac($algorithm, pack('J', $step), $secret, true);
        $offset = ord($hash[strlen($hash) - 1]) & 0x0F;
        $number = ((ord($hash[$offset]) & 0x7F) << 24) | (ord($hash[$offset + 1]) << 16)
            | (ord($hash[$offset + 2]) << 8) | ord($hash[$offset + 3]);

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /**
     * @param  int  $time  seconds since 1970
     */
    public static function step(int $time): int
    {
        return intdiv($time, self::STEP);
    }

    /**
     * Which step a code is of. Each is taken once: one that was read over somebody's shoulder does not work again.
     *
     * @param  string  $secret  bytes
     * @param  string  $code  as it was typed; spaces do not count
     * @param  int  $time  seconds since 1970
     * @param  int|null  $last  the step whose code was taken last
     * @return int|null null when the code is of none that is taken now
     */
    public static function accepted(
        #[\SensitiveParameter] string $secret, #[\SensitiveParameter] string $code, int $time, ?int $last = null,
    ): ?int {
        $code = (string) preg_replace('/\s+/', '', $code);
        $found = null;
        for ($step = self::step($time) - self::BESIDE; $step <= self::step($time) + self::BESIDE; $step++) {
            // All are compared, each in the same time.
            if (hash_equals(self::code($secret, $step), $code) && ($last === null || $step > $last)) {
                $found = $step;
            }
        }

        return $found;
    }

    /**
     * The address that a phone reads from a picture of squares.
     *
     * @param  string  $secret  bytes
     * @param  string  $issuer  whose code it is, as the phone shows it
     * @param  string  $account  of whom
     */
    public static function address(#[\SensitiveParameter] string $secret, string $issuer, string $account): string
    {
        return 'otpauth://totp/'.rawurlencode($issuer).':'.rawurlencode($account)
            .'?secret='.Base32::encode($secret).'&issuer='.rawurlencode($issuer);
    }
}
