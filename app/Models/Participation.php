<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a student wrote in a discussion, in numbers, and how far it was frozen. Written by CountParticipation and
 * FreezeDiscussion alone.
 *
 * @property int $script_id
 * @property int $posts
 * @property int $replies
 * @property int $short
 * @property int $words
 * @property Carbon|null $first_at
 * @property bool $below
 * @property Carbon|null $frozen_at
 * @property Carbon|null $frozen_for the close it was frozen at
 * @property int|null $frozen_to the last post in it
 */
final class Participation extends Model
{
    protected $primaryKey = 'script_id';

    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'first_at' => 'datetime', 'below' => 'boolean', 'frozen_at' => 'datetime', 'frozen_for' => 'datetime',
        ];
    }
}
