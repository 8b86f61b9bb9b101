<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\PackRequest;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What is written about a pack: the reader's notes and requests, the team's answers.
 *
 * @property int $id
 * @property int $sample_pack_id
 * @property int|null $pack_script_id null: on the pack as a whole
 * @property int $author_id
 * @property string $kind note, request or answer
 * @property PackRequest|null $asks_for
 * @property int|null $answers_id
 * @property string $body
 * @property Carbon $created_at
 * @property-read User $author
 * @property-read Collection<int, self> $answers
 */
final class PackNote extends Model
{
    public const NOTE = 'note';

    public const REQUEST = 'request';

    public const ANSWER = 'answer';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['asks_for' => PackRequest::class];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /**
     * @return HasMany<self, $this>
     */
    public function answers(): HasMany
    {
        return $this->hasMany(self::class, 'answers_id');
    }
}
