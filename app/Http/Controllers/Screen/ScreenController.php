<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\RerunScreening;
use App\Actions\Screen\StopScreening;
use App\Http\Controllers\Controller;
use App\Http\Requests\Screen\RerunRequest;
use App\Models\Assignment;
use App\Queries\Screen\OverlapList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Text overlap over a cohort: every script with its figures, and who shares text with whom.
 */
final class ScreenController extends Controller
{
    /** Words from which a link is drawn, when nothing else is asked. */
    private const LINK = 20;

    private const WIDTH = 1180.0;

    public function index(Request $request, Assignment $assignment): View|Response
    {
        $this->authorize('coordinate', $assignment);
        $screened = OverlapList::of($assignment, $request->query());
        $counts = $screened->counts();
        $working = $counts['s_waiting'] + $counts['s_running'] + $counts['s_web'] > 0;
        $least = max(8, min(2000, $request->integer('link', self::LINK)));
        $data = [
            'assignment' => $assignment, 'screened' => $screened, 'counts' => $counts, 'working' => $working,
            'rows' => $screened->page(max(1, $request->integer('page', 1))), 'least' => $least,
        ];
        if ($request->header('HX-Request') === null || $request->header('HX-Boosted') !== null) {
            return view('screen.index', [...$data, 'network' => $screened->network($least, self::WIDTH)]);
        }

        // When the last one is done the whole page is wanted, the fairway with it.
        return response()->view('screen.table', $data)->withHeaders($working ? [] : ['HX-Refresh' => 'true']);
    }

    public function rerun(RerunRequest $request, Assignment $assignment, RerunScreening $rerun): RedirectResponse
    {
        $which = $request->validated()['which'];
        $count = $rerun($assignment, $which);

        return redirect()->route('screen.index', $assignment)
            ->with(
                'said',
                $count === 1 ? 'One hand-in is being compared again.' : "{$count} hand-ins are being compared again.",
            );
    }

    public function stop(Assignment $assignment, StopScreening $stop): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $count = $stop($assignment);

        return redirect()->route('screen.index', $assignment)
            ->with(
                'said', "{$count} stopped. What is ready stays as it is; the rest can be taken up again at any time.",
            );
    }
}
