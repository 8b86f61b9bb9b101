<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * A script in a sample pack: why, and once the pack is sent, the work, its marks and how they settled.
 *
 * @property int $id
 * @property int $sample_pack_id
 * @property int $script_id
 * @property list<string> $reasons
 * @property array<string, mixed>|null $document
 * @property string|null $sha256
 * @property Carbon|null $read_at
 * @property-read SamplePack $pack
 * @property-read Script $script
 */
final class PackScript extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['reasons' => 'array', 'document' => 'array', 'read_at' => 'datetime'];
    }

    protected static function booted(): void
    {
        self::updating(function (self $script): void {
            if ($script->getOriginal('sha256') !== null && $script->isDirty(['document', 'sha256', 'script_id'])) {
                throw new LogicException('What was sent in a pack never changes.');
            }
        });
    }

    /**
     * @return BelongsTo<SamplePack, $this>
     */
    public function pack(): BelongsTo
    {
        return $this->belongsTo(SamplePack::class, 'sample_pack_id');
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }
}
