<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Models\AssignmentTemplate;
use App\Models\Script;
use App\Models\TypedText;
use Illuminate\Support\Facades\DB;

/**
 * Gives a student a copy of a template's text of their own, to write in.
 */
final class BeginFromTemplate
{
    public function __construct(private readonly KeepTypedText $keep)
    {
    }

    /**
     * @throws Refused when it cannot be written in here, or a text is begun already
     */
    public function __invoke(AssignmentTemplate $template, Script $script): void
    {
        throw_if(
            $template->text === '' || ! $template->assignment->takesTyped(),
            new Refused('This template cannot be written in here. Download it, and hand in your copy as a file.'),
        );
        DB::transaction(function () use ($script, $template): void {
            $kept = TypedText::query()->where('script_id', $script->id)->where('student_id', $script->student_id)
                ->lockForUpdate()->first();
            throw_if(
                $kept !== null && trim($kept->text) !== '',
                new Refused('You have begun a text here already; it is below. Empty it to begin from the template.'),
            );
            ($this->keep)($script, $template->text, null);
            $script->update(['template_taken_at' => $script->template_taken_at ?? now()]);
        });
    }
}
