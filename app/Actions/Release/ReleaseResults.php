<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\ReleaseState;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\User;
use App\Release\ReleasePlan;
use YoungHarbor\Core\Release\Scope;

/**
 * Releases results at once and waits until they are out: each becomes a document that no later change reaches, and its
 * student is told.
 */
final class ReleaseResults
{
    public function __construct(private readonly SetRelease $set, private readonly RunRelease $run)
    {
    }

    /**
     * @param  list<string>|null  $codes  script codes; null for every script that is ready
     * @return int how many were released
     *
     * @throws Refused when one that was asked for is not ready: then none goes out
     */
    public function __invoke(Assignment $assignment, ?array $codes, User $by): int
    {
        $release = ($this->set)(
            $assignment, new ReleasePlan($codes === null ? Scope::all() : Scope::codes($codes)), $by,
        );
        ($this->run)($release);
        $release->refresh();
        $release->state === ReleaseState::Out
            || throw new Refused("Nothing was released: {$release->refused}");
        $assignment->refresh();

        return $release->released;
    }
}
