<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\OverlapSource;
use App\Models\User;
use App\Models\WritingBaseline;

/**
 * Adds the module's texts of one assignment and cohort in the archive to a baseline.
 */
final class AddArchiveToBaseline
{
    public function __construct(private readonly AddToBaseline $add)
    {
    }

    /**
     * @return array{added: int, already: int}
     */
    public function __invoke(WritingBaseline $baseline, string $title, string $cohort, User $by): array
    {
        $sources = OverlapSource::past($baseline->module_id)->where('title', $title)->where('cohort', $cohort)
            ->with('handin:id,text')->orderBy('id')->get();

        return ($this->add)(
            $baseline,
            array_values(
                $sources->map(
                    fn (OverlapSource $source): array => [
                        trim("{$source->title}, {$source->cohort}", ', '), $source->fullText(),
                    ]
                )->all()
            ),
            $by,
        );
    }
}
