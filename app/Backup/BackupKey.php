<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * The key a backup is sealed with: 32 random bytes, kept in a file as base64. Who has lost it has lost the backup.
 */
final readonly class BackupKey
{
    private function __construct(#[\SensitiveParameter] private string $bytes)
    {
    }

    /**
     * @throws BackupFailed when the file is not one
     */
    public static function ofFile(string $path): self
    {
        $text = is_file($path) ? file_get_contents($path) : false;
        if ($text === false) {
            throw new BackupFailed("The key {$path} cannot be read. Make one with: head -c 32 /dev/urandom | base64 > {$path}");
        }
        $bytes = base64_decode(trim($text), true);
        if ($bytes === false || strlen($bytes) !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES) {
            throw new BackupFailed("{$path} is no key of 32 bytes in base64. Make one with: head -c 32 /dev/urandom | base64 > {$path}");
        }

        return new self($bytes);
    }

    /** What pieces are sealed with. */
    public function sealing(): string
    {
        return hash_hkdf('sha256', $this->bytes, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES, 'seal');
    }

    /** By what name something of a checksum is kept, so that names tell nothing of what they name. */
    public function name(string $sha256): string
    {
        return hash_hmac('sha256', $sha256, hash_hkdf('sha256', $this->bytes, 32, 'name'));
    }

    /** Shows that a manifest was written by who has the key. */
    public function mac(string $text): string
    {
        return hash_hmac('sha256', $text, hash_hkdf('sha256', $this->bytes, 32, 'manifest'));
    }

    /** By which the right key is known without telling it. */
    public function fingerprint(): string
    {
        return bin2hex(hash_hkdf('sha256', $this->bytes, 8, 'fingerprint'));
    }
}
