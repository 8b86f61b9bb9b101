<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\ChangeRelease;
use App\Actions\Release\ConfirmResults;
use App\Actions\Release\HoldScript;
use App\Actions\Release\MailAgain;
use App\Actions\Release\RevealNames;
use App\Actions\Release\SetRelease;
use App\Documents\ResultDocument;
use App\Documents\ResultText;
use App\Enums\ReleaseState;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\ChangeReleaseRequest;
use App\Http\Requests\Release\HoldScriptRequest;
use App\Http\Requests\Release\ReleaseResultsRequest;
use App\Http\Requests\Release\RevealNamesRequest;
use App\Http\Requests\Release\SureRequest;
use App\Models\Assignment;
use App\Models\PreparedResult;
use App\Models\Release;
use App\Models\Script;
use App\Queries\Release\ReadyPage;
use App\Queries\Release\SharedMarks;
use App\Release\Eligible;
use App\Wording\LocalTime;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/**
 * The ready check, releasing results at once or at a time, holding one back, and revealing names.
 */
final class ReleaseController extends Controller
{
    public function index(Assignment $assignment, ReadyPage $page): View
    {
        $this->authorize('coordinate', $assignment);

        return view('release.index', ['assignment' => $assignment, ...$page->of($assignment)]);
    }

    public function store(ReleaseResultsRequest $request, Assignment $assignment, SetRelease $set): RedirectResponse
    {
        $release = $set($assignment, $request->plan(), $this->person($request));
        $release->refresh();

        return redirect()->route('release.index', $assignment)->with('said', match ($release->state) {
            ReleaseState::Out => trans_choice('release.said_out', $release->released, ['count' => $release->released]),
            ReleaseState::Running => trans_choice('release.said_running', $release->chosen, ['count' => $release->chosen]),
            ReleaseState::Set => __('release.said_set', ['at' => LocalTime::shown($release->due_at)]).(
                $release->due_at !== null && LocalTime::comesTwice($release->due_at) ? ' '.__('release.comes_twice') : ''
            ),
            default => null,
        });
    }

    /** How far a release is, for the page that waits for it. */
    public function progress(Release $release): Response
    {
        $this->authorize('coordinate', $release->assignment);

        return response()->view('release.progress', [
            'one' => $release, 'written' => PreparedResult::query()->where('release_id', $release->id)->count(),
        ])->withHeaders($release->state === ReleaseState::Running ? [] : ['HX-Refresh' => 'true']);
    }

    public function update(ChangeReleaseRequest $request, Release $release, ChangeRelease $change): RedirectResponse
    {
        $changed = $change($release, $request->at(), $this->person($request));

        return redirect()->route('release.index', $release->assignment)->with(
            'said', $changed->state === ReleaseState::Stopped
                ? __('release.said_stopped')
                : __('release.said_set', ['at' => LocalTime::shown($changed->due_at)]),
        );
    }

    /** Mails that could not be sent are tried again. */
    public function mailAgain(Assignment $assignment, MailAgain $again): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $count = $again($assignment);

        return redirect()->route('release.index', $assignment)
            ->with('said', trans_choice('release.said_again', $count, ['count' => $count]));
    }

    public function confirm(
        SureRequest $request, Assignment $assignment, ConfirmResults $confirm,
    ): RedirectResponse {
        $count = $confirm($assignment, $this->person($request));

        return redirect()->route('release.index', $assignment)
            ->with('said', trans_choice('release.said_confirmed', $count, ['count' => $count]));
    }

    /** A student's page as it would be if it went out now. */
    public function preview(Script $script, ResultDocument $document): View
    {
        $this->authorize('coordinate', $script);
        $assignment = $script->assignment;
        $script = Eligible::load($assignment, [$script->id])->firstOrFail();
        abort_if($script->leadScript()->settlement === null, 404, 'Nothing is agreed for this script yet.');

        $script->assignment->leavingOutWhatIsKnownByName();
        $written = $document->of($script)['document'];

        return view('release.result', [
            'result' => null, 'document' => $written, 'assignment' => $assignment, 'text' => ResultText::of($written),
            'pages' => null, 'earlier' => [], 'threads' => collect(), 'ratings' => collect(), 'seen' => 0, 'review' => null,
            'reflection' => null, 'lie' => SharedMarks::of($assignment),
            'own' => false, 'words' => true, 'code' => $script->code,
        ]);
    }

    public function reveal(RevealNamesRequest $request, Assignment $assignment, RevealNames $reveal): RedirectResponse
    {
        $reveal($assignment);

        return redirect()->route('release.index', $assignment)
            ->with('said', 'Markers now see whose scripts they marked.');
    }

    public function hold(HoldScriptRequest $request, Script $script, HoldScript $hold): RedirectResponse
    {
        $letGo = $request->input('let_go') === '1';
        $fields = $request->validated();
        $hold($script, $letGo ? null : $fields['reason']);

        return redirect()->route('release.index', $script->assignment)
            ->with('said', $letGo ? "{$script->code} is no longer held." : "{$script->code} is held.");
    }
}
