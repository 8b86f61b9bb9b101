<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Database\Factories\ModuleFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use YoungHarbor\Core\Keeping\Periods;
use YoungHarbor\Core\Release\ModulePlan;

/**
 * A module: its people, rubrics and assignments.
 *
 * @property int $id
 * @property string $public_id
 * @property string $code
 * @property string $title
 * @property int|null $copied_from_id the module of another year
 * @property ModulePlan $mark_plan how its mark is made; without parts where none is
 * @property Periods $keeping in place of the institution's
 * @property string|null $marks_digest of what the module marks were worked out from
 * @property string|null $marks_seen of what changes with any result
 * @property-read Collection<int, Membership> $memberships
 * @property-read Collection<int, ClosureDay> $closureDays
 * @property-read Collection<int, Assignment> $assignments
 * @property-read Collection<int, Rubric> $rubrics
 */
final class Module extends Model
{
    /** @use HasFactory<ModuleFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'mark_plan' => AsCoreValue::class.':'.ModulePlan::class, 'keeping' => AsCoreValue::class.':'.Periods::class,
        ];
    }

    /**
     * @return HasMany<Membership, $this>
     */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /**
     * Those who are here now; leavers keep their work, and their membership with the day they left.
     *
     * @return HasMany<Membership, $this>
     */
    public function members(): HasMany
    {
        return $this->memberships()->whereNull('left_at');
    }

    /**
     * @return HasMany<Allowance, $this>
     */
    public function allowances(): HasMany
    {
        return $this->hasMany(Allowance::class);
    }

    /**
     * @return HasMany<ClosureDay, $this>
     */
    public function closureDays(): HasMany
    {
        return $this->hasMany(ClosureDay::class)->orderBy('day');
    }

    /**
     * Days on which the institution is closed, as Y-m-d.
     *
     * @return list<string>
     */
    public function closedOn(): array
    {
        return array_values($this->closureDays->map(fn (ClosureDay $day) => $day->day->format('Y-m-d'))->all());
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
