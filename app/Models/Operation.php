<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * When something that keeps the application going was done last, and how it went: the clock's heartbeat, a backup, a
 * walk of the logbook.
 *
 * @property string $name
 * @property Carbon $at
 * @property bool $ok
 * @property array<string, scalar|null> $facts figures, and why it failed
 */
final class Operation extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['at' => 'datetime', 'ok' => 'boolean', 'facts' => 'array'];
    }

    /**
     * @param  array<string, scalar|null>  $facts
     */
    public static function record(string $name, bool $ok, array $facts = []): void
    {
        self::query()->updateOrCreate(['name' => $name], ['at' => now(), 'ok' => $ok, 'facts' => $facts]);
    }
}
