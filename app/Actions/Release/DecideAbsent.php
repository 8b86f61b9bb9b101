<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\CaseKind;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\Script;
use App\Models\User;
use App\Queries\Release\Absent;
use Illuminate\Support\Facades\DB;

/**
 * Gives everyone who handed in nothing, and of whom nothing is decided, what the assignment says: a step people take,
 * never one that happens by itself.
 */
final class DecideAbsent
{
    public function __construct(private readonly OpenCase $open, private readonly Absent $absent)
    {
    }

    /**
     * @return int how many
     *
     * @throws Refused when the assignment says nothing, or nobody is left
     */
    public function __invoke(Assignment $assignment, User $by): int
    {
        $kind = CaseKind::tryFrom($assignment->release->absent->value ?? '');
        $kind ?? throw new Refused(
            'This assignment does not say what someone gets who handed in nothing. Say it under Plan, or decide on each student’s page.',
        );

        return DB::transaction(function () use ($assignment, $kind, $by): int {
            $scripts = $this->absent->of($assignment);
            $scripts->isEmpty() && throw new Refused('Nobody is left who handed in nothing and has no decision.');
            $scripts->each(
                fn (Script $script) => ($this->open)($script, $kind, '', (string) __('cases.as_assignment'), $by)
            );

            return $scripts->count();
        });
    }
}
