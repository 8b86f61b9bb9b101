<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Collect\NoteTemplateTaken;
use App\Actions\Plan\AddTemplate;
use App\Actions\Plan\TakeAwayTemplate;
use App\Http\Controllers\Controller;
use App\Http\Requests\Plan\TemplateRequest;
use App\Models\Assignment;
use App\Models\AssignmentTemplate;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Files that students begin from.
 */
final class TemplateController extends Controller
{
    public function store(TemplateRequest $request, Assignment $assignment, AddTemplate $add): RedirectResponse
    {
        $file = $request->file('template');
        assert($file instanceof UploadedFile);
        $made = $add($assignment, $file);

        return redirect()->route('plan.edit', $assignment)
            ->with('said', "{$made->name} goes with the assignment; students find it beside the brief.");
    }

    public function destroy(AssignmentTemplate $template, TakeAwayTemplate $takeAway): RedirectResponse
    {
        $this->authorize('coordinate', $template->assignment);
        $takeAway($template);

        return redirect()->route('plan.edit', $template->assignment)
            ->with('said', "{$template->name} no longer goes with the assignment.");
    }

    public function show(
        Request $request, AssignmentTemplate $template, NoteTemplateTaken $note,
    ): StreamedResponse {
        $this->authorize('view', $template->assignment);
        $note($template, $this->person($request));

        return Storage::download($template->path, $template->name, ['Content-Type' => 'application/octet-stream']);
    }
}
