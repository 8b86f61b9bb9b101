<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * Bytes on their way, piece by piece, so that nothing is ever whole in memory: read, packed, sealed, and back.
 */
final class Pieces
{
    /** Bytes of a piece. */
    private const SIZE = 65_536;

    /**
     * @return iterable<string>
     */
    public static function ofFile(string $path): iterable
    {
        $file = @fopen($path, 'rb');
        if ($file === false) {
            throw new BackupFailed("{$path} cannot be read.");
        }
        try {
            while (! feof($file)) {
                $piece = fread($file, self::SIZE);
                if ($piece === false) {
                    throw new BackupFailed("{$path} could not be read to its end.");
                }
                if ($piece !== '') {
                    yield $piece;
                }
            }
        } finally {
            fclose($file);
        }
    }

    /**
     * Writes a file that is there whole or not at all.
     *
     * @param  iterable<string>  $pieces
     * @return array{bytes: int, sha256: string} of what was written
     */
    public static function write(iterable $pieces, string $path): array
    {
        $folder = dirname($path);
        if (! is_dir($folder) && ! @mkdir($folder, 0o700, true) && ! is_dir($folder)) {
            throw new BackupFailed("The folder {$folder} cannot be made.");
        }
        $partial = "{$path}.partial";
        $file = @fopen($partial, 'wb');
        if ($file === false) {
            throw new BackupFailed("{$path} cannot be written.");
        }
        $hash = hash_init('sha256');
        $bytes = 0;
        try {
            foreach ($pieces as $piece) {
                if (@fwrite($file, $piece) !== strlen($piece)) {
                    throw new BackupFailed("{$path} could not be written: is there room left?");
                }
                hash_update($hash, $piece);
                $bytes += strlen($piece);
            }
            if (! fflush($file) || ! fsync($file)) {
                throw new BackupFailed("{$path} could not be written: is there room left?");
            }
        } catch (\Throwable $e) {
            fclose($file);
            @unlink($partial);

            throw $e;
        }
        fclose($file);
        chmod($partial, 0o600);
        if (! rename($partial, $path)) {
            throw new BackupFailed("{$path} cannot be written.");
        }

        return ['bytes' => $bytes, 'sha256' => hash_final($hash)];
    }

    /**
     * Packed as gzip (RFC 1952).
     *
     * @param  iterable<string>  $pieces
     * @return iterable<string>
     */
    public static function packed(iterable $pieces): iterable
    {
        $deflate = deflate_init(ZLIB_ENCODING_GZIP, ['level' => 6]) ?: throw new BackupFailed('Packing does not work here.');
        foreach ($pieces as $piece) {
            $out = (string) deflate_add($deflate, $piece, ZLIB_NO_FLUSH);
            if ($out !== '') {
                yield $out;
            }
        }
        yield (string) deflate_add($deflate, '', ZLIB_FINISH);
    }

    /**
     * @param  iterable<string>  $pieces
     * @return iterable<string>
     */
    public static function unpacked(iterable $pieces): iterable
    {
        $inflate = inflate_init(ZLIB_ENCODING_GZIP) ?: throw new BackupFailed('Unpacking does not work here.');
        foreach ($pieces as $piece) {
            $out = @inflate_add($inflate, $piece);
            if ($out === false) {
                throw new BackupFailed('Something in the backup is damaged: it cannot be unpacked.');
            }
            if ($out !== '') {
                yield $out;
            }
        }
        if (inflate_get_status($inflate) !== ZLIB_STREAM_END) {
            throw new BackupFailed('Something in the backup is cut off.');
        }
    }

    /**
     * Sealed with XChaCha20-Poly1305 as libsodium's secretstream does it: who lacks the key reads nothing, and what was
     * altered, reordered or cut off shows.
     *
     * @param  iterable<string>  $pieces
     * @return iterable<string>
     */
    public static function sealed(iterable $pieces, BackupKey $key): iterable
    {
        [$state, $header] = sodium_crypto_secretstream_xchacha20poly1305_init_push($key->sealing());
        yield $header;
        foreach (self::even($pieces, self::SIZE) as [$piece, $last]) {
            yield sodium_crypto_secretstream_xchacha20poly1305_push(
                $state, $piece, '', $last ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                    : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE,
            );
        }
    }

    /**
     * @param  iterable<string>  $pieces
     * @return iterable<string>
     */
    public static function opened(iterable $pieces, BackupKey $key): iterable
    {
        $state = null;
        $ended = false;
        $head = SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES;
        $size = self::SIZE + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES;
        foreach (self::even($pieces, $size, $head) as [$piece]) {
            if ($state === null) {
                if (strlen($piece) !== $head) {
                    break;
                }
                $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($piece, $key->sealing());

                continue;
            }
            $opened = $ended ? false : sodium_crypto_secretstream_xchacha20poly1305_pull($state, $piece);
            if (! is_array($opened)) {
                throw new BackupFailed('Something in the backup is damaged, or was sealed with another key.');
            }
            yield $opened[0];
            $ended = $opened[1] === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL;
        }
        if (! $ended) {
            throw new BackupFailed('Something in the backup is cut off, or was sealed with another key.');
        }
    }

    /**
     * Cut anew into even pieces; each with whether it is the last. There is always one, if only an empty one.
     *
     * @param  iterable<string>  $pieces
     * @param  int  $first  bytes of the first, where it has another size
     * @return iterable<array{string, bool}>
     */
    private static function even(iterable $pieces, int $size, int $first = 0): iterable
    {
        $kept = '';
        $next = $first > 0 ? $first : $size;
        foreach ($pieces as $piece) {
            $kept .= $piece;
            while (strlen($kept) > $next) {
                yield [substr($kept, 0, $next), false];
                $kept = substr($kept, $next);
                $next = $size;
            }
        }
        yield [$kept, true];
    }
}
