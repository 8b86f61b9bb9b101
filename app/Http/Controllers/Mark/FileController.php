<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Documents\HandinCopies;
use App\Documents\TakeAwayZip;
use App\Extraction\CopyKind;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Mark;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * What markers may take with them: files made anew from the text as they read it, under script codes.
 */
final class FileController extends Controller
{
    public function show(Mark $mark, CopyKind $kind, HandinCopies $copies): StreamedResponse
    {
        $this->authorize('open', $mark);
        abort_unless(in_array($kind, $copies->kinds($mark->handin), true), 404);

        return Storage::download(
            $copies->path($mark->handin, $kind), "{$mark->script->code}.{$kind->value}",
            ['Content-Type' => 'application/octet-stream'],
        );
    }

    /** The pages of a PDF, drawn anew, as the desk shows them. */
    public function pages(Mark $mark, int $number): StreamedResponse
    {
        $this->authorize('write', $mark);
        $path = $mark->handin->files->firstWhere('position', $number)?->pages_path;
        abort_if($path === null, 404);

        return Storage::response($path, $mark->isStudents() ? 'work.pdf' : "{$mark->script->code}.pdf", ['Content-Type' => 'application/pdf']);
    }

    /** All the scripts with one marker. */
    public function zip(Request $request, Assignment $assignment, TakeAwayZip $takeAway): StreamedResponse
    {
        $this->authorize('viewMarking', $assignment);
        $person = $this->person($request);

        return $takeAway->zip(
            $assignment,
            $assignment->scripts()->getQuery()
                ->whereHas('marks', fn ($query) => $query->where('marker_id', $person->id)),
            $this->person($request),
        );
    }
}
