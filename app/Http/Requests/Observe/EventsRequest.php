<?php

declare(strict_types=1);

namespace App\Http\Requests\Observe;

use App\Http\Requests\GuardedRequest;
use App\Models\Mark;
use YoungHarbor\Core\Observing\Event;

/**
 * What an observer's device recorded, and what its clock says now.
 */
final class EventsRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['observe', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['now' => ['required', 'integer', 'min:0', 'max:'.Event::LATEST], 'events' => ['required', 'array', 'max:500'], 'events.*' => ['array']];
    }

    /**
     * @return list<array<array-key, mixed>>
     */
    public function events(): array
    {
        return array_values(array_filter((array) $this->input('events'), is_array(...)));
    }

    /** Milliseconds that the device's clock is ahead; the way here counts for nothing. */
    public function ahead(): int
    {
        $ahead = $this->integer('now') - (int) now()->getPreciseTimestamp(3);

        return abs($ahead) < 2000 ? 0 : $ahead;
    }
}
