<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\AttachToMark;
use App\Actions\Mark\TakeAwayAttachment;
use App\Desk\DeskState;
use App\Http\Controllers\Controller;
use App\Http\Requests\Mark\AttachmentRequest;
use App\Models\Mark;
use App\Models\MarkAttachment;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response;

/**
 * Voice, video and files with a mark.
 */
final class AttachmentController extends Controller
{
    public function store(
        AttachmentRequest $request, Mark $mark, AttachToMark $attach, DeskState $state,
    ): JsonResponse|RedirectResponse {
        $field = $request->input('kind') === 'file' ? 'file' : 'recording';
        $fields = $request->validated();
        $file = $request->file($field);
        assert($file instanceof UploadedFile);
        $attach(
            $mark, $fields['kind'], $file, $fields['criterion'] ?? null,
            isset($fields['seconds']) ? (float) $fields['seconds'] : null, trim((string) ($fields['written'] ?? '')),
        );
        if ($request->expectsJson()) {
            return response()->json(
                [
                    'html' => view(
                        'mark.attachments',
                        [
                            'mark' => $mark, 'attachments' => $state->attachments($mark),
                            'rubric' => $mark->rubricVersion->toCore(),
                        ],
                    )->render(),
                ]
            );
        }

        return redirect()->route('mark.desk', $mark)->with('said', 'Attached.');
    }

    /** Played in parts as browsers ask for them; files are saved, never shown. */
    public function show(MarkAttachment $attachment): Response
    {
        $this->authorize('view', $attachment);
        if ($attachment->kind === 'file') {
            return Storage::download(
                $attachment->path, $attachment->name, ['Content-Type' => 'application/octet-stream'],
            );
        }

        $response = response()->file(Storage::path($attachment->path), ['Content-Type' => $attachment->mime]);
        // When it was recorded is nobody's business.
        $response->headers->remove('Last-Modified');

        return $response;
    }

    public function destroy(MarkAttachment $attachment, TakeAwayAttachment $takeAway): RedirectResponse
    {
        $this->authorize('open', $attachment->mark);
        $takeAway($attachment);

        return redirect()->route('mark.desk', $attachment->mark)->with('said', 'Taken away.');
    }
}
