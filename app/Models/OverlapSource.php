<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\SourceKind;
use App\Models\Concerns\HasPublicId;
use Database\Factories\OverlapSourceFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Overlap\Grams;

/**
 * A text that others are compared with: a hand-in that counts, a text of the archive, or a page of the open web as it
 * was when it was fetched.
 *
 * @property int $id
 * @property string $public_id
 * @property SourceKind $kind
 * @property int|null $shelf
 * @property int|null $handin_id
 * @property int|null $module_id
 * @property string $title
 * @property string $cohort
 * @property string|null $url
 * @property string|null $sha256
 * @property string|null $text
 * @property int $words
 * @property string $numbers
 * @property Carbon|null $fetched_at
 * @property Carbon|null $indexed_at
 * @property Carbon|null $taken_out_at
 * @property int|null $taken_out_by
 * @property string|null $taken_out_reason
 * @property Carbon $created_at
 * @property-read Handin|null $handin
 */
final class OverlapSource extends Model
{
    /** @use HasFactory<OverlapSourceFactory> */
    use HasFactory;

    use HasPublicId;

    /** The shelf of the archive; every assignment is a shelf of its own. */
    public const ARCHIVE = 0;

    protected $guarded = [];

    protected $hidden = ['numbers'];

    protected function casts(): array
    {
        return [
            'kind' => SourceKind::class, 'fetched_at' => 'datetime', 'indexed_at' => 'datetime',
            'taken_out_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function handin(): BelongsTo
    {
        return $this->belongsTo(Handin::class);
    }

    /**
     * Texts of a module’s archive that may be trusted as a baseline: what is being marked now is compared with one, not
     * put into one.
     *
     * @return Builder<self>
     */
    public static function past(int $moduleId): Builder
    {
        return self::query()->where('kind', SourceKind::Archive)->where('module_id', $moduleId)
            ->whereNull('taken_out_at')
            ->where(
                fn ($query) => $query->whereNull('handin_id')->orWhereHas(
                    'handin.script.assignment', fn ($assignment) => $assignment->whereNotNull('results_out_at'),
                )
            );
    }

    /** The name under which figures are worked out: ties fall the same way each time. */
    public function name(): string
    {
        return self::nameOf($this->id);
    }

    public static function nameOf(int $id): string
    {
        return sprintf('%012d', $id);
    }

    public function fullText(): string
    {
        return $this->text ?? $this->handin->text ?? '';
    }

    /**
     * @param  list<string>  $words  normalised
     */
    public static function packed(array $words): string
    {
        return pack('J*', ...Grams::numbers($words));
    }

    /**
     * @return list<int>
     */
    public function unpacked(): array
    {
        return array_values(unpack('J*', $this->numbers) ?: []);
    }
}
