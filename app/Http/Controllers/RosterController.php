<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\ApplyRoster;
use App\Actions\Collect\BeginRoster;
use App\Actions\Collect\SayHowRosterReads;
use App\Enums\HandInBy;
use App\Http\Requests\Roster\ApplyRosterRequest;
use App\Http\Requests\Roster\RosterChoicesRequest;
use App\Http\Requests\Roster\RosterRequest;
use App\Imports\RosterReading;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\RosterImport;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Formats\RosterTable;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Bringing a roster in: choose the file, say what its columns or classes are, look at what would change, apply it.
 */
final class RosterController extends Controller
{
    public function store(RosterRequest $request, Module $module, BeginRoster $begin): RedirectResponse
    {
        $file = $request->file('roster');
        assert($file instanceof UploadedFile);
        try {
            return redirect()->route('rosters.show', $begin($module, $file, $request->person()));
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(['roster' => $this->said($e)]);
        }
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
    public function update(
        RosterChoicesRequest $request, RosterImport $import, SayHowRosterReads $say,
    ): RedirectResponse {
        $fields = $request->validated();
        $columns = array_map(
            intval(...),
            array_filter(
                array_intersect_key($fields['columns'] ?? [], RosterTable::FIELDS),
                fn (mixed $column) => $column !== null && $column !== '',
            ),
        );
        $say($import, $import->kind === 'table'
            ? [
                'columns' => $columns, 'role' => $fields['role'] ?? 'student',
                'roles' => array_filter($fields['roles'] ?? [], fn (mixed $role) => is_string($role) && $role !== ''),
                'complete' => $request->boolean('complete'), 'groups' => $fields['groups'] ?? null,
                'read_as' => $import->choices['read_as'] ?? null,
            ]
            : ['classes' => array_values($fields['classes'] ?? []), 'complete' => $request->boolean('complete')]);

        return redirect()->route('rosters.show', $import);
    }

    public function apply(ApplyRosterRequest $request, RosterImport $import, ApplyRoster $apply): RedirectResponse
    {
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
        $logbook->note(Entry::of(LogEvent::ListOfPeopleTaken)->on($module)->with(form: $form));
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
