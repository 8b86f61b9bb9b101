<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file made from the text of an attempt as markers read it, for taking away.
 *
 * @property int $id
 * @property int $handin_id
 * @property string $kind docx, odt, html or pdf
 * @property string $path
 */
final class HandinCopy extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $hidden = ['path'];
}
