<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\DropPlan;
use App\Actions\ShareOut\HandOver;
use App\Actions\ShareOut\LookAtName;
use App\Actions\ShareOut\MoveInPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\ShareOut\HandOverRequest;
use App\Http\Requests\ShareOut\LookAtNameRequest;
use App\Http\Requests\ShareOut\MoveInPlanRequest;
use App\Http\Requests\ShareOut\PlanRequest;
use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\Conflict;
use App\Models\Membership;
use App\Models\Script;
use App\Queries\ShareOut\GivenMark;
use App\Queries\ShareOut\NamesToCheck;
use App\Queries\ShareOut\Planning;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondMarks;

/**
 * Sharing scripts out: agree who marks how much, look at a plan, move scripts about in it, give them out.
 */
final class ShareOutController extends Controller
{
    private const PAGE = 100;

    public function __construct(private readonly Planning $planning)
    {
    }

    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $draft = AllocationPlan::draftOf($assignment);
        $people = $this->planning->people($assignment);

        return view('share-out.index', [
            'assignment' => $assignment, 'people' => $people, 'agreed' => $this->planning->agreed($assignment),
            'draft' => $draft,
            'sections' => Membership::query()->where('module_id', $assignment->module_id)->whereNotNull('section')
                ->distinct()->orderBy('section')->pluck('section')->all(),
            'seed' => $draft->seed ?? random_int(1, 9999),
            'open' => $assignment->scripts()->whereNotNull('current_handin_id')->whereNull('lead_id')
                ->where(
                    fn ($query) => $query->whereDoesntHave(
                        'marks', fn ($marks) => $marks->where('seat', Seat::First),
                    )->when(
                        $assignment->scheme->marksTwice(),
                        fn ($query) => $query->orWhere(
                            fn ($twice) => $twice->whereDoesntHave(
                                'marks', fn ($marks) => $marks->where('seat', Seat::Second),
                            )->when(
                                $assignment->scheme->second === SecondMarks::Sample,
                                fn ($sampled) => $sampled->where('sampled', Sampled::In),
                            ),
                        ),
                    )
                )->count(),
            'conflicts' => Conflict::query()->where('module_id', $assignment->module_id)->count(),
            'unknown' => $draft === null
                ? 0
                : $this->planning->scripts($assignment)->pluck('code')->diff(array_column($draft->entries, 'script'))
                    ->count(),
            'toCheck' => NamesToCheck::of($assignment), ...$this->standing($request, $assignment, $draft),
        ]);
    }

    /** Works a plan out with what was agreed. */
    public function plan(PlanRequest $request, Assignment $assignment, WorkOutPlan $workOut): RedirectResponse
    {
        $fields = $request->validated();
        $markers = [];
        foreach (
            $this->planning->people($assignment)->map(fn (Membership $member) => $member->user)
                ->whereIn('public_id', $fields['markers']) as $person
        ) {
            $share = trim((string) ($fields['share'][$person->public_id] ?? '1'));
            $sections = array_values(
                array_filter(
                    (array) ($fields['sections'][$person->public_id] ?? []),
                    fn (mixed $section) => is_string($section) && $section !== '',
                )
            );
            $markers[] = [
                'marker' => $person->public_id, 'share' => $share === '' ? '1' : $share,
                'sections' => $sections === [] ? null : $sections,
            ];
        }
        try {
            $workOut(
                $assignment, $markers, (int) $fields['seed'], $request->boolean('keep_groups'),
                $request->boolean('even_out'), $this->person($request),
            );
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(
                [
                    'markers' => array_map(
                        fn (Fault $fault) => ucfirst(($fault->place === 'share' ? 'a share ' : '').$fault->what).'.',
                        $e->faults,
                    ),
                ]
            );
        }

        return redirect()->route('share-out.index', $assignment);
    }

    public function move(MoveInPlanRequest $request, AllocationPlan $plan, MoveInPlan $move): View|RedirectResponse
    {
        $fields = $request->validated();
        $moved = $move($plan, mb_strtoupper(trim($fields['script'])), $fields['part'], $fields['to']);
        if ($request->header('HX-Request') === null) {
            return redirect()->route('share-out.index', [$plan->assignment, ...$request->only(['with', 'page'])]);
        }

        return view(
            'share-out.plan',
            [
                'assignment' => $moved->assignment, 'draft' => $moved,
                'people' => $this->planning->people($moved->assignment), 'moved' => $fields,
                ...$this->standing($request, $moved->assignment, $moved),
            ],
        );
    }

    public function apply(Request $request, AllocationPlan $plan, ApplyPlan $apply): RedirectResponse
    {
        $this->authorize('coordinate', $plan->assignment);
        throw_if(
            $request->integer('seen') !== $plan->lock_version,
            new Refused(
                'Someone moved a script in this plan after you had looked at it. Look at it once more, then give it out.'
            ),
        );
        $done = $apply($plan, $this->person($request));
        $said = array_filter([
            $done['given'] > 0
                ? ($done['given'] === 1 ? '1 mark is given out' : "{$done['given']} marks are given out")
                : '',
            $done['moved'] > 0
                ? ($done['moved'] === 1 ? '1 has a new marker' : "{$done['moved']} have a new marker")
                : '',
            $done['taken'] > 0 ? "{$done['taken']} taken back" : '',
            $done['stayed'] !== []
                ? 'begun meanwhile, so left where they are: '.implode(', ', array_unique($done['stayed']))
                : '',
        ]);

        return redirect()->route('share-out.index', $plan->assignment)->with('said', ucfirst(implode('; ', $said)).'.');
    }

    public function drop(AllocationPlan $plan, DropPlan $drop): RedirectResponse
    {
        $this->authorize('coordinate', $plan->assignment);
        $drop($plan);

        return redirect()->route('share-out.index', $plan->assignment)
            ->with('said', 'The plan is dropped. Everything is with whom it was.');
    }

    /** What someone has begun and cannot finish goes to someone else, who begins anew. */
    public function handOver(HandOverRequest $request, Assignment $assignment, HandOver $handOver): RedirectResponse
    {
        $fields = $request->validated();
        $to = $request->to();
        $handOver(
            $assignment, $fields['script'], Seat::from($fields['part']), $to, trim($fields['reason']),
            $request->person(),
        );

        return redirect()->route('share-out.index', $assignment)
            ->with(
                'said', "{$fields['script']} is with {$to->name} now. What was begun is kept, and counts for nothing.",
            );
    }

    /** The coordinator asks whose script it is; the look is logged. */
    public function name(LookAtNameRequest $request, Script $script, LookAtName $look): RedirectResponse
    {
        $fields = $request->validated();
        $names = $look($script, $fields['reason']);

        return back()->with('said', "{$script->code} is {$names}. This look is in the logbook.");
    }

    /**
     * The table of the page: each script with its marks, as a draft has them or as they stand; filtered and in pages.
     *
     * @return array<string, mixed>
     */
    private function standing(Request $request, Assignment $assignment, ?AllocationPlan $draft): array
    {
        $names = $this->planning->people($assignment)
            ->mapWithKeys(fn (Membership $member) => [$member->user->public_id => $member->user->name])->all();
        $marks = $this->planning->marks($assignment);
        $state = [];
        foreach ($marks as $mark) {
            $state["{$mark->code} {$mark->part}"] = $mark->state();
        }
        $entries = $draft->entries
            ?? array_map(
                fn (GivenMark $mark) => [
                    'script' => $mark->code, 'part' => $mark->part, 'marker' => $mark->marker, 'from' => $mark->marker,
                    'fixed' => $mark->isBegun,
                ],
                $marks,
            );
        $rows = [];
        foreach ($entries as $entry) {
            $rows[$entry['script']][$entry['part']] = [
                ...$entry, 'state' => $state["{$entry['script']} {$entry['part']}"] ?? '',
            ];
        }
        ksort($rows);
        $wanted = trim((string) $request->input('with', ''));
        $shown = new Collection($rows);
        if ($wanted !== '') {
            $shown = $shown->filter(
                fn (array $row, string $code) => str_contains($code, mb_strtoupper($wanted))
                || array_filter(
                    $row, fn (array $mark) => $mark['marker'] === $wanted || $mark['from'] === $wanted,
                ) !== []
                || ($wanted === 'nobody' && array_filter($row, fn (array $mark) => $mark['marker'] === null) !== [])
                || (
                    $wanted === 'changed'
                    && array_filter($row, fn (array $mark) => $mark['marker'] !== $mark['from']) !== []
                )
            );
        }
        $page = max(1, min($request->integer('page', 1), (int) ceil(max(1, $shown->count()) / self::PAGE)));
        $works = collect($this->planning->works($assignment, $this->planning->scripts($assignment)))->keyBy('id');
        foreach ($marks as $mark) { // people who have left the module still have names
            $names[$mark->marker] ??= $mark->name;
        }

        return [
            'names' => $names, 'works' => $works, 'wanted' => $wanted, 'parts' => Planning::parts($assignment),
            'rows' => (
                new LengthAwarePaginator(
                    $shown->slice(($page - 1) * self::PAGE, self::PAGE), $shown->count(), self::PAGE, $page,
                    ['path' => route('share-out.index', $assignment)],
                )
            )->appends($wanted === '' ? [] : ['with' => $wanted]),
            'picture' => $draft === null ? null : $this->planning->picture($draft),
        ];
    }
}
