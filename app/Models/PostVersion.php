<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A post as it stood before it was changed.
 *
 * @property int $id
 * @property int $post_id
 * @property string $text
 * @property string $masked with nobody of the discussion named
 * @property Carbon $written_at
 * @property Carbon $created_at when something else took its place
 */
final class PostVersion extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['written_at' => 'datetime', 'created_at' => 'datetime'];
    }
}
