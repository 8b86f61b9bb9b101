<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * What was released to a student: a document that no later change reaches.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property array<string, mixed> $document
 * @property string|null $mark null for feedback without a mark
 * @property string|null $shown the mark at its decimals
 * @property string|null $band
 * @property int|null $release_id
 * @property int $version
 * @property bool $provisional as it went out, until confirmed_at
 * @property Carbon|null $confirmed_at when a board of examiners confirmed it
 * @property string $what_changed and why, where it took the place of an earlier one
 * @property Carbon|null $replaced_at when a corrected one took its place
 * @property int $released_by
 * @property Carbon $released_at
 * @property Carbon|null $first_opened_at
 * @property Carbon|null $last_opened_at
 * @property Carbon|null $mark_asked_at when its student asked for the mark, the feedback read
 * @property int $openings
 * @property int $seconds_open
 * @property-read Script $script
 */
final class Result extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'document' => 'array', 'released_at' => 'datetime', 'provisional' => 'boolean', 'confirmed_at' => 'datetime',
            'replaced_at' => 'datetime', 'mark_asked_at' => 'datetime',
            'first_opened_at' => 'datetime', 'last_opened_at' => 'datetime',
        ];
    }

    protected static function booted(): void
    {
        self::updating(function (Result $result): void {
            if ($result->isDirty(['document', 'mark', 'band', 'script_id'])) {
                throw new LogicException('A released result never changes.');
            }
        });
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /** Until when its student may ask for a review; null where reviews are not offered, or there is no mark. */
    public function reviewUntil(): ?Carbon
    {
        $days = $this->script->assignment->release->reviewDays;

        return $days === 0 || $this->mark === null
            ? null
            : $this->released_at->copy()->setTimezone(LocalTime::zone())->addDays($days)->endOfDay()->utc();
    }

    /** Whether there is something of it to reply to: the whole, one of its criteria, one of its comments. */
    public function has(string $about): bool
    {
        [$kind, $id] = [...explode(':', $about, 2), ''];

        return match ($kind) {
            ReplyThread::WHOLE => $id === '',
            'criterion' => in_array($id, array_column($this->document['criteria'] ?? [], 'id'), true),
            'comment' => in_array($id, array_column($this->document['comments'] ?? [], 'id'), true),
            default => false,
        };
    }

    /** Until when a reflection can be written; a mark that waits for something shows then anyway. */
    public function reflectionUntil(): Carbon
    {
        return $this->released_at->copy()->setTimezone(LocalTime::zone())
            ->addDays($this->script->assignment->release->reflection->days)->endOfDay()->utc();
    }

    /** Whether its student does not see the mark yet, since feedback comes first. */
    public function holdsMarkBack(): bool
    {
        $reflection = $this->script->assignment->release->reflection;

        return $this->mark !== null && $reflection->markAfter !== null && $reflection->holdsMarkBack(
            $this->mark_asked_at !== null, Reflection::query()->where('script_id', $this->script_id)->exists(),
            $this->reflectionUntil()->isPast(),
        );
    }

    public function isProvisional(): bool
    {
        return $this->provisional && $this->confirmed_at === null;
    }

    /** The mark as it was released, at the decimals it was rounded to; null for feedback without a mark. */
    public function shownMark(): ?string
    {
        return $this->mark === null ? null : $this->shown;
    }
}
