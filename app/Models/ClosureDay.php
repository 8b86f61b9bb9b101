<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A day on which the institution is closed.
 *
 * @property int $id
 * @property int $module_id
 * @property Carbon $day
 * @property string $name
 */
final class ClosureDay extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['day' => 'date'];
    }
}
