<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A student asks another to swap slots; the other agrees, a coordinator approves.
 *
 * @property int $id
 * @property string $public_id
 * @property int $slot_id of whoever asks
 * @property int $other_id
 * @property int $asked_by
 * @property string $state asked, agreed, approved or refused
 * @property string $words
 * @property-read Slot $slot
 * @property-read Slot $other
 */
final class SlotSwap extends Model
{
    use HasPublicId;

    public const ASKED = 'asked';

    public const AGREED = 'agreed';

    public const APPROVED = 'approved';

    public const REFUSED = 'refused';

    protected $guarded = [];

    /**
     * @return BelongsTo<Slot, $this>
     */
    public function slot(): BelongsTo
    {
        return $this->belongsTo(Slot::class);
    }

    /**
     * @return BelongsTo<Slot, $this>
     */
    public function other(): BelongsTo
    {
        return $this->belongsTo(Slot::class, 'other_id');
    }
}
