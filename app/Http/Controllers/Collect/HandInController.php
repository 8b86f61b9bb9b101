<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\DropUploads;
use App\Actions\Collect\NoteBriefOpened;
use App\Actions\Collect\TakeHandIn;
use App\Discussion\DiscussionReader;
use App\Exceptions\Refused;
use App\Extraction\Refusal;
use App\Http\Arrival;
use App\Http\Controllers\Controller;
use App\Http\Requests\HandInRequest;
use App\Models\Allowance;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\Extension;
use App\Models\Handin;
use App\Models\Script;
use App\Models\TypedText;
use App\Queries\Collect\DueTimes;
use App\Queries\Observe\OwnSlot;
use App\Wording\LocalTime;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * A student's page of an assignment: the brief and the rubric before they write, their due time, handing in.
 */
final class HandInController extends Controller
{
    public function show(
        Request $request, Assignment $assignment, DueTimes $times, NoteBriefOpened $note,
    ): View {
        $this->authorize('handIn', $assignment);
        $script = Script::query()->where('assignment_id', $assignment->id)
            ->where('student_id', $this->person($request)->id)->first();
        $script === null || $note($script);
        $script?->setRelation('assignment', $assignment);

        return view('collect.hand-in', [
            'assignment' => $assignment->load('rubricVersion', 'module.closureDays', 'templates'),
            'rubric' => $assignment->rubricVersion?->toCore(),
            'checksLeft' => DraftCheck::left($assignment, $this->person($request)),
            'drafts' => $script === null
                ? collect()
                : DraftCheck::query()->where('script_id', $script->id)->where('student_id', $script->student_id)
                    ->latest('id')->get(['id', 'public_id', 'script_id', 'state', 'share', 'created_at']),
            'script' => $script?->load(
                ['handins' => fn ($query) => $query->with('files', 'by:id,name')->orderByDesc('attempt'), 'result', 'openCases']
            ),
            'dueTime' => $script === null ? null : $times->of(collect([$script]))[$script->id] ?? null,
            'granted' => $script === null ? [] : $this->granted($assignment, $script),
            'typed' => $script === null
                ? null
                : TypedText::query()->where('script_id', $script->id)->where('student_id', $script->student_id)
                    ->first(),
            'reader' => $assignment->isDiscussion() ? DiscussionReader::of($this->person($request), $assignment) : null,
            'ownSlot' => $script !== null && $assignment->isObserved() ? OwnSlot::of($script) : null,
            'rounds' => $assignment->rounds->whereNotNull('opened_at'),
            'contribution' => $assignment->contribution?->opened_at === null ? null : $assignment->contribution,
            'withMarkers' => $script !== null && $script->current_handin_id !== null
                && Script::areWithMarkers(new EloquentCollection([$script])),
        ]);
    }

    public function store(
        HandInRequest $request, Assignment $assignment, TakeHandIn $handIn, DropUploads $drop,
    ): RedirectResponse|JsonResponse {
        $once = $request->filled('once') ? $request->string('once')->lower()->toString() : null;
        // The answer to this very form was lost on its way: it is given again, though its files are put away by now.
        $handin = $once === null
            ? null
            : Handin::query()->where('once', $once)
                ->whereHas(
                    'script',
                    fn ($query) => $query->where('assignment_id', $assignment->id)->where(
                        'student_id', $this->person($request)->id,
                    ),
                )
                ->first();
        try {
            if ($handin === null) {
                $declared = $request->declared();
                $handin = $handIn(
                    $assignment, $this->person($request), $request->works(), $declared, Arrival::of($request),
                    $request->ahead(), $once,
                );
                $drop($request->uploads());
            }
        } catch (Refused|ValidationException $e) {
            $request->keepTyped();
            throw $e;
        } catch (Refusal $e) {
            $request->keepTyped();
            throw ValidationException::withMessages(
                ['file' => $e->getMessage().' What you handed in before, if anything, still counts.']
            );
        }

        return $request->expectsJson()
            ? response()->json(['to' => route('receipts.show', $handin)])
            : redirect()->route('receipts.show', $handin);
    }

    /**
     * Who gave this student more time, and when. Why stands on the coordinator's page only.
     *
     * @return list<string>
     */
    private function granted(Assignment $assignment, Script $script): array
    {
        $extension = Extension::query()->where('assignment_id', $assignment->id)
            ->where('student_id', $script->student_id)->whereNull('ended_at')->with('giver:id,name')->latest('id')
            ->first();
        $allowance = Allowance::query()->where('module_id', $assignment->module_id)
            ->where('student_id', $script->student_id)->whereNull('ended_at')->with('giver:id,name')->latest('id')
            ->first();

        return [
            ...(
                $allowance === null
                    ? []
                    : [
                        "What you are always allowed ({$allowance->inWords()}) was set by {$allowance->giver->name}, "
                            .LocalTime::day($allowance->created_at).'.',
                    ]
            ),
            ...(
                $extension === null
                    ? []
                    : ["The extension was given by {$extension->giver->name}, ".LocalTime::day($extension->created_at).'.']
            ),
        ];
    }
}
