<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\CheckDraft;
use App\Actions\Collect\TakeHandIn;
use App\Extraction\Refusal;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\Handin;
use App\Models\Script;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * A student's page of an assignment: the brief and the rubric before they write, handing in, receipts.
 */
final class HandInController extends Controller
{
    public function show(Request $request, Assignment $assignment): View
    {
        $this->authorize('handIn', $assignment);
        $script = Script::query()->where('assignment_id', $assignment->id)->where('student_id', $this->person($request)->id)->first();
        if ($script !== null && $script->brief_opened_at === null) {
            $script->update(['brief_opened_at' => now()]);
        }

        return view('collect.hand-in', [
            'assignment' => $assignment->load('rubricVersion', 'module', 'templates'),
            'rubric' => $assignment->rubricVersion?->toCore(),
            'checksLeft' => CheckDraft::left($assignment, $this->person($request)),
            'drafts' => $script === null ? collect() : DraftCheck::query()->where('script_id', $script->id)->where('student_id', $this->person($request)->id)->latest('id')->get(['id', 'public_id', 'script_id', 'state', 'share', 'created_at']),
            'script' => $script?->load(['handins' => fn ($query) => $query->orderByDesc('attempt'), 'result']),
        ]);
    }

    public function store(Request $request, Assignment $assignment, TakeHandIn $handIn): RedirectResponse|JsonResponse
    {
        $this->authorize('handIn', $assignment);
        $most = (int) config('harbor.upload.max_megabytes');
        $request->validate([
            'file' => ['nullable', 'required_without_all:typed_text,files', 'file', 'max:'.$most * 1024],
            'files' => ['nullable', 'array', 'max:20'], 'files.*' => ['file', 'max:'.$most * 1024],
            'typed_text' => ['nullable', 'string', 'max:400000'],
        ], [
            'file.max' => "This file is larger than {$most} MB. Hand in the text alone; pictures can usually be made smaller in your writing program.",
            'file.uploaded' => "The file did not arrive whole, or is larger than {$most} MB. Choose it again.",
            'file.required_without_all' => 'Choose a file, or type your text.',
            'files.*.max' => "One of these files is larger than {$most} MB. Nothing was handed in.",
            'files.*.uploaded' => "One of these files did not arrive whole, or is larger than {$most} MB. Choose them again.",
            'typed_text.max' => 'This text is longer than 400,000 characters; hand it in as a file.',
        ]);
        $files = array_values(Arr::wrap($request->file('files')));
        $file = $files === [] ? $request->file('file') : $files;
        try {
            $handin = $handIn($assignment, $this->person($request), is_array($file) || $file instanceof UploadedFile ? $file : (string) $request->input('typed_text'));
        } catch (Refusal $e) {
            throw ValidationException::withMessages(['file' => $e->getMessage().' What you handed in before, if anything, still counts.']);
        }

        return $request->expectsJson() ? response()->json(['to' => route('receipts.show', $handin)]) : redirect()->route('receipts.show', $handin);
    }

    public function receipt(Handin $handin): View
    {
        $this->authorize('view', $handin);

        return view('collect.receipt', ['handin' => $handin, 'assignment' => $handin->script->assignment]);
    }

    public function download(Handin $handin, int $number = 1): StreamedResponse
    {
        $this->authorize('view', $handin);

        $file = $handin->files->firstWhere('position', $number) ?? abort(404);

        return Storage::download($file->path, $file->original_name, ['Content-Type' => 'application/octet-stream']);
    }
}
