<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\SaveClosureDays;
use App\Http\Requests\ClosureDaysRequest;
use App\Models\ClosureDay;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\ClosureDays;

/**
 * Days on which the institution is closed: lateness can leave them out, and extra days do not end on them.
 */
final class ClosureDaysController extends Controller
{
    public function index(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view(
            'modules.closure-days',
            [
                'module' => $module,
                'lines' => $module->closureDays->map(
                    fn (ClosureDay $day) => trim("{$day->day->format('Y-m-d')} {$day->name}")
                )->implode("\n"),
            ],
        );
    }

    public function store(ClosureDaysRequest $request, Module $module, SaveClosureDays $save): RedirectResponse
    {
        try {
            $save($module, ClosureDays::read((string) $request->input('lines')), $this->person($request));
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(
                [
                    'lines' => [
                        'Nothing was changed.',
                        ...array_map(fn (Fault $fault) => "{$fault}.", array_slice($e->faults, 0, 20)),
                    ],
                ]
            );
        }

        return redirect()->route('closure-days.index', $module)
            ->with('said', 'The closure days are kept, and due times follow them.');
    }
}
