<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Peers\ContributionSettings;

/**
 * Members of the groups of an assignment rate what each contributed.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property ContributionSettings $settings
 * @property Carbon $due_at
 * @property Carbon|null $opened_at since when students are asked
 * @property Carbon|null $reminded_at
 * @property Carbon|null $closed_at when factors were worked out
 * @property int $made_by
 * @property int $lock_version
 * @property-read Assignment $assignment
 * @property-read Collection<int, ContributionRating> $ratings
 * @property-read Collection<int, ContributionFactor> $factors
 */
final class Contribution extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'settings' => AsCoreValue::class.':'.ContributionSettings::class, 'due_at' => 'datetime',
            'opened_at' => 'datetime', 'reminded_at' => 'datetime', 'closed_at' => 'datetime',
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
     * @return HasMany<ContributionRating, $this>
     */
    public function ratings(): HasMany
    {
        return $this->hasMany(ContributionRating::class);
    }

    /**
     * @return HasMany<ContributionFactor, $this>
     */
    public function factors(): HasMany
    {
        return $this->hasMany(ContributionFactor::class);
    }

    public function isClosed(): bool
    {
        return $this->closed_at !== null;
    }

    /** Whether members can still rate. */
    public function takesRatings(): bool
    {
        return $this->opened_at !== null && $this->closed_at === null && $this->due_at->isFuture();
    }
}
