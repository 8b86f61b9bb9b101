<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\FirstFeedback\AskAssistant;
use App\Actions\FirstFeedback\SayWhatWasUsed;
use App\Http\Controllers\Controller;
use App\Http\Requests\Collect\FirstFeedbackRequest;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\FirstFeedback;
use App\Queries\Collect\FirstFeedbackCounts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * First remarks on a draft: asked for by its student, used, shared or not.
 */
final class FirstFeedbackController extends Controller
{
    public function store(DraftCheck $draft, AskAssistant $ask): RedirectResponse
    {
        $this->authorize('view', $draft);
        $ask($draft);

        return redirect()->route('drafts.show', $draft);
    }

    public function update(
        FirstFeedbackRequest $request, FirstFeedback $feedback, SayWhatWasUsed $say,
    ): RedirectResponse {
        $say($feedback, $request->used(), $request->boolean('share'));

        return redirect()->route('drafts.show', $feedback->draft)->with('said', __('first-feedback.kept'));
    }

    /** What students share with their coordinators. */
    public function index(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('collect.first-feedback-shared', [
            'assignment' => $assignment, 'shared' => FirstFeedbackCounts::shared($assignment),
        ]);
    }
}
