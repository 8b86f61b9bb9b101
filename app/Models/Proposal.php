<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * An agreed mark that one marker proposes to the other, with a reason.
 *
 * @property int $id
 * @property int $script_id
 * @property int $proposed_by
 * @property string $mark
 * @property string $reason
 * @property string $state
 * @property int|null $accepted_by
 * @property Carbon $created_at
 * @property-read User $proposer
 */
final class Proposal extends Model
{
    protected $guarded = [];

    /**
     * @return BelongsTo<User, $this>
     */
    public function proposer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'proposed_by');
    }
}
