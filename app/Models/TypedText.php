<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a student is typing for an assignment, kept as it is typed. Nobody else sees it.
 *
 * @property int $id
 * @property int $script_id
 * @property int $student_id
 * @property string $text
 * @property int $lock_version
 * @property Carbon $updated_at
 */
final class TypedText extends Model
{
    protected $guarded = [];
}
