<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Enums\KeepingState;
use App\Models\KeepingDecision;

/**
 * Every night: what was confirmed goes, one decision after the other, so that one that fails stops no other; then who
 * looks after things is told what has fallen due.
 */
final class LetGoWhatIsDecided
{
    public function __construct(private readonly LetGo $letGo, private readonly TellOfDueThings $tell)
    {
    }

    public function __invoke(): void
    {
        KeepingDecision::query()->where('state', KeepingState::Confirmed)->where('goes_at', '<=', now())->orderBy('id')
            ->get()->each(fn (KeepingDecision $one) => rescue(fn () => ($this->letGo)($one)));
        ($this->tell)();
    }
}
