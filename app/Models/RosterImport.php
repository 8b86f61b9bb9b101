<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A roster that was read and looked at, and perhaps applied.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property int $made_by
 * @property string $file_name
 * @property string $kind
 * @property string $path
 * @property array<string, mixed> $choices
 * @property Carbon|null $applied_at
 * @property-read Module $module
 */
final class RosterImport extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['choices' => 'array', 'applied_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }
}
