<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\MeasureAgain;
use App\Enums\WritingState;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Script;
use App\Models\WritingReport;
use App\Queries\Screen\ConversationRecord;
use App\Queries\Screen\WritingList;
use App\Queries\Screen\WritingReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Writing signals over a cohort and of one script.
 */
final class WritingController extends Controller
{
    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $written = WritingList::of($assignment, $request->query('show'));
        $counts = $written->counts();

        return view('screen.writing', [
            'assignment' => $assignment->load('writingBaseline'), 'written' => $written, 'counts' => $counts,
            'rows' => $written->page(max(1, $request->integer('page', 1))),
            'strip' => $written->strip(), 'sections' => $written->sections(),
            'working' => $assignment->writing_baseline_id !== null && $counts['s_waiting'] > 0,
        ]);
    }

    public function measure(Assignment $assignment, MeasureAgain $measure): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        abort_if(
            $assignment->writing_baseline_id === null, 409, 'Choose a baseline for this assignment first, under Plan.',
        );
        $measure($assignment->id);

        return redirect()->route('writing.index', $assignment)->with('said', 'The scripts are being measured again.');
    }

    public function show(Request $request, Script $script, ConversationRecord $conversation): View
    {
        $this->authorize('viewOverlap', $script);
        $assignment = $script->assignment;
        $report = $assignment->writing_baseline_id === null
            ? null
            : WritingReport::query()->where('handin_id', $script->current_handin_id)->with('baseline', 'handin')
                ->first();
        $ready = $report?->state === WritingState::Ready;
        $counts = WritingList::of($assignment, null)->counts();

        return view('screen.written', [
            'assignment' => $assignment, 'script' => $script, 'report' => $report,
            'reading' => $ready ? WritingReading::of($report) : null,
            'measured' => $counts['s_ready'], ...$conversation->of($script, $this->person($request)),
        ]);
    }
}
