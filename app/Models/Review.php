<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\AttachedText;
use App\Enums\ReviewGround;
use App\Enums\ReviewState;
use App\Handins\WorkReader;
use App\Models\Concerns\HasAttachedFile;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A student's wish that a mark be looked at again, and what came of it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property int $result_id
 * @property ReviewGround $ground
 * @property string $text
 * @property ReviewState $state
 * @property Carbon $answer_by
 * @property int|null $with_id who looks at it
 * @property string $advice of theirs, for coordinators
 * @property Carbon|null $advised_at
 * @property int|null $decided_by
 * @property Carbon|null $decided_at
 * @property string $answer as the student reads it
 * @property int|null $new_result_id
 * @property Carbon $created_at
 * @property-read Script $script
 * @property-read Result $result
 * @property-read User|null $reader who looks at it
 * @property-read User|null $decider
 */
final class Review extends Model
{
    use HasAttachedFile;
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['file_path', 'file_text'];

    protected function casts(): array
    {
        return [
            'ground' => ReviewGround::class, 'state' => ReviewState::class, 'answer_by' => 'datetime',
            'advised_at' => 'datetime', 'file_state' => AttachedText::class, 'decided_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsTo<Result, $this>
     */
    public function result(): BelongsTo
    {
        return $this->belongsTo(Result::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function reader(): BelongsTo
    {
        return $this->belongsTo(User::class, 'with_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }

    /** What the student wrote, as someone reads it who is not to know their name. */
    public function textWithoutNames(): string
    {
        return $this->withoutNames($this->text);
    }

    public function masks(): array
    {
        return WorkReader::masks($this->script->group()->map(fn (Script $script) => $script->student));
    }
}
