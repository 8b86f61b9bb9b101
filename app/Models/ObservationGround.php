<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Observing\Ground;

/**
 * A stretch of time in a room with those who observe there.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property string $room
 * @property Carbon $starts_at
 * @property Carbon $ends_at
 * @property list<int> $observers ids of people, in the order of their marks
 * @property-read Assignment $assignment
 */
final class ObservationGround extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['starts_at' => 'datetime', 'ends_at' => 'datetime', 'observers' => 'array'];
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    public function toCore(): Ground
    {
        return new Ground(
            $this->public_id, $this->room,
            $this->starts_at->toDateTimeImmutable(), $this->ends_at->toDateTimeImmutable(),
            array_map(strval(...), $this->observers),
        );
    }
}
