<?php

declare(strict_types=1);

namespace App\Backup;

use TypeError;

/**
 * What a backup is made of, with a checksum of each part. It is written last: a set without it is none.
 */
final readonly class Manifest
{
    public const FORMAT = 'young-harbor-backup/1';

    /**
     * @param  string  $madeAt  UTC, ISO 8601, when it was begun
     * @param  string  $version  of the application
     * @param  string|null  $key  fingerprint of the key it is sealed with; null for an open one
     * @param  string  $applicationKey  fingerprint of APP_KEY, without which logbook and receipts cannot be verified
     * @param  array<string, array{bytes: int, sha256: string}>  $parts  by file name, as they lie there
     * @param  int  $files  how many files it names
     * @param  int  $bytes  of them
     */
    public function __construct(
        public string $madeAt, public string $version, public ?string $key, public string $applicationKey,
        public array $parts, public int $files, public int $bytes,
    ) {
    }

    public static function fromJson(string $json, ?BackupKey $key, string $place): self
    {
        $read = json_decode($json, true);
        if (! is_array($read) || ($read['format'] ?? null) !== self::FORMAT) {
            throw new BackupFailed("{$place} is no backup of this kind.");
        }
        try {
            $manifest = new self(
                $read['made_at'], $read['version'], $read['key'], $read['application_key'], $read['parts'],
                $read['files'], $read['bytes'],
            );
        } catch (TypeError) {
            throw new BackupFailed("The manifest of {$place} is damaged.");
        }
        if ($manifest->key === null) {
            return $manifest;
        }
        if ($key === null) {
            throw new BackupFailed("{$place} is sealed: give its key with --key=FILE.");
        }
        if ($manifest->key !== $key->fingerprint()) {
            throw new BackupFailed(
                "{$place} is sealed with another key ({$manifest->key}; this one is {$key->fingerprint()}).",
            );
        }
        if (! hash_equals($key->mac($manifest->content()), (string) ($read['mac'] ?? ''))) {
            throw new BackupFailed("The manifest of {$place} was altered.");
        }

        return $manifest;
    }

    public function toJson(?BackupKey $key): string
    {
        $content = (array) json_decode($this->content(), true);

        return json_encode(
            $key === null ? $content : [...$content, 'mac' => $key->mac($this->content())],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
    }

    private function content(): string
    {
        return json_encode([
            'format' => self::FORMAT, 'made_at' => $this->madeAt, 'version' => $this->version, 'key' => $this->key,
            'application_key' => $this->applicationKey, 'parts' => $this->parts, 'files' => $this->files,
            'bytes' => $this->bytes,
        ], JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}
