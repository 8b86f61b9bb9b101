<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marking\Seat;

/**
 * What a student and the markers of their work say to each other about one comment, one criterion or the whole.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property string $about whole, criterion:… or comment:…
 * @property Carbon|null $closed_at
 * @property int|null $closed_by
 * @property-read Script $script
 * @property-read Collection<int, Reply> $replies
 */
final class ReplyThread extends Model
{
    use HasPublicId;

    public const WHOLE = 'whole';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['closed_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return HasMany<Reply, $this>
     */
    public function replies(): HasMany
    {
        return $this->hasMany(Reply::class)->orderBy('id');
    }

    /** The id of the criterion it is about; null where it is about something else. */
    public function criterion(): ?string
    {
        return str_starts_with($this->about, 'criterion:') ? substr($this->about, strlen('criterion:')) : null;
    }

    /** The id of the comment it is about, if it is about one. */
    public function comment(): ?string
    {
        return str_starts_with($this->about, 'comment:') ? substr($this->about, strlen('comment:')) : null;
    }

    /**
     * Whose words it is about: the marker of the comment; of a criterion or the whole whoever first marked it.
     *
     * @return list<int> ids of people
     */
    public function markers(): array
    {
        $comment = $this->comment();
        $of = $comment === null ? null : Mark::query()->whereIn(
            'id', MarkComment::query()->where('public_id', $comment)->select('mark_id'),
        )->value('marker_id');
        $first = $this->script->leadScript()->mark(Seat::First)?->marker_id;

        $marker = $of === null ? $first : (int) $of;

        return $marker === null ? [] : [$marker];
    }
}
