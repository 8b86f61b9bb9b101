<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\RerunScreening;
use App\Enums\ReportState;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Script;
use App\Support\OverlapReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Text overlap: the cohort, and one script beside its sources.
 */
final class ScreenController extends Controller
{
    public function index(Request $request, Assignment $assignment): View|Response
    {
        $this->authorize('coordinate', $assignment);
        $scripts = $assignment->scripts()->whereNotNull('current_handin_id')->whereNull('lead_id')
            ->with(['currentHandin:id,script_id,words', 'currentHandin.report' => fn ($query) => $query->withCount('runs')])
            ->get()->sortBy([
                fn (Script $a, Script $b) => (float) ($b->currentHandin?->report->share ?? -1) <=> (float) ($a->currentHandin?->report->share ?? -1),
                fn (Script $a, Script $b) => $a->code <=> $b->code,
            ]);
        $states = $scripts->countBy(fn (Script $script) => $script->currentHandin?->report->state->value ?? ReportState::Waiting->value);
        $working = ($states['waiting'] ?? 0) + ($states['running'] ?? 0) > 0;
        $data = ['assignment' => $assignment, 'scripts' => $scripts, 'states' => $states, 'working' => $working];
        if ($request->header('HX-Request') === null) {
            return view('screen.index', $data);
        }

        // When the last one is done the whole page is wanted, the fairway with it.
        return response()->view('screen.table', $data)->withHeaders($working ? [] : ['HX-Refresh' => 'true']);
    }

    public function show(Request $request, Script $script, OverlapReading $reading): View
    {
        $this->authorize('viewOverlap', $script);

        return view('screen.show', [
            'assignment' => $script->assignment, 'script' => $script,
            'reading' => $reading->of($script, $request->integer('run', 1)),
        ]);
    }

    public function rerun(Request $request, Assignment $assignment, RerunScreening $rerun): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $count = $rerun($assignment, $request->input('which') === 'failed');

        return redirect()->route('screen.index', $assignment)->with('said', "{$count} hand-ins are being compared again.");
    }
}
