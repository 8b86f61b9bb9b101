<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\CaseKind;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marks\Adjustment;

/**
 * Something decided for one student alone in one assignment, with its reason; kept when it is ended.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property CaseKind $kind
 * @property string|null $marks added, or taken off
 * @property string $reason for coordinators alone
 * @property int $decided_by
 * @property Carbon|null $ended_at
 * @property int|null $ended_by
 * @property string $ended_reason
 * @property Carbon $created_at
 * @property-read Script $script
 * @property-read User $decider
 * @property-read User|null $ender
 */
final class IndividualCase extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => CaseKind::class, 'ended_at' => 'datetime'];
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
    public function decider(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function ender(): BelongsTo
    {
        return $this->belongsTo(User::class, 'ended_by');
    }

    public function adjustment(): ?Adjustment
    {
        return $this->marks === null ? null : Adjustment::of($this->marks);
    }

    /** What it is: "deferred to a resit", "adjusted by +3". */
    public function inWords(): string
    {
        return (string) __("cases.words.{$this->kind->value}", ['marks' => $this->adjustment()?->inWords() ?? '']);
    }
}
