<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\AnswerReview;
use App\Actions\Release\AskForReview;
use App\Actions\Release\CorrectResult;
use App\Actions\Release\TreatReview;
use App\Actions\ShareOut\LookAtName;
use App\Documents\ResultText;
use App\Enums\ReviewGround;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\CorrectResultRequest;
use App\Http\Requests\Release\LookAtReviewFileRequest;
use App\Http\Requests\Release\ReviewRequest;
use App\Http\Requests\Release\TreatReviewRequest;
use App\Models\Mark;
use App\Models\Result;
use App\Models\Review;
use App\Queries\Moderate\SignOff;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;
use YoungHarbor\Core\Marking\Seat;

/**
 * Reviews of marks, asked for by students and decided by coordinators, and the corrected results that may follow.
 */
final class ReviewController extends Controller
{
    public function store(ReviewRequest $request, Result $result, AskForReview $ask): RedirectResponse
    {
        $file = $request->file('file');
        $review = $ask(
            $result, ReviewGround::from($request->string('ground')->toString()), $request->string('text')->trim()->toString(),
            $file instanceof UploadedFile ? $file : null, $request->person(),
        );

        return redirect()->to(route('results.show', $result).'#review')->with('said', __('reviews.asked', [
            'by' => \App\Wording\LocalTime::day($review->answer_by),
        ]));
    }

    public function show(Request $request, Review $review, SignOff $signOff): View
    {
        $this->authorize('read', $review);
        $person = $this->person($request);
        $review->load(['script.assignment.module', 'script.student', 'result', 'reader', 'decider']);

        return view('release.review', [
            'review' => $review, 'script' => $review->script, 'assignment' => $review->script->assignment,
            'coordinates' => $person->can('coordinate', $review), 'advises' => $review->with_id === $person->id,
            'named' => $review->script->assignment->namesRevealed(), 'd' => $review->result->document,
            'text' => ResultText::of($review->result->document),
            'mayCorrect' => $person->can('correct', $review->result),
            'team' => $signOff->team($review->script->assignment),
        ]);
    }

    public function update(
        TreatReviewRequest $request, Review $review, TreatReview $treat, AnswerReview $answer,
    ): RedirectResponse {
        $do = $request->string('do')->toString();
        if ($do === 'stands') {
            $answer($review, $request->string('answer')->trim()->toString(), null, $request->person());

            return redirect()->route('reviews.show', $review)->with('said', __('reviews.said_stands'));
        }
        $with = $do === 'give' ? $request->with() : null;
        $do === 'give' && $with === null && throw new Refused('Choose someone of the team. Nothing was changed.', 'with');
        $treat($review, $with, $do === 'advise' ? $request->string('advice')->trim()->toString() : null);

        return redirect()->route('reviews.show', $review)->with('said', $with === null
            ? __('reviews.said_advice')
            : __('reviews.said_with', ['who' => $with->name]));
    }

    public function file(Review $review): StreamedResponse
    {
        $this->authorize('readFile', $review);

        return $this->download($review);
    }

    /** Before names are revealed: what someone attached names them as often as not, so that opening it is a look. */
    public function look(LookAtReviewFileRequest $request, Review $review, LookAtName $look): StreamedResponse
    {
        $look($review->script, $request->string('reason')->trim()->toString());

        return $this->download($review);
    }

    private function download(Review $review): StreamedResponse
    {
        abort_if($review->file_path === null, 404);

        return Storage::download(
            $review->file_path, $review->file_name, ['Content-Type' => 'application/octet-stream'],
        );
    }

    public function edit(Request $request, Result $result): View
    {
        $this->authorize('correct', $result);
        $lead = $result->script->leadScript()->load(['marks.rubricVersion', 'marks.marker', 'settlement', 'assignment']);
        abort_if($lead->settlement === null, 404, 'There is no mark to correct here.');
        $first = $lead->mark(Seat::First) ?? abort(404);

        return view('release.correct', [
            'result' => $result, 'script' => $lead, 'assignment' => $lead->assignment, 'first' => $first,
            'second' => $lead->mark(Seat::Second), 'rubric' => $first->rubricVersion->toCore(),
            'named' => $lead->assignment->namesRevealed(),
            'done' => $lead->marks->filter(fn (Mark $mark) => $mark->isDone())->values(),
            'review' => Review::query()->where('result_id', $result->id)
                ->where('public_id', $request->query('review'))->first(),
        ]);
    }

    public function correct(CorrectResultRequest $request, Result $result, CorrectResult $correct): RedirectResponse
    {
        $new = $correct(
            $result, $request->offer(), $request->string('what_changed')->trim()->toString(), $request->person(),
            $request->review(),
        );

        $assignment = $new->script->assignment;

        return ($assignment->namesRevealed()
            ? redirect()->route('results.show', $new)
            : redirect()->route('release.index', $assignment))->with('said', __('reviews.said_corrected'));
    }
}
