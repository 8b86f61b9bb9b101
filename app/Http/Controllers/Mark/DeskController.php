<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\ReopenMark;
use App\Actions\Mark\SaveChoice;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Models\Mark;
use App\Support\DeskQueue;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\Working;
use YoungHarbor\Core\Rubric\MarkForm;

/**
 * The desk: one script and the rubric side by side. Everything is saved as it is chosen or typed.
 */
final class DeskController extends Controller
{
    public function show(Mark $mark, DeskQueue $queue): View
    {
        $this->authorize('open', $mark);
        $mark->load(['script.assignment.module', 'script.settlement', 'handin.files', 'rubricVersion']);
        $score = $mark->score();
        $rubric = $mark->rubricVersion->toCore();

        return view('mark.desk', [
            'mark' => $mark, 'script' => $mark->script, 'assignment' => $mark->script->assignment,
            'rubric' => $rubric, 'score' => $score, 'queue' => $queue->around($mark),
            'working' => Working::ofScore($score, $rubric->weighting, $rubric->decimals),
        ]);
    }

    public function choose(Request $request, Mark $mark, string $criterion, SaveChoice $save): View|RedirectResponse
    {
        $this->authorize('open', $mark);
        $request->validate(['stop' => ['nullable', 'string', 'max:200'], 'points' => ['nullable', 'string', 'max:20'], 'comment' => ['nullable', 'string', 'max:20000'], 'done' => ['nullable', 'array'], 'partly' => ['nullable', 'array']]);
        $found = $mark->rubricVersion->toCore()->criterion($criterion) ?? abort(404);
        try {
            $saved = $save($mark, $criterion, MarkForm::choice($found, $request->only(['stop', 'points', 'comment', 'done', 'partly', 'none', 'na'])));
        } catch (InvalidInput $e) {
            throw new Refused(implode('; ', array_map(fn (Fault $fault) => (string) $fault, $e->faults)).'. Nothing was changed.');
        }

        return $this->saved($request, $saved);
    }

    public function comment(Request $request, Mark $mark, ChangeMark $change): View|RedirectResponse
    {
        $this->authorize('open', $mark);
        $fields = $request->validate(['general_comment' => ['nullable', 'string', 'max:20000']]);
        $saved = $change($mark, function (Mark $stored) use ($fields): void {
            $stored->general_comment = (string) ($fields['general_comment'] ?? '');
        });

        return $this->saved($request, $saved);
    }

    public function done(Mark $mark, FinishMark $finish, DeskQueue $queue): RedirectResponse
    {
        $this->authorize('open', $mark);
        $finish($mark);
        $next = $queue->nextOpen($mark);

        return ($next === null ? redirect()->route('mark.index', $mark->script->assignment) : redirect()->route('mark.desk', $next))
            ->with('said', "{$mark->script->code} is done.".($next === null ? ' Nothing is left in your queue.' : ''));
    }

    public function reopen(Mark $mark, ReopenMark $reopen): RedirectResponse
    {
        $this->authorize('open', $mark);
        $reopen($mark);

        return redirect()->route('mark.desk', $mark)->with('said', 'Open again. It counts as not done until you say so.');
    }

    private function saved(Request $request, Mark $mark): View|RedirectResponse
    {
        if ($request->header('HX-Request') === null) {
            return redirect()->route('mark.desk', $mark);
        }
        $rubric = $mark->rubricVersion->toCore();
        $score = $mark->score();

        return view('mark.total', ['mark' => $mark, 'rubric' => $rubric, 'score' => $score, 'working' => Working::ofScore($score, $rubric->weighting, $rubric->decimals), 'saved' => now()]);
    }
}
