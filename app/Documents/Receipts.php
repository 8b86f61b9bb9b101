<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Handin;
use App\Models\HandinFile;
use Illuminate\Support\Carbon;
use LogicException;
use YoungHarbor\Core\Collect\Receipt;

/**
 * Receipts of hand-ins, sealed with the institution's key.
 */
final class Receipts
{
    public function __construct(#[\SensitiveParameter] private readonly string $key)
    {
    }

    public function of(Handin $handin): Receipt
    {
        $sums = array_values($handin->files->map(fn (HandinFile $file) => $file->sha256)->all());

        $written = fn (Carbon $at): string => $at->copy()->utc()->format('Y-m-d\TH:i:s\Z');

        return new Receipt(
            $handin->public_id, $written($handin->received_at), $written($handin->created_at),
            $sums === [] ? throw new LogicException('A hand-in has files.') : $sums,
        );
    }

    public function seal(Receipt $receipt): string
    {
        return $receipt->seal($this->key);
    }

    public function holds(Receipt $receipt, string $seal): bool
    {
        return $receipt->holds($seal, $this->key);
    }

    /** As it stands in mails and as a file. */
    public function text(Handin $handin): string
    {
        return $this->of($handin)->text(
            $handin->seal, array_values($handin->files->map(fn (HandinFile $file) => $file->original_name)->all()),
        );
    }
}
