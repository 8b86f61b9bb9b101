<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\ReportState;
use App\Models\Concerns\HasPublicId;
use Database\Factories\DraftCheckFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Overlap\Figures;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOutChoices;
use YoungHarbor\Core\Overlap\MatchedSource;

/**
 * A draft that a student had checked before handing in. Nobody else sees it and nothing is ever compared with it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property int $student_id
 * @property int $words
 * @property string $text
 * @property list<string> $notes
 * @property list<array{name: string, kind: string, path: string}>|null $files still to be read; null once they are
 * @property ReportState $state
 * @property int $compared
 * @property int $to_compare
 * @property string|null $share
 * @property array{words: int, places: list<array{string, int, int}>, matches: list<array{int, list<list<array{int, int, int}>>, list<list<array{int, int, int}>>}>}|null $found
 * @property string|null $failure what could not be looked at, or read
 * @property Carbon $created_at
 * @property-read Script $script
 */
final class DraftCheck extends Model
{
    /** @use HasFactory<DraftCheckFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['notes' => 'array', 'files' => 'array', 'found' => 'array', 'state' => ReportState::class];
    }

    /** Its figures, with what its assignment leaves out. */
    public function figures(): Figures
    {
        $found = $this->found ?? ['words' => $this->words, 'places' => [], 'matches' => []];
        $matched = array_map(
            fn (array $match) => MatchedSource::kept(OverlapSource::nameOf($match[0]), $match[1], $match[2]),
            $found['matches'],
        );
        $assignment = $this->script->assignment;

        return Figures::of(
            $found['words'],
            array_map(fn (array $place) => new Interval($place[0], $place[1], $place[2]), $found['places']),
            array_merge(...array_map(fn (MatchedSource $one) => $one->runs, $matched)),
            array_merge(...array_map(fn (MatchedSource $one) => $one->close, $matched)),
            new LeftOutChoices($assignment->screening->quotations, $assignment->screening->bibliography),
        );
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /** Checks a student has left. One that failed does not count. */
    public static function left(Assignment $assignment, User $student): int
    {
        $used = self::query()->where('student_id', $student->id)->where('state', '<>', 'failed')
            ->whereHas('script', fn ($query) => $query->where('assignment_id', $assignment->id))->count();

        return max(0, $assignment->self_checks - $used);
    }
}
