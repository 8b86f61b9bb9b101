<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Models\AssignmentTemplate;
use App\Models\Script;
use App\Models\User;

/**
 * Keeps when a student first took a copy of a template: a step on the cohort page.
 */
final class NoteTemplateTaken
{
    public function __invoke(AssignmentTemplate $template, User $student): void
    {
        Script::query()->where('assignment_id', $template->assignment_id)->where('student_id', $student->id)
            ->whereNull('template_taken_at')->update(['template_taken_at' => now()]);
    }
}
