<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A result that is written and not out: nobody sees it before the release it belongs to is out as a whole.
 *
 * @property int $release_id
 * @property int $script_id
 * @property string $public_id
 * @property array<string, mixed> $document
 * @property string|null $mark
 * @property string|null $band
 * @property string $stamp of what it was made from
 */
final class PreparedResult extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'script_id';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
