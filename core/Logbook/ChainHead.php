<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * How many lines the logbook has and the hash of the last one, signed and kept apart from the lines.
 */
final readonly class ChainHead
{
    /**
     * @param  string  $signature  Ed25519 (RFC 8032), in hexadecimal
     */
    public function __construct(
        public int $count,
        public string $hash,
        public string $signature,
    ) {
    }

    /** What is signed. */
    public static function message(int $count, string $hash): string
    {
        return "logbook head\n{$count}\n{$hash}";
    }

    /**
     * @param  string  $publicKey  in hexadecimal
     */
    public function isSignedBy(string $publicKey): bool
    {
        $bytes = fn (string $value, int $length): ?string => preg_match(
            '/\A[0-9a-f]{'.(2 * $length).'}\z/', $value,
        ) === 1
            ? sodium_hex2bin($value)
            : null;
        $signature = $bytes($this->signature, SODIUM_CRYPTO_SIGN_BYTES) ?? '';
        $key = $bytes($publicKey, SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES) ?? '';

        return $signature !== '' && $key !== ''
            && sodium_crypto_sign_verify_detached($signature, self::message($this->count, $this->hash), $key);
    }
}
