<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * What a student set on a trial script.
 *
 * @property int $id
 * @property int $trial_script_id
 * @property int $round_member_id
 * @property CriterionMarks $choices
 * @property string|null $total
 * @property Carbon|null $done_at
 * @property-read TrialScript $trial
 */
final class TrialMark extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['choices' => AsCoreValue::class.':'.CriterionMarks::class, 'done_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<TrialScript, $this>
     */
    public function trial(): BelongsTo
    {
        return $this->belongsTo(TrialScript::class, 'trial_script_id');
    }

    public function exactTotal(): BigDecimal
    {
        return BigDecimal::of((string) $this->total)->toScale($this->trial->rubric()->decimals);
    }
}
