<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What one member gave another, or themself. Staff alone see whose it is.
 *
 * @property int $id
 * @property int $contribution_id
 * @property int $rater_id a script
 * @property int $rated_id a script
 * @property list<int> $points 0 to 4 for each criterion, in their order
 * @property string $note to staff
 */
final class ContributionRating extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['points' => 'array'];
    }

    public function total(): int
    {
        return array_sum($this->points);
    }
}
