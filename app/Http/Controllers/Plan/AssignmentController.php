<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\CopyAssignment;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Http\Requests\AssignmentRequest;
use App\Http\Requests\Plan\CopyAssignmentRequest;
use App\Http\Requests\Plan\ForecastRequest;
use App\Models\Assignment;
use App\Models\GradeScale;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Post;
use App\Models\WritingBaseline;
use App\Queries\Plan\RubricChange;
use App\Queries\Plan\RubricLibrary;
use App\Queries\Plan\SecondMarkForecast;
use App\Wording\ChangeEffects;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marks\BandScale;

/**
 * Planning an assignment: making it, changing it, opening it to students.
 */
final class AssignmentController extends Controller
{
    public function __construct(private readonly SecondMarkForecast $forecasts)
    {
    }

    /** Leads each person to where their work on the assignment is. */
    public function show(Request $request, Assignment $assignment): RedirectResponse
    {
        $this->authorize('view', $assignment);

        return redirect()->route(match ($this->person($request)->roleIn($assignment->module_id)) {
            Role::Student => 'hand-in.show',
            Role::Tutor => 'mark.index',
            Role::Examiner => 'moderate.index',
            default => $assignment->isPublished() ? 'collect.index' : 'plan.edit',
        }, $assignment);
    }

    public function create(Request $request, Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view('plan.assignment', $this->data($request, $module, null));
    }

    public function store(AssignmentRequest $request, Module $module, SaveAssignment $save): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $assignment = $save($module, null, $request->fields(), null);

        return redirect()->route('plan.edit', $assignment)->with('said', 'Saved. Students do not see it yet.');
    }

    public function edit(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('plan.assignment', $this->data($request, $assignment->module, $assignment));
    }

    public function update(
        AssignmentRequest $request, Assignment $assignment, SaveAssignment $save, ChangeEffects $touches,
    ): RedirectResponse {
        $this->authorize('coordinate', $assignment);
        $before = $assignment->replicate();
        $saved = $save($assignment->module, $assignment, $request->fields(), $request->integer('lock_version'));

        return redirect()->route('plan.edit', $assignment)
            ->with('said', implode(' ', ['Saved.', ...$touches->between($before, $saved)]));
    }

    /** What second marks as they stand in the form will mean, in a sentence. */
    public function forecast(ForecastRequest $request, Module $module): Response
    {
        $scales = GradeScale::documentsFor($module);
        $scale = $scales[(string) $request->input('bands')] ?? $scales['classes'];

        return response(e($this->forecasts->of($module, $request->scheme(), BandScale::fromArray($scale))));
    }

    public function open(Assignment $assignment, OpenAssignment $open): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $open($assignment);

        return redirect()->route('collect.index', $assignment)->with('said', 'The assignment is open to its students.');
    }

    /** The page students get, before they do. */
    public function student(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view(
            'collect.hand-in',
            [
                'assignment' => $assignment->load('rubricVersion', 'module', 'templates'),
                'rubric' => $assignment->rubricVersion?->toCore(), 'script' => null, 'preview' => true,
            ],
        );
    }

    public function copy(CopyAssignmentRequest $request, Assignment $assignment, CopyAssignment $copy): RedirectResponse
    {
        $module = Module::query()->where('public_id', $request->input('module'))->firstOrFail();
        $this->authorize('coordinate', $module);
        $made = $copy($assignment, $module);

        return redirect()->route('plan.edit', $made)
            ->with('said', 'This is the copy. It has everything but dates and people; students do not see it yet.');
    }

    /**
     * @return array<string, mixed>
     */
    private function data(Request $request, Module $module, ?Assignment $assignment): array
    {
        $person = $this->person($request);
        $assignment?->load(['rubricVersion.rubric', 'templates']);

        return [
            'module' => $module, 'assignment' => $assignment, 'scales' => GradeScale::documentsFor($module),
            'rubrics' => RubricLibrary::usableIn($module, $person)->with(['latestVersion', 'module'])
                ->orderByRaw("FIELD(scope, 'module', 'person', 'institution')")->orderBy('title')->get(),
            'newer' => $assignment !== null && $assignment->isPublished() ? RubricChange::newer($assignment) : null,
            'baselines' => WritingBaseline::query()->where('module_id', $module->id)->orderBy('name')->get(),
            'written' => $assignment?->isDiscussion()
                && Post::query()->whereIn('topic_id', $assignment->topics->modelKeys())->exists(),
            'handedIn' => $assignment?->scripts()->whereNotNull('current_handin_id')->count() ?? 0,
            'withMarkers' => $assignment?->scripts()->whereHas('marks')->exists() ?? false,
            'forecast' => $this->forecasts->of(
                $module, $assignment->scheme ?? Scheme::usual(),
                $assignment?->scale() ?? BandScale::fromArray(GradeScale::documentsFor($module)['classes']),
            ),
            'modules' => Module::query()
                ->whereIn(
                    'id',
                    $person->memberships->filter(
                        fn (Membership $m) => $m->role === Role::Coordinator
                    )->pluck('module_id'),
                )
                ->orderBy('code')->get(),
        ];
    }
}
