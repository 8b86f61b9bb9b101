<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\BeginFromTemplate;
use App\Actions\Collect\KeepTypedText;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Collect\TypedTextRequest;
use App\Models\Assignment;
use App\Models\AssignmentTemplate;
use App\Models\Script;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * What a student types into the page, kept as it is typed: for a phone that sleeps, a train in a tunnel, another
 * device.
 */
final class TypedTextController extends Controller
{
    public function update(TypedTextRequest $request, Assignment $assignment, KeepTypedText $keep): JsonResponse
    {
        $version = $keep(
            $this->script($request, $assignment), (string) $request->input('typed_text'), $request->integer('seen'),
        );

        return $version !== null
            ? response()->json(['seen' => $version])
            : response()->json(
                [
                    'message' => 'This text was changed on another device meanwhile. What you typed here is still in the page: copy it, load the page again, and put both together.',
                ],
                409,
            );
    }

    /** A copy of a template's text of one's own, to write in. */
    public function begin(
        Request $request, AssignmentTemplate $template, BeginFromTemplate $begin,
    ): RedirectResponse {
        $this->authorize('sendWork', $template->assignment);
        $begin($template, $this->script($request, $template->assignment));

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
