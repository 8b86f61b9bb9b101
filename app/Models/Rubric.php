<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\RubricState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * A rubric in its life: the working copy, and the versions that were made ready from it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property string $title
 * @property RubricState $state
 * @property array<string, mixed> $document
 * @property int $lock_version
 * @property int $saved_by
 * @property Carbon $updated_at
 * @property-read Module $module
 * @property-read User $savedBy
 * @property-read Collection<int, RubricVersion> $versions
 * @property-read RubricVersion|null $latestVersion
 */
final class Rubric extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['state' => RubricState::class, 'document' => 'array'];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function savedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'saved_by');
    }

    /**
     * @return HasMany<RubricVersion, $this>
     */
    public function versions(): HasMany
    {
        return $this->hasMany(RubricVersion::class);
    }

    /**
     * @return HasOne<RubricVersion, $this>
     */
    public function latestVersion(): HasOne
    {
        return $this->hasOne(RubricVersion::class)->latestOfMany('number');
    }
}
