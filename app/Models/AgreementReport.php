<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Figures on how alike an assignment is marked, as they were last worked out.
 *
 * @property int $id
 * @property int $assignment_id
 * @property string $digest of the marks it was worked out from
 * @property array<string, mixed> $figures everything but single scripts
 * @property list<array{key: string, code: string, markers: list<string>, marks: list<float>, weight: float}> $pairs
 * @property Carbon $updated_at
 */
final class AgreementReport extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['figures' => 'array', 'pairs' => 'array'];
    }
}
