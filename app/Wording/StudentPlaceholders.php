<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Assignment;
use App\Models\Script;

/**
 * What a mail to students may leave to be filled in for each.
 */
final class StudentPlaceholders
{
    public const ALL = ['name', 'first name', 'assignment', 'module', 'due', 'link'];

    /**
     * What stands for each placeholder in the mail to one student.
     *
     * @return array<string, string>
     */
    public static function of(Assignment $assignment, Script $script): array
    {
        return [
            'name' => $script->student->name,
            'first name' => $script->student->given_name
                ?? (strtok($script->student->name, ' ') ?: $script->student->name),
            'assignment' => $assignment->title, 'module' => $assignment->module->fullTitle(),
            'due' => LocalTime::shown($script->due_at), 'link' => route('hand-in.show', $assignment),
        ];
    }
}
