<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One person in one module, with their role there.
 *
 * @property int $id
 * @property int $module_id
 * @property int $user_id
 * @property Role $role
 * @property string|null $section
 * @property-read Module $module
 * @property-read User $user
 */
final class Membership extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['role' => Role::class];
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
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
