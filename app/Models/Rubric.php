<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\RubricScope;
use App\Enums\RubricState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Rubric\Draft;

/**
 * A rubric in its life: the working copy, and the versions that were made ready from it.
 *
 * @property int $id
 * @property string $public_id
 * @property RubricScope $scope
 * @property int|null $module_id
 * @property int|null $owner_id
 * @property string $title
 * @property string $provenance where it was made from, in words
 * @property int $step
 * @property string $words
 * @property int $criteria
 * @property string $kinds
 * @property RubricState $state
 * @property array<string, mixed> $document
 * @property int $lock_version
 * @property int $saved_by
 * @property Carbon $updated_at
 * @property-read Module|null $module
 * @property-read User|null $owner
 * @property-read User $savedBy
 * @property-read Collection<int, RubricVersion> $versions
 * @property-read RubricVersion|null $latestVersion
 */
final class Rubric extends Model
{
    use HasPublicId;

    protected $guarded = [];

    private ?Draft $draft = null;

    private string $draftOf = '';

    protected static function booted(): void
    {
        // What the library searches follows from the document.
        self::saving(function (Rubric $rubric): void {
            if ($rubric->isDirty('document')) {
                $draft = $rubric->draft();
                $kinds = array_unique(
                    array_map(fn (array $criterion) => Draft::kindOf($criterion)->value, $draft->criteria())
                );
                sort($kinds);
                $rubric->words = $draft->words();
                $rubric->criteria = count($draft->criteria());
                $rubric->kinds = implode(
                    ' ', $kinds === ['levels'] && count($draft->criteria()) === 1 ? ['holistic'] : $kinds,
                );
            }
        });
    }

    protected function casts(): array
    {
        return ['state' => RubricState::class, 'scope' => RubricScope::class, 'document' => 'array'];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function savedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'saved_by');
    }

    /**
     * @return HasMany<RubricVersion, $this>
     */
    public function versions(): HasMany
    {
        return $this->hasMany(RubricVersion::class);
    }

    /**
     * @return HasOne<RubricVersion, $this>
     */
    public function latestVersion(): HasOne
    {
        return $this->hasOne(RubricVersion::class)->latestOfMany('number');
    }

    /**
     * @return HasMany<RubricStep, $this>
     */
    public function steps(): HasMany
    {
        return $this->hasMany(RubricStep::class);
    }

    public function draft(): Draft
    {
        // A large document is decoded once, not at every look.
        $stored = (string) ($this->getAttributes()['document'] ?? '{}');
        if ($this->draft === null || $this->draftOf !== $stored) {
            [$this->draft, $this->draftOf] = [Draft::of($this->document), $stored];
        }

        return $this->draft;
    }

    /** Where it belongs, in words. */
    public function place(): string
    {
        return match ($this->scope) {
            RubricScope::Module => $this->module?->fullTitle() ?? '',
            RubricScope::Person => 'personal',
            RubricScope::Institution => (string) config('harbor.institution'),
        };
    }
}
