<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use YoungHarbor\Core\Marks\BandScale;

/**
 * Grade bands of a module's own. Assignments keep a copy of the scale they were given.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property string $name
 * @property array<string, mixed> $document
 * @property int $lock_version
 * @property-read Module $module
 */
final class GradeScale extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['document' => 'array'];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    public function toCore(): BandScale
    {
        return BandScale::fromArray($this->document);
    }

    /**
     * The scales an assignment of a module can be given, by the value a form sends: those that ship and the module's own.
     *
     * @return array<string, array<string, mixed>>
     */
    public static function documentsFor(Module $module): array
    {
        return config('harbor.bands') + self::query()->where('module_id', $module->id)->orderBy('name')->get()
            ->mapWithKeys(fn (self $scale) => [$scale->public_id => $scale->document])->all();
    }
}
