<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Mark;
use App\Support\TakeAway;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * What markers may take with them: the copies without names, under script codes.
 */
final class FileController extends Controller
{
    public function show(Mark $mark, int $number = 1): StreamedResponse
    {
        $this->authorize('open', $mark);
        $file = $mark->handin->files->firstWhere('position', $number) ?? abort(404);
        abort_if($file->clean_path === null, 404);
        $name = $mark->script->code.($mark->handin->files->count() > 1 ? "-{$file->position}" : '').'.'.($file->clean_kind ?? $file->kind);

        return Storage::download($file->clean_path, $name, ['Content-Type' => 'application/octet-stream']);
    }

    /** The copy without names as the desk draws its pages. */
    public function pages(Mark $mark, int $number): StreamedResponse
    {
        $this->authorize('open', $mark);
        $file = $mark->handin->files->firstWhere('position', $number);
        abort_if($file === null || $file->clean_path === null || ($file->clean_kind ?? $file->kind) !== 'pdf', 404);

        return Storage::response($file->clean_path, "{$mark->script->code}.pdf", ['Content-Type' => 'application/pdf']);
    }

    /** All the scripts with one marker. */
    public function zip(Request $request, Assignment $assignment, TakeAway $takeAway): StreamedResponse
    {
        $this->authorize('viewMarking', $assignment);
        $person = $this->person($request);

        return $takeAway->zip($assignment, $assignment->scripts()->getQuery()->whereHas('marks', fn ($query) => $query->where('marker_id', $person->id)));
    }
}
