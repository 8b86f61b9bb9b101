<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\Role;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Draws candidate numbers for students who have none. They tell nothing: no order of names, of numbers, of marks.
 */
final class DrawCandidateNumbers
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @return int how many were drawn
     */
    public function __invoke(Module $module, User $by): int
    {
        return DB::transaction(function () use ($module, $by): int {
            Module::query()->lockForUpdate()->findOrFail($module->id);
            $taken = array_fill_keys(
                $module->memberships()->whereNotNull('candidate_number')->pluck('candidate_number')->all(), true,
            );
            $without = $module->memberships()->where('role', Role::Student)->whereNull('candidate_number')->get();
            $without->each(function (Membership $member) use (&$taken): void {
                do {
                    $number = (string) random_int(100_000, 999_999);
                } while (isset($taken[$number]));
                $taken[$number] = true;
                $member->update(['candidate_number' => $number]);
            });
            $without->isEmpty() || $this->logbook->write(
                Entry::of(LogEvent::CandidateNumbersDrawn)->on($module)->with(drawn: $without->count())->by($by),
            );

            return $without->count();
        });
    }
}
