<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\ReportState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

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
 * @property ReportState $state
 * @property int $compared
 * @property int $to_compare
 * @property string|null $share
 * @property list<array{int, int}>|null $pieces
 * @property Carbon $created_at
 * @property-read Script $script
 */
final class DraftCheck extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['notes' => 'array', 'pieces' => 'array', 'state' => ReportState::class];
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }
}
