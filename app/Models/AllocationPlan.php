<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Database\Factories\AllocationPlanFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Who is to mark what: worked out with a seed, moved about by hand, then given out. Plans that were given out are kept.
 *
 * An entry is one mark: `script` (its code), `part`, `marker` (a person's public id, or null for nobody), `from` (who has
 * it now, or null), `fixed` (begun: it stays).
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $seed
 * @property string $state draft, applied or dropped
 * @property array{markers: list<array{marker: string, share: string, sections: list<string>|null}>, keep_groups: bool, even_out: bool} $settings
 * @property list<array{script: string, part: string, marker: string|null, from: string|null, fixed: bool}> $entries
 * @property list<array{script: string, part: string, why: string, figures: array<string, int>}> $unplaced
 * @property list<string> $notes
 * @property int $moves
 * @property int $made_by
 * @property Carbon|null $applied_at
 * @property int $lock_version
 * @property Carbon $created_at
 * @property-read Assignment $assignment
 * @property-read User $maker
 */
final class AllocationPlan extends Model
{
    /** @use HasFactory<AllocationPlanFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'settings' => 'array', 'entries' => 'array', 'unplaced' => 'array', 'notes' => 'array',
            'applied_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    public static function draftOf(Assignment $assignment): ?self
    {
        return self::query()->where('assignment_id', $assignment->id)->where('state', 'draft')->latest('id')->first();
    }
}
