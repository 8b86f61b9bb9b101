<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Database\Factories\ModuleFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A module: its people, rubrics and assignments.
 *
 * @property int $id
 * @property string $public_id
 * @property string $code
 * @property string $title
 * @property-read Collection<int, Membership> $memberships
 * @property-read Collection<int, Assignment> $assignments
 * @property-read Collection<int, Rubric> $rubrics
 */
final class Module extends Model
{
    /** @use HasFactory<ModuleFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    /**
     * @return HasMany<Membership, $this>
     */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /**
     * @return HasMany<Assignment, $this>
     */
    public function assignments(): HasMany
    {
        return $this->hasMany(Assignment::class);
    }

    /**
     * @return HasMany<Rubric, $this>
     */
    public function rubrics(): HasMany
    {
        return $this->hasMany(Rubric::class);
    }

    public function fullTitle(): string
    {
        return "{$this->code} {$this->title}";
    }
}
