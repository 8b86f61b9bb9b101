<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\LogEvent;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use LogicException;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\ChainedLine;

/**
 * One line of the logbook, chained to the one before it. Whom and what it names is known by random ids and script
 * codes, so that a person can be erased and the line holds.
 *
 * @property int $number
 * @property string $at
 * @property string|null $actor public id of who did it; null for the application
 * @property string|null $module public id
 * @property string|null $assignment public id
 * @property LogEvent $event
 * @property string|null $subject_kind script, person, assignment, module, rubric
 * @property string|null $subject a script's code, or a public id
 * @property array<string, mixed> $details
 * @property array<string, string> $texts what the line commits to of each free text
 * @property string $hash
 * @property string|null $content_hash of a line whose content was let go
 * @property-read User|null $person who did it, while they are known
 * @property-read Collection<int, LogbookText> $words
 */
final class LogbookLine extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'number';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['event' => LogEvent::class, 'details' => 'array', 'texts' => 'array'];
    }

    protected static function booted(): void
    {
        self::updating(fn () => throw new LogicException('A line of the logbook never changes.'));
        self::deleting(fn () => throw new LogicException('A line of the logbook is never removed.'));
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'actor', 'public_id');
    }

    /**
     * The free texts that stand beside it.
     *
     * @return HasMany<LogbookText, $this>
     */
    public function words(): HasMany
    {
        return $this->hasMany(LogbookText::class, 'number', 'number');
    }

    /** A free text of the line; null when there is none, or it was erased. */
    public function text(string $field): ?string
    {
        return $this->words->firstWhere('field', $field)?->text;
    }

    public function when(): Carbon
    {
        return Carbon::parse($this->at, 'UTC');
    }

    /**
     * As it stands in the chain. A text that is there must be the one it was written with; one that was erased is gone.
     */
    public function toCore(): ChainedLine
    {
        if ($this->content_hash !== null) {
            return ChainedLine::hidden($this->number, $this->hash, $this->content_hash);
        }
        foreach ($this->words as $text) {
            if (
                $text->text !== null
                && Chain::commitment((string) $text->salt, $text->text) !== ($this->texts[$text->field] ?? null)
            ) {
                return ChainedLine::broken($this->number, $this->hash);
            }
        }

        return ChainedLine::whole($this->number, $this->hash, [
            'at' => $this->at, 'actor' => $this->actor, 'module' => $this->module, 'assignment' => $this->assignment,
            'event' => $this->getRawOriginal('event'), 'subject_kind' => $this->subject_kind,
            'subject' => $this->subject,
            'details' => $this->details, 'texts' => $this->texts,
        ]);
    }
}
