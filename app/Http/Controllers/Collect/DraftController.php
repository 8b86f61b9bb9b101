<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\CheckDraft;
use App\Enums\ReportState;
use App\Extraction\Refusal;
use App\FirstFeedback\WhyNotAsked;
use App\Http\Controllers\Controller;
use App\Http\Requests\Collect\DraftRequest;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\FirstFeedback;
use App\Queries\Screen\OverlapReading;
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
    public function store(DraftRequest $request, Assignment $assignment, CheckDraft $check): RedirectResponse
    {
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
            'first' => FirstFeedback::query()->where('draft_check_id', $draft->id)->first(),
            'whyNoFirst' => WhyNotAsked::of($draft), 'firstLeft' => FirstFeedback::left($draft->script),
            'left' => DraftCheck::left($draft->script->assignment, $this->person($request)),
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
