<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

use SensitiveParameter;

/**
 * Signs the head of the logbook (Ed25519, RFC 8032): whoever has the public key can check it, and nobody else can make
 * one.
 */
final readonly class HeadKey
{
    /** @var non-empty-string */
    private string $pair;

    /**
     * @param  non-empty-string  $seed  32 bytes that only the institution knows
     */
    public function __construct(#[SensitiveParameter] string $seed)
    {
        $this->pair = sodium_crypto_sign_seed_keypair($seed);
    }

    /** In hexadecimal, to be published. */
    public function publicKey(): string
    {
        return sodium_bin2hex(sodium_crypto_sign_publickey($this->pair));
    }

    public function sign(int $count, string $hash): ChainHead
    {
        return new ChainHead(
            $count, $hash,
            sodium_bin2hex(
                sodium_crypto_sign_detached(
                    ChainHead::message($count, $hash), sodium_crypto_sign_secretkey($this->pair),
                )
            ),
        );
    }
}
