<?php

declare(strict_types=1);

namespace App\Models;

use App\Handins\WorkReader;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Names\Mask;

/**
 * What a student wrote about their feedback.
 *
 * @property int $script_id
 * @property string $public_id
 * @property list<array{prompt: string, text: string}> $answers
 * @property int $words  of all
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read Script $script
 */
final class Reflection extends Model
{
    use HasPublicId;

    public $incrementing = false;

    protected $primaryKey = 'script_id';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['answers' => 'array'];
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return list<array{prompt: string, text: string}>
     */
    public function answersWithoutNames(): array
    {
        $masks = WorkReader::masks($this->script->group()->map(fn (Script $one) => $one->student));

        return array_map(fn (array $one) => [
            'prompt' => $one['prompt'],
            'text' => Mask::hideAll($masks, $one['text']),
        ], $this->answers);
    }
}
