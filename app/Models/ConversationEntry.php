<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\ConversationFinding;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * One entry of a script's conversation record: what a person found, and why. Entries are added, never changed.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property int $handin_id
 * @property ConversationFinding $found
 * @property string $why
 * @property array{sum?: string, close?: string, sources?: list<string>, passage?: string|null, writing?: list<string>} $seen
 * @property string|null $questions prepared for a talk
 * @property bool $student_sees
 * @property Carbon|null $student_read_at when its student first opened it
 * @property bool $held
 * @property Carbon $created_at
 * @property-read User $by
 * @property-read Script $script
 */
final class ConversationEntry extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'found' => ConversationFinding::class, 'seen' => 'array', 'held' => 'boolean', 'student_sees' => 'boolean',
            'student_read_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'written_by');
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /** Names someone on the staff who may see the record of a script. */
    public static function letSee(Script $script, User $person, User $by): void
    {
        DB::table('conversation_people')->insertOrIgnore([
            'script_id' => $script->id, 'user_id' => $person->id, 'named_by' => $by->id, 'created_at' => now(),
            'updated_at' => now(),
        ]);
    }
}
