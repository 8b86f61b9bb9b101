<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;
use YoungHarbor\Core\Rubric\Rubric as CoreRubric;

/**
 * A rubric as it was made ready: one immutable document with a hash. Marks point at its criterion ids.
 *
 * @property int $id
 * @property int $rubric_id
 * @property int $number
 * @property array<string, mixed> $document
 * @property string $hash
 * @property \Illuminate\Support\Carbon $created_at
 * @property-read Rubric $rubric
 * @property-read User $madeBy
 */
final class RubricVersion extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    private ?CoreRubric $core = null;

    protected function casts(): array
    {
        return ['document' => 'array', 'created_at' => 'datetime'];
    }

    protected static function booted(): void
    {
        self::updating(fn () => throw new LogicException('A rubric version never changes: make a new one.'));
        self::deleting(fn () => throw new LogicException('A rubric version is never deleted.'));
    }

    /**
     * @return BelongsTo<Rubric, $this>
     */
    public function rubric(): BelongsTo
    {
        return $this->belongsTo(Rubric::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function madeBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /** A version never changes once it is ready, so it is read once. */
    public function toCore(): CoreRubric
    {
        return $this->core ??= CoreRubric::fromArray($this->document);
    }
}
