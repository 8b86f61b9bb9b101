<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link that signs its person in once. Only the hash of what stands in it is kept; a new one ends the one before.
 *
 * @property int $id
 * @property int $user_id
 * @property string $hash
 * @property Carbon $ends_at
 * @property-read User $user
 */
final class SignInLink extends Model
{
    /** Minutes for which one holds. */
    public const MINUTES = 15;

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['ends_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function hashOf(#[\SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }

    public static function holding(#[\SensitiveParameter] string $token): ?self
    {
        return self::query()->where('hash', self::hashOf($token))->where('ends_at', '>', now())->with('user')->first();
    }
}
