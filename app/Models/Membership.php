<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Role;
use App\Models\Concerns\HasPublicId;
use Database\Factories\MembershipFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * One person in one module, with their role there.
 *
 * @property int $id
 * @property int $module_id
 * @property int $user_id
 * @property Role $role
 * @property string|null $section
 * @property string|null $candidate_number for boards of examiners; read by coordinators and administrators only
 * @property string $public_id
 * @property Carbon|null $left_at null while the person is here
 * @property-read Module $module
 * @property-read User $user
 * @property-read ModuleMark|null $moduleMark as it was last worked out
 */
final class Membership extends Model
{
    /** @use HasFactory<MembershipFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['role' => Role::class, 'left_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * @return HasOne<ModuleMark, $this>
     */
    public function moduleMark(): HasOne
    {
        return $this->hasOne(ModuleMark::class);
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }
}
