<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marking\SampleRule;

/**
 * Scripts of an assignment that were chosen and drawn at one time to be marked a second time.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $number the first, second … of the assignment
 * @property int $seed
 * @property SampleRule $rule as it was when it was drawn
 * @property list<string> $boundaries
 * @property int $from scripts it was drawn from
 * @property int $drawn by lot
 * @property string $reason why it was drawn, after the first
 * @property Carbon $created_at
 * @property-read User $maker
 * @property-read Collection<int, SampledScript> $scripts
 */
final class Sample extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['rule' => AsCoreValue::class.':'.SampleRule::class, 'boundaries' => 'array'];
    }

    /**
     * The seed of the next sample of an assignment. It follows from the assignment and from how many samples it has, so
     * that nobody can draw until they like what comes.
     */
    public static function seedFor(Assignment $assignment): int
    {
        $next = 1 + (int) self::query()->where('assignment_id', $assignment->id)->max('number');

        return (int) hexdec(
            substr(hash_hmac('sha256', "{$assignment->public_id} {$next}", (string) config('app.key')), 0, 12),
        );
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /**
     * @return HasMany<SampledScript, $this>
     */
    public function scripts(): HasMany
    {
        return $this->hasMany(SampledScript::class);
    }
}
