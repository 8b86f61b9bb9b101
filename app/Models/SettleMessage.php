<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What someone wrote while a script was being settled, for staff alone.
 *
 * @property int $id
 * @property int $script_id
 * @property int $author_id
 * @property string $body
 * @property Carbon $created_at
 * @property-read User $author
 */
final class SettleMessage extends Model
{
    protected $guarded = [];

    /**
     * @return BelongsTo<User, $this>
     */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }
}
