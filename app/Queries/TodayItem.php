<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Assignment;
use App\Models\ReflectionSheet;
use Illuminate\Support\Carbon;

/**
 * One thing on Today: what it is, where it is done, and whether it waits for this person.
 */
final readonly class TodayItem
{
    public function __construct(
        public Assignment|ReflectionSheet $about,
        public string $what,
        public string $link,
        public string $step,
        public bool $needsYou,
        public ?Carbon $by = null,
        public string $byWhat = 'due',
    ) {
    }

    /** The page of what it is about. */
    public function page(): string
    {
        return $this->about instanceof ReflectionSheet ? $this->link : route('assignments.show', $this->about);
    }
}
