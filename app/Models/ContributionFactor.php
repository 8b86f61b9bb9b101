<?php

declare(strict_types=1);

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marks\Contribution as Step;

/**
 * What a member's part comes to, and what a coordinator set in its place.
 *
 * @property int $id
 * @property int $contribution_id
 * @property int $script_id
 * @property string $factor exact: a fraction
 * @property string|null $instead the multiplier that was set by hand
 * @property string|null $reason
 * @property int|null $set_by
 * @property Carbon|null $set_at
 * @property-read Contribution $contribution
 * @property-read Script $script
 */
final class ContributionFactor extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['set_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Contribution, $this>
     */
    public function contribution(): BelongsTo
    {
        return $this->belongsTo(Contribution::class);
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    public function toCore(): Step
    {
        $settings = $this->contribution->settings;

        return new Step(
            BigRational::of($this->factor), $settings->weight, $settings->floor, $settings->cap,
            $this->instead === null ? null : BigDecimal::of($this->instead),
        );
    }
}
