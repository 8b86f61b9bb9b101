<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Rubric;

/**
 * A script whose marks staff have set, for students to try reviewing on.
 *
 * @property int $id
 * @property string $public_id
 * @property int $round_id
 * @property int $position
 * @property string $title
 * @property string $text
 * @property int $rubric_version_id
 * @property CriterionMarks $choices what staff set, and why, by criterion
 * @property string $total
 * @property-read Round $round
 * @property-read RubricVersion $rubricVersion
 */
final class TrialScript extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['choices' => AsCoreValue::class.':'.CriterionMarks::class];
    }

    /**
     * @return BelongsTo<Round, $this>
     */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /**
     * @return BelongsTo<RubricVersion, $this>
     */
    public function rubricVersion(): BelongsTo
    {
        return $this->belongsTo(RubricVersion::class);
    }

    public function rubric(): Rubric
    {
        return $this->rubricVersion->toCore()->only($this->round->settings->criteria);
    }

    public function exactTotal(): BigDecimal
    {
        return BigDecimal::of($this->total)->toScale($this->rubric()->decimals);
    }
}
