<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\BeginUpload;
use App\Actions\Collect\TakePiece;
use App\Handins\PieceOutcome;
use App\Http\Arrival;
use App\Http\Controllers\Controller;
use App\Http\Requests\Collect\UploadRequest;
use App\Models\Assignment;
use App\Models\Upload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/**
 * Files that arrive piece by piece. A lost connection costs the last piece; the same file, chosen again, goes on where
 * it stopped. Nothing is handed in by this alone.
 */
final class UploadController extends Controller
{
    /**
     * Begins a file, or finds the one begun before. Its size and SHA-256 are declared, and its first piece may come
     * with them: from then on it is known what is handed in, whatever the rest takes.
     */
    public function store(
        UploadRequest $request, Assignment $assignment, BeginUpload $begin, TakePiece $take,
    ): JsonResponse {
        $fields = $request->validated();
        $upload = $begin(
            $assignment, $request->person(), $fields['name'], (int) $fields['bytes'], $fields['sha256'],
        );
        $piece = $request->file('piece');
        if ($piece instanceof UploadedFile && $upload->arrived === 0) {
            if ($take($upload, 0, (string) $piece->getContent(), Arrival::of($request)) === PieceOutcome::Changed) {
                return $this->changed();
            }
            $upload->refresh();
        }

        return response()->json(
            ['id' => $upload->public_id, 'arrived' => $upload->arrived, 'to' => route('uploads.update', $upload)]
        );
    }

    /** Takes the next piece; where it has to begin is answered with each. */
    public function update(Request $request, Upload $upload, TakePiece $take): JsonResponse
    {
        $this->authorize('fill', $upload);
        $piece = (string) $request->getContent();
        abort_if(strlen($piece) > TakePiece::MOST || $piece === '', 422, 'A piece holds 1 byte to 1 MB.');

        return match ($take($upload, $request->integer('from'), $piece, Arrival::of($request))) {
            PieceOutcome::Taken => response()->json(['arrived' => $upload->refresh()->arrived]),
            PieceOutcome::Elsewhere => response()->json(['arrived' => $upload->refresh()->arrived], 409),
            PieceOutcome::Changed => $this->changed(),
        };
    }

    private function changed(): JsonResponse
    {
        return response()->json(
            [
                'message' => 'The file changed while it was being sent, so it was not handed in. Close it in your writing program, and choose it again.',
            ],
            422,
        );
    }
}
