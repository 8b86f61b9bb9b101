<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\ChangeAssignmentRubric;
use App\Http\Controllers\Controller;
use App\Http\Requests\Plan\ChangeRubricRequest;
use App\Models\Assignment;
use App\Queries\Plan\RubricChange;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftChanges;

/**
 * A newer version of an assignment's rubric: what it changes, which marks by how much, and the choice.
 */
final class AssignmentRubricController extends Controller
{
    public function show(Request $request, Assignment $assignment, RubricChange $change): View
    {
        $this->authorize('coordinate', $assignment);
        $to = RubricChange::newer($assignment);
        $from = $assignment->rubricVersion;

        return view('plan.assignment-rubric', [
            'assignment' => $assignment, 'from' => $from, 'to' => $to,
            'changes' => $from === null || $to === null
                ? []
                : DraftChanges::between(Draft::of($from->document), Draft::of($to->document)),
            'marks' => $to === null ? ['rows' => [], 'stays' => 0, 'open' => 0] : $change->preview($assignment, $to),
            'maySee' => $request->user()?->can('viewAllMarks', $assignment) === true,
        ]);
    }

    public function update(
        ChangeRubricRequest $request, Assignment $assignment, ChangeAssignmentRubric $change,
    ): RedirectResponse {
        $fields = $request->validated();
        $counts = $change($assignment, $fields['marks'], (int) $fields['to']);

        return redirect()->route('plan.edit', $assignment)
            ->with(
                'said',
                "The newer rubric is in use. {$counts['changed']} marks went over, {$counts['kept']} stay as they were, {$counts['opened']} are open again. Students are written to.",
            );
    }
}
