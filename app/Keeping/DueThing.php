<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Enums\KeepingState;
use App\Models\Assignment;
use App\Models\KeepingDecision;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Keeping\Kind;

/**
 * Something whose period is over, or will be.
 */
final readonly class DueThing
{
    /**
     * @param  Assignment|null  $assignment  null: of the institution
     * @param  int  $months  for which it is kept
     * @param  Carbon|null  $over  when what it belongs to was over; null where each part counts by itself
     * @param  Carbon  $due  from which day it is to go
     * @param  int  $count  how many scripts have some of it, or how many entries there are
     * @param  int  $held  how many of those are held
     * @param  KeepingDecision|null  $decision  the last that stands
     */
    public function __construct(
        public Kind $kind,
        public ?Assignment $assignment,
        public int $months,
        public ?Carbon $over,
        public Carbon $due,
        public int $count,
        public int $held,
        public ?KeepingDecision $decision,
    ) {
    }

    /** As forms name it. */
    public function key(): string
    {
        return self::keyOf($this->kind, $this->assignment?->public_id);
    }

    public static function keyOf(Kind $kind, ?string $assignment): string
    {
        return "{$kind->value}:{$assignment}";
    }

    /** What of it may go. */
    public function free(): int
    {
        return $this->count - $this->held;
    }

    public function isConfirmed(): bool
    {
        return $this->decision?->state === KeepingState::Confirmed;
    }

    /** Whether somebody said that it stays, and until when. */
    public function isKept(): bool
    {
        return $this->decision?->state === KeepingState::Longer && $this->decision->keep_until?->isFuture() === true;
    }

    /** Whether somebody is to say what becomes of it. */
    public function waits(): bool
    {
        return $this->due->isPast() && $this->free() > 0 && ! $this->isConfirmed() && ! $this->isKept();
    }
}
