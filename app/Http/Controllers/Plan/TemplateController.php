<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Collect\ReadWork;
use App\Actions\Screen\RerunScreening;
use App\Extraction\FileKind;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use App\Http\Controllers\Controller;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\AssignmentTemplate;
use App\Models\Script;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Files that students begin from.
 */
final class TemplateController extends Controller
{
    private const MOST = 10;

    public function store(
        Request $request, Assignment $assignment, Logbook $logbook, Reader $reader, RerunScreening $rerun,
    ): RedirectResponse {
        $this->authorize('coordinate', $assignment);
        $most = (int) config('harbor.upload.max_megabytes');
        $request->validate([
            'template' => [
                'required', 'file', 'max:'.$most * 1024,
                'extensions:'.implode(',', [...array_column(FileKind::documents(), 'value'), 'xlsx', 'csv']),
            ],
        ], [
            'template.required' => 'Choose a file.', 'template.max' => "The file is larger than {$most} MB.",
            'template.uploaded' => 'The file did not arrive whole. Choose it again.',
            'template.extensions' => 'A template can be '.FileKind::ALL.', or a spreadsheet as .xlsx or .csv.',
        ]);
        if ($assignment->templates()->count() >= self::MOST) {
            return back()->withErrors(
                ['template' => 'There are '.self::MOST.' template files already; take one away first.']
            );
        }
        $file = $request->file('template');
        assert($file instanceof UploadedFile);
        $bytes = (string) $file->get();
        $name = ReadWork::safeName($file->getClientOriginalName());
        $text = $this->words($reader, $file, $name);
        $path = 'templates/'.Str::uuid()->toString();
        Storage::put($path, $bytes);
        DB::transaction(function () use ($assignment, $logbook, $name, $path, $bytes, $text): void {
            $assignment->templates()->create(
                [
                    'name' => $name, 'path' => $path, 'bytes' => strlen($bytes), 'sha256' => hash('sha256', $bytes),
                    'text' => $text,
                ]
            );
            $logbook->write(
                Entry::of(LogEvent::TemplateAdded)->on($assignment)->with(sha256: hash('sha256', $bytes))
                    ->saying(file: $name)
            );
        });
        $rerun->whenHandedIn($assignment->unsetRelation('templates'));

        return redirect()->route('plan.edit', $assignment)
            ->with('said', "{$name} goes with the assignment; students find it beside the brief.");
    }

    /**
     * Its words, so that they do not count when scripts are compared; none for what holds no text, such as a
     * spreadsheet.
     */
    private function words(Reader $reader, UploadedFile $file, string $name): string
    {
        try {
            return $reader->read($file->getRealPath(), $name)->text();
        } catch (Refusal) {
            return '';
        }
    }

    public function destroy(AssignmentTemplate $template, Logbook $logbook, RerunScreening $rerun): RedirectResponse
    {
        $assignment = $template->assignment;
        $this->authorize('coordinate', $assignment);
        DB::transaction(function () use ($template, $assignment, $logbook): void {
            $template->delete();
            $logbook->write(
                Entry::of(LogEvent::TemplateTaken)->on($assignment)->with(sha256: $template->sha256)
                    ->saying(file: $template->name)
            );
        });
        Storage::delete($template->path);
        $rerun->whenHandedIn($assignment->unsetRelation('templates'));

        return redirect()->route('plan.edit', $assignment)
            ->with('said', "{$template->name} no longer goes with the assignment.");
    }

    public function show(Request $request, AssignmentTemplate $template): StreamedResponse
    {
        $this->authorize('view', $template->assignment);
        // Who took a copy is a step on the cohort page.
        Script::query()->where('assignment_id', $template->assignment_id)
            ->where('student_id', $this->person($request)->id)->whereNull('template_taken_at')
            ->update(['template_taken_at' => now()]);

        return Storage::download($template->path, $template->name, ['Content-Type' => 'application/octet-stream']);
    }
}
