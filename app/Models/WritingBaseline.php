<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\TrustedTexts;

/**
 * Trusted texts that the writing of scripts is compared with. Its version goes up whenever its texts change; a report
 * says with which version it was made.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property string $name
 * @property string $language
 * @property int $version
 * @property int $worked_out_version
 * @property int $size texts that belong
 * @property array<string, array{low: float, middle: float, high: float}>|null $spread by signal
 * @property string|null $failure
 * @property-read Module $module
 * @property-read Collection<int, WritingText> $texts those that are in it now
 */
final class WritingBaseline extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['spread' => 'array'];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    /**
     * @return HasMany<WritingText, $this>
     */
    public function texts(): HasMany
    {
        return $this->hasMany(WritingText::class)->whereNull('taken_out_version')->orderBy('id');
    }

    public function isWorkedOut(): bool
    {
        return $this->worked_out_version === $this->version;
    }

    /** The lowest alarm at which a text can be called unusual at all. */
    public function lowestAlarm(): float
    {
        return 1 / ($this->size + 1);
    }

    /** Its texts as they are compared with. */
    public function trusted(): TrustedTexts
    {
        return TrustedTexts::of(
            $this->texts->mapWithKeys(fn (WritingText $text) => [$text->id => Prose::of($text->text)])->all()
        );
    }
}
