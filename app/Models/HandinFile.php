<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One file of an attempt, as it came in.
 *
 * @property int $id
 * @property int $handin_id
 * @property int $position from 1
 * @property string $kind
 * @property string $original_name
 * @property string $path
 * @property int $bytes
 * @property string $sha256
 * @property int $words
 */
final class HandinFile extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $hidden = ['original_name', 'path'];
}
