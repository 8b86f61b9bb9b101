<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\AskedState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * First remarks of an outside writing assistant on a draft. Its student's alone until they share it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $draft_check_id
 * @property int $script_id
 * @property int $student_id
 * @property AskedState $state
 * @property string|null $failure
 * @property string|null $assistant
 * @property bool $simulated
 * @property list<array{criterion: string|null, quote: string|null, text: string, sure: string}>|null $remarks
 * @property string|null $cannot_see
 * @property list<int>|null $used places of the remarks that the student says they used; null: not said
 * @property Carbon|null $shared_at since when staff may read it
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read DraftCheck $draft
 * @property-read Script $script
 * @property-read User $student
 */
final class FirstFeedback extends Model
{
    use HasPublicId;

    /** Minutes: longer than two tries of a worker. */
    private const LOST_AFTER = 10;

    protected $table = 'first_feedback';

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'state' => AskedState::class, 'simulated' => 'boolean', 'remarks' => 'array', 'used' => 'array',
            'shared_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<DraftCheck, $this>
     */
    public function draft(): BelongsTo
    {
        return $this->belongsTo(DraftCheck::class, 'draft_check_id');
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function student(): BelongsTo
    {
        return $this->belongsTo(User::class, 'student_id');
    }

    /** Whether its answer has been waited for so long that whoever asked for it must have been stopped. */
    public function isLost(): bool
    {
        return $this->state === AskedState::Asked && $this->updated_at->lt(now()->subMinutes(self::LOST_AFTER));
    }

    /** How often a student can still ask. What failed does not count. */
    public static function left(Script $script): int
    {
        return max(0, $script->assignment->first_feedback - self::query()->where('script_id', $script->id)
            ->where('state', '<>', AskedState::Failed)->get()->reject(fn (self $one) => $one->isLost())->count());
    }
}
