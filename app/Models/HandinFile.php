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
 * @property string|null $clean_path the copy staff get
 * @property string|null $clean_kind
 * @property string|null $link the address, when a link was handed in
 * @property int $bytes
 * @property string $sha256
 * @property int $words
 */
final class HandinFile extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $hidden = ['original_name', 'path', 'clean_path', 'link'];
}
