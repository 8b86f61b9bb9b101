<?php

declare(strict_types=1);

namespace App\Institution;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * What merging two accounts would do: it is done, and taken back.
 */
final class MergePreview
{
    public function __construct(private readonly AccountMerge $merge)
    {
    }

    public function of(User $keep, User $gone): MergeOutcome
    {
        DB::beginTransaction();
        try {
            return ($this->merge)($keep, $gone);
        } finally {
            DB::rollBack();
        }
    }
}
