<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\ReadThreads;
use App\Actions\Release\RecordOpening;
use App\Actions\Release\RecordReadingTime;
use App\Documents\ResultDocument;
use App\Documents\ResultPdf;
use App\Documents\ResultText;
use App\Http\Controllers\Controller;
use App\Models\Handin;
use App\Models\Reflection;
use App\Models\Result;
use App\Models\Review;
use App\Queries\Observe\SeenRecord;
use App\Queries\Peers\RatingsBesideResult;
use App\Queries\Release\AroundResult;
use App\Queries\Release\Replies;
use App\Queries\Release\SharedMarks;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * A released result as its student sees it. Opening it is recorded; a coordinator's look is not an opening.
 */
final class ResultController extends Controller
{
    public function show(
        Request $request, Result $result, RecordOpening $record, Replies $replies, ReadThreads $read,
    ): View {
        $this->authorize('view', $result);
        $own = $result->script->student_id === $request->user()?->id;
        $words = $own || Gate::allows('words', $result);
        $around = AroundResult::of($result, $this->person($request));
        $threads = new Collection;
        if ($own) {
            $result = $record($result, $around->toldOf);
            if ($around->hasThreads) {
                $threads = $replies->ofScript($result->script);
                $read($threads, $this->person($request));
            }
        }

        $document = $result->document; // read anew from JSON at each asking
        $words || $document = ResultDocument::withoutWords($document);

        return view(
            'release.result',
            [
                'result' => $result, 'document' => $document, 'assignment' => $result->script->assignment,
                'text' => ResultText::of($document), 'threads' => $threads, 'words' => $words,
                'reflection' => $own && $result->script->assignment->release->reflection->isAskedFor()
                    ? Reflection::query()->find($result->script_id)
                    : null,
                'ratings' => $own && $around->hasRatings
                    ? DB::table('feedback_ratings')->where('script_id', $result->script_id)->pluck('useful', 'about')
                        ->map(fn (mixed $useful) => (bool) $useful)
                    : collect(),
                'besideOwn' => $own ? RatingsBesideResult::of($result) : null,
                'records' => $words && $result->script->assignment->isObserved()
                    ? SeenRecord::ofScript($result->script, $own) : [],
                'lie' => $own ? SharedMarks::of($result->script->assignment) : null,
                'seen' => $around->seen,
                'review' => $words && $around->hasReview
                    ? Review::query()->where('result_id', $result->id)->orWhere('new_result_id', $result->id)->first()
                    : null,
                'replyTo' => route('replies.store', $result), 'rateAt' => route('results.rate', $result),
                'pages' => fn (int $number) => route('results.pages', [$result, $number]),
                'own' => $own, 'code' => $result->script->code,
                'earlier' => $result->version === 1 ? [] : Result::query()->where('script_id', $result->script_id)
                    ->where('version', '<', $result->version)->orderByDesc('version')
                    ->get(['id', 'public_id', 'released_at', 'version']),
            ],
        );
    }

    public function pdf(Request $request, Result $result, ResultPdf $pdf): Response
    {
        $this->authorize('words', $result);
        abort_if(
            $request->user()?->can('read', $result) === true && $result->holdsMarkBack(), 403,
            'Feedback comes first here: the PDF holds the mark, so it is there once the mark shows on the page.',
        );
        $name = Str::slug("{$result->script->assignment->title} result");

        return response($pdf->of($result), 200, [
            'Content-Type' => 'application/pdf', 'Content-Disposition' => "attachment; filename=\"{$name}.pdf\"",
        ]);
    }

    /** The pages of a PDF as its markers saw them. */
    public function pages(Result $result, int $number): StreamedResponse
    {
        $this->authorize('words', $result);
        $path = Handin::query()->where('public_id', $result->document['handin'] ?? '')->with('files')->first()
            ?->files->firstWhere('position', $number)?->pages_path;
        abort_if($path === null, 404);

        return Storage::response($path, 'pages.pdf', ['Content-Type' => 'application/pdf']);
    }

    /** The page says every while that it is still being read. */
    public function reading(Request $request, Result $result, RecordReadingTime $record): Response
    {
        $this->authorize('read', $result);
        $record($result, array_values(array_filter((array) $request->input('seen', []), is_string(...))));

        return response()->noContent();
    }
}
