<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Documents\GradeBookCsv;
use App\Documents\OneRosterZip;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\TakeGradeBookRequest;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Membership;
use App\Models\Module;
use App\Queries\Release\GradeBook;
use App\Queries\Release\GradeBookFilter;
use App\Queries\Release\HowMarksLie;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/**
 * Students by assignments, and the module mark. Marks stand here once they are released.
 */
final class GradeBookController extends Controller
{
    public function choose(Request $request): View|RedirectResponse
    {
        $modules = Module::query()->orderBy('code')->whereIn('id', $this->person($request)->memberships
            ->filter(fn (Membership $m) => $m->role === Role::Coordinator)->pluck('module_id'))->get();
        abort_if($modules->isEmpty(), 403, 'The grade book is for coordinators. Your own results are on Today.');

        return $modules->count() === 1
            ? redirect()->route('grade-book.show', $modules->firstOrFail())
            : view('release.grade-books', ['modules' => $modules]);
    }

    public function show(Request $request, Module $module, GradeBook $book): View
    {
        $this->authorize('viewGradeBook', $module);
        $filter = GradeBookFilter::from($request);

        return view('release.grade-book', ['module' => $module, 'filter' => $filter, ...$book->of($module, $filter)]);
    }

    /** How marks lie, asked for when it is opened. */
    public function lie(Module $module, HowMarksLie $lie): View
    {
        $this->authorize('viewGradeBook', $module);

        return view('release.how-marks-lie', ['module' => $module, 'tables' => $lie->of($module)]);
    }

    public function take(Module $module): View
    {
        $this->authorize('viewGradeBook', $module);

        return view('release.grade-book-take', [
            'module' => $module, 'columns' => GradeBookCsv::COLUMNS, 'hasMarks' => $module->mark_plan->parts !== [],
            'without' => $module->members()->where('role', Role::Student)->whereNull('candidate_number')->count(),
        ]);
    }

    public function csv(TakeGradeBookRequest $request, Module $module, GradeBookCsv $csv, Logbook $logbook): Response
    {
        $text = $csv->of($module, $request->columns(), $request->separator(), $request->decimalSign());
        $logbook->note(Entry::of(LogEvent::GradeBookTaken)->on($module)->with(form: 'csv'));

        return $this->file($text, Str::slug($module->code).'-grade-book.csv', 'text/csv; charset=UTF-8');
    }

    /** What was released, as OneRoster 1.2 results. */
    public function oneRoster(Module $module, OneRosterZip $zip, Logbook $logbook): Response
    {
        $this->authorize('viewGradeBook', $module);
        $bytes = $zip->results($module);
        $logbook->note(Entry::of(LogEvent::GradeBookTaken)->on($module)->with(form: 'oneroster'));

        return $this->file($bytes, Str::slug($module->code).'-results-oneroster.zip', 'application/zip');
    }

    private function file(string $bytes, string $name, string $type): Response
    {
        return response($bytes, 200, [
            'Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
