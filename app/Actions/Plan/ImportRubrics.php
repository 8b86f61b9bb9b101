<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Models\Module;
use App\Models\Rubric;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Takes all rubrics of a file into the library, or none.
 */
final class ImportRubrics
{
    public function __construct(private readonly AddRubric $add)
    {
    }

    /**
     * @param  list<Draft>  $drafts
     * @return list<Rubric>
     */
    public function __invoke(array $drafts, User $person, ?Module $module, string $file, bool $institution): array
    {
        return DB::transaction(fn (): array => array_map(
            fn (Draft $draft): Rubric => ($this->add)($draft, $person, $module, "imported from {$file}", $institution),
            $drafts,
        ));
    }
}
