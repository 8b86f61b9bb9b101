<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\AttachToMark;
use App\Http\Controllers\Controller;
use App\Models\Mark;
use App\Models\MarkAttachment;
use App\Support\DeskState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response;

/**
 * Voice, video and files with a mark.
 */
final class AttachmentController extends Controller
{
    public function store(
        Request $request, Mark $mark, AttachToMark $attach, DeskState $state,
    ): JsonResponse|RedirectResponse {
        $this->authorize('open', $mark);
        $most = (int) config('harbor.upload.max_megabytes');
        $field = $request->input('kind') === 'file' ? 'file' : 'recording';
        $fields = $request->validate([
            'kind' => ['required', 'in:voice,video,file'], $field => ['required', 'file', 'max:'.$most * 1024],
            'criterion' => ['nullable', 'string', 'max:100'], 'seconds' => ['nullable', 'numeric'],
            'written' => ['nullable', 'string', 'max:5000'],
        ], [
            "{$field}.required" => 'Choose a file.',
            "{$field}.max" => "It is larger than {$most} MB, which is more than is kept.",
            "{$field}.uploaded" => 'It did not arrive whole. Send it once more.',
        ]);
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

    public function destroy(MarkAttachment $attachment, AttachToMark $attach): RedirectResponse
    {
        $this->authorize('open', $attachment->mark);
        $attach->takeAway($attachment);

        return redirect()->route('mark.desk', $attachment->mark)->with('said', 'Taken away.');
    }
}
