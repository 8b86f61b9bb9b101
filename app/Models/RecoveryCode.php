<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A code that does once in place of the one from a phone. Only its hash is kept.
 *
 * @property int $id
 * @property int $user_id
 * @property string $hash
 * @property Carbon|null $used_at
 */
final class RecoveryCode extends Model
{
    /** How many someone is given. */
    public const GIVEN = 10;

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['used_at' => 'datetime'];
    }

    /** A code as it is kept: 50 random bits need no slow hash. */
    public static function hashOf(#[\SensitiveParameter] string $code): string
    {
        return hash('sha256', (string) preg_replace('/[^A-Z2-7]/', '', strtoupper($code)));
    }
}
