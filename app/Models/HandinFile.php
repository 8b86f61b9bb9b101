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
 * @property string|null $pages_path of a PDF: its pages drawn anew, without names
 * @property int|null $pages
 * @property list<int>|null $unread pages that hold a picture in which names could not be looked for
 * @property string|null $link the address, when a link was handed in
 * @property int $bytes
 * @property string $sha256
 * @property int $words
 */
final class HandinFile extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $hidden = ['original_name', 'path', 'pages_path', 'link'];

    protected function casts(): array
    {
        return ['unread' => 'array'];
    }
}
