<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Enums\RubricScope;
use App\Models\Rubric;
use App\Models\User;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Puts the rubrics that come with Young Harbor on the institution's shelf, ready to use and to copy. Those that are
 * there already, changed or not, are left alone.
 */
final class AddStarterSet
{
    public const PROVENANCE = 'came with Young Harbor';

    public function __construct(
        private readonly AddRubric $add,
        private readonly MakeRubricReady $ready,
    ) {
    }

    /**
     * @return int how many were added
     */
    public function __invoke(User $user): int
    {
        $there = Rubric::query()->where('scope', RubricScope::Institution)->where('provenance', self::PROVENANCE)
            ->pluck('title');
        $added = 0;
        foreach (require database_path('starter/rubrics.php') as $document) {
            if (! $there->contains($document['title'])) {
                $rubric = ($this->add)(Draft::of($document), $user, null, self::PROVENANCE, institution: true);
                ($this->ready)($rubric, $rubric->lock_version, $user);
                $added++;
            }
        }

        return $added;
    }
}
