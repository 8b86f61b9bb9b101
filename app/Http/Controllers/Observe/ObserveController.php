<?php

declare(strict_types=1);

namespace App\Http\Controllers\Observe;

use App\Actions\Mark\FinishMark;
use App\Actions\Observe\KeepEvidence;
use App\Actions\Observe\TakeEvents;
use App\Http\Controllers\Controller;
use App\Http\Requests\Observe\EventsRequest;
use App\Http\Requests\Observe\EvidenceRequest;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\ObservationFile;
use App\Queries\Observe\ObserverDay;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/**
 * The observer's page: whom they observe, and what their devices recorded. It works without a connection; what is sent
 * here is kept however often it comes.
 */
final class ObserveController extends Controller
{
    public function show(Request $request, Assignment $assignment): View
    {
        $this->authorize('seeSlots', $assignment);

        return view('observe.day', [
            'assignment' => $assignment, 'day' => ObserverDay::of($assignment, $this->person($request)),
        ]);
    }

    /** The worker that lets this page alone open without a connection. */
    public function worker(): AnyResponse
    {
        return response((string) file_get_contents(resource_path('js/observe/worker.js')), 200, [
            'Content-Type' => 'text/javascript; charset=utf-8', 'Cache-Control' => 'no-cache', 'Service-Worker-Allowed' => '/observe/',
        ]);
    }

    /** A token of the session as it is now, for a page that was open for a whole morning. */
    public function token(Request $request): JsonResponse
    {
        return response()->json(['token' => csrf_token(), 'person' => $this->person($request)->public_id]);
    }

    public function events(EventsRequest $request, Mark $mark, TakeEvents $take): JsonResponse
    {
        return response()->json($take($mark, $request->events(), $request->ahead()));
    }

    public function evidence(EvidenceRequest $request, Mark $mark, KeepEvidence $keep): JsonResponse
    {
        $file = $request->file('file');
        abort_unless($file instanceof \Illuminate\Http\UploadedFile, 422);
        $kept = $keep($mark, $request->string('id')->lower()->toString(), $file);

        return response()->json(['id' => $kept->public_id, 'kind' => $kept->kind]);
    }

    public function done(Mark $mark, FinishMark $finish): RedirectResponse
    {
        $this->authorize('observe', $mark);
        $finish($mark);

        return redirect()->route('observe.show', $mark->script->assignment)->with('said', __('observe.said.done', [
            'who' => $mark->script->names(),
        ]));
    }

    public function file(ObservationFile $file): AnyResponse
    {
        Gate::authorize('see', $file);
        abort_unless(Storage::exists($file->path), 404);

        return Storage::response($file->path, $file->name, [
            'Content-Type' => $file->mime, 'X-Content-Type-Options' => 'nosniff', 'Content-Security-Policy' => "default-src 'none'; sandbox",
        ], $file->kind === 'file' ? 'attachment' : 'inline');
    }
}
