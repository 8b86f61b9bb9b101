<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Eloquent\Model;
use YoungHarbor\Core\Observing\Event;
use YoungHarbor\Core\Observing\EventKind;

/**
 * One thing an observer's device recorded; never changed.
 *
 * @property int $id
 * @property int $mark_id
 * @property string $event made by the device
 * @property EventKind $kind
 * @property string $at by the server's clock, UTC with milliseconds
 * @property int $number
 * @property string $about
 * @property string $value
 */
final class ObservationEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => EventKind::class, 'number' => 'integer'];
    }

    public function toCore(): Event
    {
        return Event::of(
            $this->event, $this->kind, new DateTimeImmutable(
                $this->at, new DateTimeZone('UTC'),
            ), $this->number, $this->about,
            $this->value,
        );
    }
}
