<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Membership;
use App\Models\Module;
use App\Queries\Release\GradeBook;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Students by assignments. Marks stand here once they are released.
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

    public function show(Module $module, GradeBook $book): View
    {
        $this->authorize('viewGradeBook', $module);

        return view('release.grade-book', ['module' => $module, 'book' => $book->of($module)]);
    }

    public function csv(Module $module, GradeBook $book, Logbook $logbook): StreamedResponse
    {
        $this->authorize('viewGradeBook', $module);
        $logbook->note(Entry::of(LogEvent::GradeBookTaken)->on($module));
        $lines = $book->csv($book->of($module));

        return response()->streamDownload(function () use ($lines): void {
            foreach ($lines as $line) {
                echo $line;
            }
        }, Str::slug($module->code).'-grade-book.csv', ['Content-Type' => 'text/csv; charset=UTF-8']);
    }
}
