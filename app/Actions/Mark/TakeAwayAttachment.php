<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\MarkAttachment;
use Illuminate\Support\Facades\Storage;

/**
 * Takes a recording or a file away from a mark.
 */
final class TakeAwayAttachment
{
    public function __construct(private readonly ChangeMark $change)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(MarkAttachment $attachment): void
    {
        ($this->change)($attachment->mark, function (Mark $stored) use ($attachment): void {
            $attachment->delete();
            $stored->lock_version++;
        });
        Storage::delete($attachment->path);
    }
}
