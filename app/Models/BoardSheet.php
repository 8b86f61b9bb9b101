<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A board sheet as a board of examiners confirmed it. Nothing changes it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property array<string, mixed> $sheet
 * @property string $digest
 * @property int $results_confirmed
 * @property string $note
 * @property int $confirmed_by
 * @property Carbon $created_at
 * @property-read Module $module
 * @property-read User $confirmer
 */
final class BoardSheet extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['sheet' => 'array'];
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
    public function confirmer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'confirmed_by');
    }
}
