<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Release\SheetSettings;

/**
 * A reflection that the students of a module are asked for, without a hand-in.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property string $title
 * @property SheetSettings $settings
 * @property Carbon $due_at
 * @property Carbon|null $opened_at since when students are asked
 * @property Carbon|null $reminded_at
 * @property int $made_by
 * @property-read Module $module
 */
final class ReflectionSheet extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'settings' => AsCoreValue::class.':'.SheetSettings::class, 'due_at' => 'datetime', 'opened_at' => 'datetime',
            'reminded_at' => 'datetime',
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
     * @return HasMany<SheetAnswer, $this>
     */
    public function answers(): HasMany
    {
        return $this->hasMany(SheetAnswer::class, 'sheet_id');
    }
}
