<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Observing\Course;
use YoungHarbor\Core\Observing\Slot as CoreSlot;

/**
 * When and where a student, or a group, is observed, and by whom.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $script_id
 * @property string $room
 * @property Carbon $starts_at
 * @property Carbon $ends_at
 * @property int $sequence
 * @property Carbon|null $published_at since when its student knows it
 * @property Course $course how it went
 * @property-read Assignment $assignment
 * @property-read Script $script
 * @property-read Collection<int, User> $observers in the order of their marks
 */
final class Slot extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'starts_at' => 'datetime', 'ends_at' => 'datetime', 'published_at' => 'datetime', 'course' => Course::class,
        ];
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsToMany<User, $this>
     */
    public function observers(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'slot_observers')->orderByPivot('place');
    }

    public function minutes(): int
    {
        return (int) $this->starts_at->diffInMinutes($this->ends_at);
    }

    public function toCore(): CoreSlot
    {
        return new CoreSlot(
            (string) $this->script_id, $this->room, $this->starts_at->toDateTimeImmutable(),
            $this->ends_at->toDateTimeImmutable(), array_values(
                $this->observers->map(fn (User $one) => (string) $one->id)->all(),
            ),
        );
    }
}
