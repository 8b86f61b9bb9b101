<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Enums\RubricState;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Rubric;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use YoungHarbor\Core\Formats\CaseRubric;
use YoungHarbor\Core\Formats\RubricCsv;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftChanges;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\Rubric as CoreRubric;
use YoungHarbor\Core\Rubric\Scorer;
use YoungHarbor\Core\Rubric\ScoreWorking;

/**
 * The pages around a rubric's sheet: a trial of it, what students see, its versions, ways to take it out.
 */
final class RubricPagesController extends Controller
{
    /** Marks with the rubric as a marker would; nothing is stored. */
    public function try(Request $request, Rubric $rubric): View
    {
        $this->authorize('view', $rubric);
        $core = $this->core($rubric);
        if (! $core instanceof CoreRubric) {
            return view('plan.rubric-try', ['rubric' => $rubric, 'faults' => $core]);
        }
        $form = $request->input('marks');
        $marks = CriterionMarks::usual();
        $refused = [];
        foreach ($core->criteria as $criterion) {
            $part = is_array($form) && is_array($form[$criterion->id()] ?? null) ? $form[$criterion->id()] : [];
            try {
                $mark = MarkForm::mark($criterion, $part);
                $criterion->points($mark);
                $marks = $marks->with($criterion->id(), $mark);
            } catch (InvalidInput $e) {
                $refused[] = $criterion->title().': '.$e->faults[0]->what;
            }
        }
        try {
            $score = Scorer::score($core, $marks);
        } catch (InvalidInput $e) {
            $refused[] = ucfirst($e->faults[0]->what);
            $score = Scorer::score($core, []);
        }
        $data = [
            'rubric' => $rubric, 'core' => $core, 'marks' => $marks, 'score' => $score,
            'working' => ScoreWorking::of($score, $core->weighting, $core->decimals), 'refused' => $refused,
        ];

        return view($request->header('HX-Request') === null ? 'plan.rubric-try' : 'plan.rubric-tried', $data);
    }

    public function students(Request $request, Rubric $rubric): View
    {
        $this->authorize('view', $rubric);

        return view(
            'plan.rubric-students',
            [
                'rubric' => $rubric, 'core' => $this->core($rubric),
                'editable' => $request->user()?->can('edit', $rubric) === true
                    && $rubric->state === \App\Enums\RubricState::WorkingCopy,
            ],
        );
    }

    public function versions(Rubric $rubric): View
    {
        $this->authorize('view', $rubric);
        $versions = $rubric->versions()->with('madeBy:id,name')->orderByDesc('number')->get();
        $used = Assignment::query()->whereIn('rubric_version_id', $versions->pluck('id'))->with('module')
            ->orderBy('title')->get()->groupBy('rubric_version_id');
        $changes = [];
        foreach ($versions as $i => $version) {
            $before = $versions[$i + 1] ?? null;
            $changes[$version->id] = $before === null
                ? null
                : DraftChanges::between(Draft::of($before->document), Draft::of($version->document));
        }
        $latest = $versions->first();
        $open = $latest === null || $rubric->state !== RubricState::WorkingCopy
            ? null
            : DraftChanges::between(Draft::of($latest->document), $rubric->draft());

        return view(
            'plan.rubric-versions',
            ['rubric' => $rubric, 'versions' => $versions, 'used' => $used, 'changes' => $changes, 'open' => $open],
        );
    }

    public function files(Rubric $rubric): View
    {
        $this->authorize('view', $rubric);
        $draft = $rubric->draft();

        return view(
            'plan.rubric-files',
            [
                'rubric' => $rubric, 'lost' => ['case' => CaseRubric::lost($draft), 'csv' => RubricCsv::lost($draft)],
                'complete' => $draft->faults() === [],
            ],
        );
    }

    /**
     * @return CoreRubric|list<string> the rubric, or what keeps it from being one
     */
    private function core(Rubric $rubric): CoreRubric|array
    {
        try {
            return CoreRubric::fromArray($rubric->document);
        } catch (InvalidInput $e) {
            return array_map(fn (Fault $fault) => RubricController::inWords($fault, $rubric->draft()), $e->faults);
        }
    }
}
