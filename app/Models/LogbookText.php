<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A free text beside a line of the logbook. Erased, it leaves the line as it was and a gap that says so.
 *
 * @property int $number of its line
 * @property string $field
 * @property string|null $salt gone with the text
 * @property string|null $text null once erased
 */
final class LogbookText extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $guarded = [];

    /** Takes the text away for good. */
    public function erase(): void
    {
        self::query()->where('number', $this->number)->where('field', $this->field)
            ->update(['text' => null, 'salt' => null]);
    }
}
