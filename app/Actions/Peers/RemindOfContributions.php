<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\Contribution;
use App\Peers\TellOfContribution;
use Illuminate\Support\Facades\DB;

/**
 * Reminds members of groups once, a day before it is due, that they have not said who did how much.
 */
final class RemindOfContributions
{
    private const HOURS = 24;

    public function __construct(private readonly TellOfContribution $tell)
    {
    }

    public function __invoke(): void
    {
        Contribution::query()->whereNotNull('opened_at')->whereNull('closed_at')->whereNull('reminded_at')
            ->whereBetween('due_at', [now(), now()->addHours(self::HOURS)])->with('assignment.module')
            ->eachById(fn (Contribution $one) => DB::transaction(function () use ($one): void {
                $this->tell->remind($one);
                $one->update(['reminded_at' => now()]);
            }));
    }
}
