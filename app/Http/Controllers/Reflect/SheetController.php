<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reflect;

use App\Actions\Reflect\OpenSheet;
use App\Actions\Reflect\SaveSheet;
use App\Actions\Reflect\WriteSheet;
use App\Http\Controllers\Controller;
use App\Http\Requests\Reflect\SheetRequest;
use App\Http\Requests\Reflect\WriteSheetRequest;
use App\Models\Module;
use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use App\Notices\Notices;
use App\Queries\Reflect\SheetReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Reflections without a hand-in: planned by coordinators, written by students, read as a list.
 */
final class SheetController extends Controller
{
    public function index(Request $request, Module $module): View
    {
        $this->authorize('viewSheets', $module);
        $person = $this->person($request);
        $sheets = ReflectionSheet::query()->where('module_id', $module->id)->withCount([
            'answers as done_count' => fn ($answer) => $answer->whereNotNull('done_at'),
        ])->orderByDesc('due_at')->get()->filter(
            fn (ReflectionSheet $one) => $person->can('read', $one) || $person->can('write', $one),
        );

        return view('reflect.index', [
            'module' => $module, 'sheets' => $sheets->values(), 'own' => SheetAnswer::query()
                ->where('user_id', $person->id)->whereIn('sheet_id', $sheets->modelKeys())->get()->keyBy('sheet_id'),
        ]);
    }

    public function store(SheetRequest $request, Module $module, SaveSheet $save): RedirectResponse
    {
        $sheet = $save(
            $module, null, $request->string('title')->toString(), $request->settings(), $request->dueAt(),
            $request->person(),
        );

        return redirect()->route('sheets.show', $sheet)->with('said', __('sheets.made'));
    }

    public function update(SheetRequest $request, ReflectionSheet $sheet, SaveSheet $save): RedirectResponse
    {
        $save(
            $sheet->module, $sheet, $request->string('title')->toString(), $request->settings(), $request->dueAt(),
            $request->person(),
        );

        return redirect()->route('sheets.show', $sheet)->with('said', __('sheets.saved'));
    }

    public function open(Request $request, ReflectionSheet $sheet, OpenSheet $open): RedirectResponse
    {
        $this->authorize('coordinate', $sheet);
        $open($sheet, $this->person($request));

        return redirect()->route('sheets.show', $sheet)->with('said', __('sheets.opened'));
    }

    public function show(Request $request, ReflectionSheet $sheet, Notices $notices): View
    {
        $person = $this->person($request);
        if ($person->can('read', $sheet)) {
            return view('reflect.read', ['sheet' => $sheet, 'module' => $sheet->module, 'reading' => SheetReading::of($sheet)]);
        }
        $this->authorize('write', $sheet);
        $notices->readAt($person->id, route('sheets.show', $sheet, false));

        return view('reflect.write', [
            'sheet' => $sheet, 'module' => $sheet->module,
            'own' => SheetAnswer::query()->where('sheet_id', $sheet->id)->where('user_id', $person->id)->first(),
        ]);
    }

    public function write(WriteSheetRequest $request, ReflectionSheet $sheet, WriteSheet $write): RedirectResponse
    {
        $missing = array_sum($write($sheet, $request->texts(), $request->person()));

        return redirect()->route('sheets.show', $sheet)->with('said', $missing === 0
            ? __('sheets.done') : trans_choice('sheets.kept', $missing, ['count' => $missing]));
    }
}
