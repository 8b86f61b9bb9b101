<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A student's mark in a module, as it was last worked out from what is released.
 *
 * @property int $membership_id
 * @property int $module_id
 * @property string|null $mark rounded; null where there is none
 * @property string|null $shown the mark at its decimals
 * @property string|null $band
 * @property bool $passed
 * @property bool $complete whether nothing is still to come
 * @property string|null $just_below the boundary it is borderline to
 * @property string $why there is none
 */
final class ModuleMark extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'membership_id';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['passed' => 'boolean', 'complete' => 'boolean'];
    }
}
