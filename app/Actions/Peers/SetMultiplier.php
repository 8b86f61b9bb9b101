<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Actions\Peers\Concerns\BeforeResults;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionFactor;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;

/**
 * A coordinator sets what one member's mark is multiplied by, with a reason, or goes back to what was worked out.
 */
final class SetMultiplier
{
    use BeforeResults;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  BigDecimal|null  $instead  0 to 3; null: what was worked out
     *
     * @throws Refused
     */
    public function __invoke(
        Contribution $contribution, User $member, ?BigDecimal $instead, string $reason, User $by,
    ): void {
        DB::transaction(function () use ($contribution, $member, $instead, $reason, $by): void {
            Assignment::query()->lockForUpdate()->findOrFail($contribution->assignment_id);
            $factor = ContributionFactor::query()->where('contribution_id', $contribution->id)
                ->whereHas('script', fn ($script) => $script->where('student_id', $member->id))
                ->lockForUpdate()->with('script')->first()
                    ?? throw new Refused((string) __('contribution.no_factor'));
            $this->beforeResults(collect([$factor->script_id]));
            $factor->update([
                'instead' => $instead === null ? null : (string) $instead, 'reason' => $reason, 'set_by' => $by->id,
                'set_at' => now(),
            ]);
            $this->logbook->write(
                Entry::of($instead === null ? LogEvent::MultiplierWorkedOut : LogEvent::MultiplierSet)
                    ->on($member)->in($contribution->assignment)->because($reason)
                    ->with(factor: $instead === null ? null : (string) $instead)->by($by),
            );
        });
    }
}
