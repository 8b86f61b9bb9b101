<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\AssignmentTemplate;
use App\Models\Script;
use App\Models\TypedText;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * What a student types into the page, kept as it is typed: for a phone that sleeps, a train in a tunnel, another
 * device.
 */
final class TypedTextController extends Controller
{
    public function update(Request $request, Assignment $assignment): JsonResponse
    {
        $this->authorize('handIn', $assignment);
        $request->validate(['typed_text' => ['nullable', 'string', 'max:400000'], 'seen' => ['required', 'integer']]);
        $script = $this->script($request, $assignment);

        return DB::transaction(function () use ($request, $script): JsonResponse {
            $kept = TypedText::query()->where('script_id', $script->id)->where('student_id', $script->student_id)
                ->lockForUpdate()->first();
            // Written on another device meanwhile: neither takes the place of the other by itself.
            if (($kept->lock_version ?? 0) !== $request->integer('seen')) {
                return response()->json(
                    [
                        'message' => 'This text was changed on another device meanwhile. What you typed here is still in the page: copy it, load the page again, and put both together.',
                    ],
                    409,
                );
            }
            $version = ($kept->lock_version ?? 0) + 1;
            TypedText::query()->updateOrCreate(
                ['script_id' => $script->id, 'student_id' => $script->student_id],
                ['text' => (string) $request->input('typed_text'), 'lock_version' => $version],
            );

            return response()->json(['seen' => $version]);
        });
    }

    /** A copy of a template's text of one's own, to write in. */
    public function begin(Request $request, AssignmentTemplate $template): RedirectResponse
    {
        $this->authorize('handIn', $template->assignment);
        $script = $this->script($request, $template->assignment);
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
            TypedText::query()->updateOrCreate(
                ['script_id' => $script->id, 'student_id' => $script->student_id],
                ['text' => $template->text, 'lock_version' => ($kept->lock_version ?? 0) + 1],
            );
            $script->update(['template_taken_at' => $script->template_taken_at ?? now()]);
        });

        return redirect()->to(route('hand-in.show', $template->assignment).'#hand-in')
            ->with('said', 'Your copy is below. It is kept as you type.');
    }

    private function script(Request $request, Assignment $assignment): Script
    {
        return Script::query()->where('assignment_id', $assignment->id)
            ->where('student_id', $this->person($request)->id)->first()
            ?? throw new Refused(
                'You are not on the list for this assignment. Ask your module coordinator to add you.'
            );
    }
}
