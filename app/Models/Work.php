<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a mark is about, whatever it is: a hand-in has one row here, and its id.
 *
 * @property int $id
 * @property int $script_id
 * @property string $kind
 */
final class Work extends Model
{
    public const HANDIN = 'handin';

    public $timestamps = false;

    protected $guarded = [];
}
