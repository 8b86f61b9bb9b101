<?php

declare(strict_types=1);

namespace App\Logbook;

use LogicException;
use YoungHarbor\Core\Logbook\ChainHead;

/**
 * Keeps the head in a file, on a disk that all web servers share.
 */
final readonly class FileHeadStore implements HeadStore
{
    /** Below the folder of files. */
    public const PLACE = 'logbook/head.json';

    public function __construct(private string $file)
    {
    }

    public function head(): ?ChainHead
    {
        $stored = is_file($this->file) ? json_decode((string) file_get_contents($this->file), true) : null;

        return is_array($stored) && is_int($stored['count'] ?? null) && is_string($stored['hash'] ?? null)
            && is_string($stored['signature'] ?? null)
            ? new ChainHead($stored['count'], $stored['hash'], $stored['signature'])
            : null;
    }

    public function advance(ChainHead $head): void
    {
        if (! is_dir(dirname($this->file))) {
            mkdir(dirname($this->file), 0700, true);
        }
        $lock = fopen($this->file.'.lock', 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            throw new LogicException('The logbook head cannot be locked.');
        }
        if (($this->head()->count ?? 0) < $head->count) {
            $new = $this->file.'.new';
            file_put_contents(
                $new,
                json_encode(
                    ['count' => $head->count, 'hash' => $head->hash, 'signature' => $head->signature],
                    JSON_THROW_ON_ERROR,
                ),
            );
            rename($new, $this->file);
        }
        fclose($lock);
    }

    public function setAside(): void
    {
        is_file($this->file) && rename($this->file, $this->file.'.before-'.now('UTC')->format('Ymd-His'));
    }

    public function place(): string
    {
        return $this->file;
    }
}
