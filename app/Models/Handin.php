<?php

declare(strict_types=1);

namespace App\Models;

use App\Extraction\CopyWriter;
use App\Extraction\FileKind;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marks\Length;

/**
 * One attempt as it was handed in. Every attempt is kept.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property int $attempt
 * @property int $handed_in_by
 * @property int $bytes
 * @property string $sha256
 * @property int $words 0 until it was read
 * @property int $hidden_words of them, that a reader of the file does not see
 * @property int $quoted_words
 * @property int $bibliography_words
 * @property string $text
 * @property string $html
 * @property bool $settable whether its text can be set as PDF here
 * @property list<string> $notes
 * @property Carbon $due_at
 * @property bool $late
 * @property Carbon $received_at when it arrived
 * @property Carbon $created_at when that was recorded
 * @property Carbon|null $read_at
 * @property Carbon|null $erased_at since when its text and files are gone
 * @property int $files_read so far
 * @property string|null $unreadable why it could not be read, as its student is told; then it does not count
 * @property list<array{label: string, answer: string}>|null $declaration
 * @property list<array{place: string, fate: string, times: int, around?: list<string>}> $identity where its author was named in it
 * @property Carbon|null $prepared_at when pages and pictures had been looked through for names
 * @property string|null $prepare_failure
 * @property string|null $alone hidden or left: what a coordinator decided of a family name that stands alone in it
 * @property list<array{kind: string, words?: string, note?: string}>|null $hidden white or tiny text, pages without text
 * @property string $seal of the receipt
 * @property-read Collection<int, HandinFile> $files
 * @property-read Script $script
 * @property-read OverlapReport|null $report
 * @property-read WritingReport|null $writing
 * @property-read User $by
 */
final class Handin extends Model
{
    use HasPublicId;

    public $incrementing = false;

    protected $guarded = [];

    protected static function booted(): void
    {
        self::creating(function (self $handin): void {
            $handin->id ??= Work::query()->insertGetId(['script_id' => $handin->script_id, 'kind' => Work::HANDIN]);
        });
        // Looked for when the text is written, not at each look at it.
        self::saving(function (self $handin): void {
            $handin->isDirty('text') && $handin->settable = CopyWriter::canSet($handin->text);
        });
    }

    protected function casts(): array
    {
        return [
            'notes' => 'array', 'declaration' => 'array', 'identity' => 'array', 'hidden' => 'array',
            'prepared_at' => 'datetime', 'read_at' => 'datetime', 'erased_at' => 'datetime', 'due_at' => 'datetime', 'late' => 'boolean', 'settable' => 'boolean',
            'received_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'handed_in_by');
    }

    /**
     * @return HasMany<HandinFile, $this>
     */
    public function files(): HasMany
    {
        return $this->hasMany(HandinFile::class)->orderBy('position');
    }

    /**
     * @return HasMany<HandinCopy, $this>
     */
    public function copies(): HasMany
    {
        return $this->hasMany(HandinCopy::class);
    }

    /** Where reading is: "file 2 of 3"; null once it ended. */
    public function reading(): ?string
    {
        if ($this->read_at !== null) {
            return null;
        }

        return $this->files->count() === 1
            ? 'It is being read'
            : "Read: {$this->files_read} of {$this->files->count()} files";
    }

    /** Whether its text was erased with its student. */
    public function isErased(): bool
    {
        return $this->erased_at !== null;
    }

    public function length(): Length
    {
        return new Length($this->words, $this->hidden_words, $this->quoted_words, $this->bibliography_words);
    }

    /** Whether nothing was handed in with it: it says when and where someone is observed. */
    public function isSlot(): bool
    {
        return $this->files->contains(fn (HandinFile $file) => $file->kind === FileKind::Slot->value);
    }

    /** What was handed in, as its student names it. */
    public function names(): string
    {
        return $this->files->pluck('original_name')->implode(', ');
    }

    /**
     * @return HasOne<WritingReport, $this>
     */
    public function writing(): HasOne
    {
        return $this->hasOne(WritingReport::class);
    }

    /**
     * @return HasOne<OverlapReport, $this>
     */
    public function report(): HasOne
    {
        return $this->hasOne(OverlapReport::class);
    }
}
