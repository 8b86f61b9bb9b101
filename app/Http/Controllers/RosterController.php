<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\ApplyRoster;
use App\Actions\Collect\ReadWork;
use App\Enums\HandInBy;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\RosterImport;
use App\Support\RosterReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Formats\RosterTable;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Bringing a roster in: choose the file, say what its columns or classes are, look at what would change, apply it.
 */
final class RosterController extends Controller
{
    public function store(Request $request, Module $module, RosterReading $reading): RedirectResponse
    {
        $this->authorize('addPeople', $module);
        $request->validate([
            'roster' => ['required', 'file', 'max:'.(int) config('harbor.upload.max_megabytes') * 1024],
        ], [
            'roster.required' => 'Choose a CSV file, or a ZIP with OneRoster files.',
            'roster.max' => 'The file is larger than '.(int) config('harbor.upload.max_megabytes').' MB.',
            'roster.uploaded' => 'The file did not arrive whole. Choose it again.',
        ]);
        $file = $request->file('roster');
        assert($file instanceof UploadedFile);
        try {
            $begun = $reading->begin($file->getRealPath());
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(['roster' => $this->said($e)]);
        }
        $path = 'rosters/'.Str::uuid()->toString();
        Storage::put($path, (string) $file->get());
        $import = RosterImport::query()->create(
            [
                'module_id' => $module->id, 'made_by' => $this->person($request)->id,
                'file_name' => ReadWork::safeName($file->getClientOriginalName()), 'path' => $path, ...$begun,
            ]
        );

        return redirect()->route('rosters.show', $import);
    }

    public function show(RosterImport $import, RosterReading $reading): View|RedirectResponse
    {
        $this->authorize('addPeople', $import->module);
        if ($import->applied_at !== null || ! Storage::exists($import->path)) {
            return redirect()->route('people.index', $import->module)
                ->with(
                    'said',
                    $import->applied_at !== null
                        ? 'This roster has been applied.'
                        : 'This file is no longer kept. Choose it again.',
                );
        }
        $comparison = $why = null;
        try {
            $comparison = $reading->compare($import);
        } catch (InvalidInput $e) {
            $why = $this->said($e);
        }

        return view('modules.roster', [
            'import' => $import, 'module' => $import->module, 'comparison' => $comparison, 'why' => $why,
            'headings' => $import->kind === 'table' ? $reading->headings($import) : [],
            'roles' => $import->kind === 'table' ? $reading->roleWords($import) : [],
            'unused' => $import->kind === 'table' ? $reading->unused($import) : [],
            'classes' => $import->kind === 'table' ? [] : $reading->classes($import),
            'assignments' => $import->module->assignments()->whereNotNull('published_at')
                ->where('handin_by', '<>', HandInBy::Each)->get(),
        ]);
    }

    /** Says what columns and classes are. */
    public function update(Request $request, RosterImport $import): RedirectResponse
    {
        $this->authorize('addPeople', $import->module);
        $fields = $request->validate([
            'columns' => ['nullable', 'array'], 'columns.*' => ['nullable', 'integer', 'min:0', 'max:500'],
            'role' => ['nullable', 'in:student,tutor'], 'roles' => ['nullable', 'array', 'max:40'],
            'roles.*' => ['nullable', 'in:coordinator,tutor,examiner,student,skip'],
            'classes' => ['nullable', 'array', 'max:2000'], 'classes.*' => ['string', 'max:200'],
            'complete' => ['nullable', 'in:1'],
            'groups' => [
                'bail', 'nullable', 'string',
                Rule::exists('assignments', 'public_id')->where('module_id', $import->module_id),
            ],
        ]);
        $columns = array_map(
            intval(...),
            array_filter(
                array_intersect_key($fields['columns'] ?? [], RosterTable::FIELDS),
                fn (mixed $column) => $column !== null && $column !== '',
            ),
        );
        $import->update(['choices' => $import->kind === 'table'
            ? [
                'columns' => $columns, 'role' => $fields['role'] ?? 'student',
                'roles' => array_filter($fields['roles'] ?? [], fn (mixed $role) => is_string($role) && $role !== ''),
                'complete' => $request->boolean('complete'), 'groups' => $fields['groups'] ?? null,
                'read_as' => $import->choices['read_as'] ?? null,
            ]
            : ['classes' => array_values($fields['classes'] ?? []), 'complete' => $request->boolean('complete')]]);

        return redirect()->route('rosters.show', $import);
    }

    public function apply(Request $request, RosterImport $import, ApplyRoster $apply): RedirectResponse
    {
        $this->authorize('addPeople', $import->module);
        $request->validate(['seen' => ['required', 'string', 'max:64']]);
        try {
            $done = $apply($import, $request->string('seen')->toString(), $this->person($request));
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(['roster' => $this->said($e)]);
        }

        return redirect()->route('people.index', $import->module)
            ->with(
                'said',
                'The roster is applied: '.count($done->added).' added, '.count($done->changed).' changed, '
                    .count($done->back).' back, '.count($done->left).' left.',
            );
    }

    /** Everyone who is here, as a table or as OneRoster files. */
    public function export(Module $module, string $form, RosterReading $reading, Logbook $logbook): Response
    {
        $this->authorize('addPeople', $module);
        DB::transaction(
            fn () => $logbook->write(Entry::of(LogEvent::ListOfPeopleTaken)->on($module)->with(form: $form))
        );
        $name = Str::slug($module->code).'-people';

        return $form === 'csv'
            ? response(
                $reading->table($module), 200,
                [
                    'Content-Type' => 'text/csv; charset=utf-8',
                    'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
                ],
            )
            : response(
                $reading->oneRoster($module), 200,
                [
                    'Content-Type' => 'application/zip',
                    'Content-Disposition' => "attachment; filename=\"{$name}-oneroster.zip\"",
                ],
            );
    }

    private function said(InvalidInput $e): string
    {
        return implode(
            ' ',
            array_map(
                fn (Fault $fault) => (
                    in_array($fault->place, ['file', 'columns', 'classes'], true)
                        ? ucfirst($fault->what)
                        : "{$fault->place}: {$fault->what}"
                ).'.',
                $e->faults,
            ),
        );
    }
}
