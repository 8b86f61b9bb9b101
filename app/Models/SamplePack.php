<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\PackReader;
use App\Enums\PackState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What a moderator or an external examiner is given to read and sign, frozen when it is sent.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property PackReader $reader
 * @property int $reader_id
 * @property PackState $state
 * @property bool $recordings whether voice and video, which identify people, are in it
 * @property array<string, mixed>|null $document what it holds of the assignment; null until it is sent
 * @property string $letter to the reader
 * @property string $statement the reader's
 * @property Carbon|null $sent_at
 * @property Carbon|null $signed_at
 * @property-read Assignment $assignment
 * @property-read User $person
 * @property-read Collection<int, PackScript> $scripts
 * @property-read Collection<int, PackNote> $notes
 */
final class SamplePack extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'reader' => PackReader::class, 'state' => PackState::class, 'recordings' => 'boolean',
            'document' => 'array', 'sent_at' => 'datetime', 'signed_at' => 'datetime',
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
     * Who reads it.
     *
     * @return BelongsTo<User, $this>
     */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'reader_id');
    }

    /**
     * @return HasMany<PackScript, $this>
     */
    public function scripts(): HasMany
    {
        return $this->hasMany(PackScript::class);
    }

    /**
     * @return HasMany<PackNote, $this>
     */
    public function notes(): HasMany
    {
        return $this->hasMany(PackNote::class);
    }
}
