<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What one student wrote on a sheet.
 *
 * @property int $id
 * @property int $sheet_id
 * @property int $user_id
 * @property list<array{prompt: string, text: string}> $answers
 * @property int $words
 * @property Carbon|null $done_at when it first had as many words as are asked for
 * @property Carbon $updated_at
 */
final class SheetAnswer extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['answers' => 'array', 'done_at' => 'datetime'];
    }
}
