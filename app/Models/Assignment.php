<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Moderation\Settlement as Rule;
use YoungHarbor\Core\Moderation\SettleRule;

/**
 * One piece of assessed work of a module.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property int|null $rubric_version_id
 * @property string $title
 * @property string $brief
 * @property Carbon|null $opens_at
 * @property Carbon|null $due_at
 * @property Carbon|null $closes_at
 * @property Carbon|null $promised_on
 * @property Carbon|null $published_at
 * @property array<string, mixed> $bands
 * @property string $pass_mark
 * @property bool $second_marking
 * @property string $tolerance
 * @property SettleRule $settle_rule
 * @property bool $markers_see_overlap
 * @property Carbon|null $names_revealed_at
 * @property int $lock_version
 * @property-read Module $module
 * @property-read RubricVersion|null $rubricVersion
 * @property-read Collection<int, Script> $scripts
 */
final class Assignment extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'opens_at' => 'datetime', 'due_at' => 'datetime', 'closes_at' => 'datetime', 'promised_on' => 'date',
            'published_at' => 'datetime', 'names_revealed_at' => 'datetime', 'bands' => 'array',
            'second_marking' => 'boolean', 'markers_see_overlap' => 'boolean', 'settle_rule' => SettleRule::class,
        ];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    /**
     * @return BelongsTo<RubricVersion, $this>
     */
    public function rubricVersion(): BelongsTo
    {
        return $this->belongsTo(RubricVersion::class);
    }

    /**
     * @return HasMany<Script, $this>
     */
    public function scripts(): HasMany
    {
        return $this->hasMany(Script::class);
    }

    public function scale(): BandScale
    {
        return BandScale::fromArray($this->bands);
    }

    public function settlement(): Rule
    {
        return new Rule($this->settle_rule, BigDecimal::of($this->tolerance), BigDecimal::of($this->pass_mark));
    }

    public function isPublished(): bool
    {
        return $this->published_at !== null;
    }

    public function isOpen(): bool
    {
        return $this->isPublished() && ($this->opens_at === null || $this->opens_at->isPast());
    }

    public function isPastDue(): bool
    {
        return $this->due_at !== null && $this->due_at->isPast();
    }

    /** Whether work can still come in: until the closing time, or without one until results go out. */
    public function takesHandIns(): bool
    {
        return $this->isOpen() && ($this->closes_at === null || $this->closes_at->isFuture());
    }

    public function namesRevealed(): bool
    {
        return $this->names_revealed_at !== null;
    }
}
