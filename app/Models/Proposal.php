<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * An agreed mark that one marker proposes to the other, with a reason.
 *
 * @property int $id
 * @property int $script_id
 * @property int $proposed_by
 * @property string $mark
 * @property CriterionMarks $choices criterion by criterion; empty where only a total is proposed
 * @property Feedback $feedback whose comments the student is to read
 * @property string $reason
 * @property string $state
 * @property int|null $accepted_by
 * @property Carbon $created_at
 * @property-read User $proposer
 */
final class Proposal extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'choices' => AsCoreValue::class.':'.CriterionMarks::class,
            'feedback' => AsCoreValue::class.':'.Feedback::class,
        ];
    }

    public function shownMark(): string
    {
        return Figure::plain(BigDecimal::of($this->mark));
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function proposer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'proposed_by');
    }
}
