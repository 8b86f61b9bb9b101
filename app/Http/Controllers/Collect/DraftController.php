<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\CheckDraft;
use App\Extraction\Refusal;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\DraftCheck;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Text\Words;

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
            'draft' => ['nullable', 'array', 'required_without:draft_text'], 'draft.*' => ['file', 'max:'.$most * 1024], 'draft_text' => ['nullable', 'string', 'max:400000'],
        ], ['draft.required_without' => 'Choose a draft, or paste its text.', 'draft.*.max' => "A file is larger than {$most} MB.", 'draft.*.uploaded' => 'The file did not arrive whole. Choose it again.']);
        $files = array_values(Arr::wrap($request->file('draft')));
        try {
            $draft = $check($assignment, $this->person($request), $files === [] ? [(string) $request->input('draft_text')] : $files);
        } catch (Refusal $e) {
            throw ValidationException::withMessages(['draft' => $e->getMessage().' No check was used up.']);
        }

        return redirect()->route('drafts.show', $draft);
    }

    public function show(Request $request, DraftCheck $draft): View
    {
        $this->authorize('view', $draft);

        return view($request->header('HX-Request') === null ? 'collect.draft' : 'collect.draft-found', [
            'draft' => $draft, 'assignment' => $draft->script->assignment, 'left' => CheckDraft::left($draft->script->assignment, $this->person($request)), 'parts' => $this->parts($draft),
        ]);
    }

    /**
     * The text in parts, those that also stand elsewhere marked.
     *
     * @return list<array{text: string, same: bool}>
     */
    private function parts(DraftCheck $draft): array
    {
        $words = Words::of($draft->text)->list;
        $parts = [];
        $at = 0;
        foreach ($draft->pieces ?? [] as [$from, $to]) {
            $start = $words[$from]->start;
            $end = $words[$to - 1]->end;
            $parts[] = ['text' => substr($draft->text, $at, $start - $at), 'same' => false];
            $parts[] = ['text' => substr($draft->text, $start, $end - $start), 'same' => true];
            $at = $end;
        }
        $parts[] = ['text' => substr($draft->text, $at), 'same' => false];

        return $parts;
    }
}
