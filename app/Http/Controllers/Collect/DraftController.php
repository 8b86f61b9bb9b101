<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\CheckDraft;
use App\Enums\ReportState;
use App\Extraction\Refusal;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Support\OverlapReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;

/**
 * A draft checked before it is handed in, for its student alone.
 */
final class DraftController extends Controller
{
    public function store(Request $request, Assignment $assignment, CheckDraft $check): RedirectResponse
    {
        $this->authorize('handIn', $assignment);
        $most = (int) config('harbor.upload.max_megabytes');
        $request->validate([
            'draft' => ['nullable', 'array', 'required_without:draft_text'], 'draft.*' => ['file', 'max:'.$most * 1024],
            'draft_text' => ['nullable', 'string', 'max:400000'],
        ], [
            'draft.required_without' => 'Choose a draft, or paste its text.',
            'draft.*.max' => "A file is larger than {$most} MB.",
            'draft.*.uploaded' => 'The file did not arrive whole. Choose it again.',
        ]);
        $files = array_values(Arr::wrap($request->file('draft')));
        try {
            $draft = $check(
                $assignment, $this->person($request), $files === [] ? [(string) $request->input('draft_text')] : $files,
            );
        } catch (Refusal $e) {
            throw ValidationException::withMessages(['draft' => $e->getMessage().' No check was used up.']);
        }

        return redirect()->route('drafts.show', $draft);
    }

    public function show(Request $request, DraftCheck $draft, OverlapReading $reading): View
    {
        $this->authorize('view', $draft);

        return view($request->header('HX-Request') === null ? 'collect.draft' : 'collect.draft-found', [
            'draft' => $draft, 'assignment' => $draft->script->assignment,
            'left' => CheckDraft::left($draft->script->assignment, $this->person($request)),
            'reading' => $draft->state === ReportState::Ready ? $reading->ofDraft($draft, $request->query()) : null,
            'asked' => array_filter(
                [
                    'run' => $request->query('run'), 'whole' => $request->query('whole'),
                    'hide' => $request->query('hide'),
                ],
                fn (mixed $value) => $value !== null && $value !== '',
            ),
        ]);
    }
}
