<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\LeaveOut;
use App\Actions\Screen\NoteRecordRead;
use App\Actions\Screen\RecordConversation;
use App\Actions\Screen\ShareRecord;
use App\Actions\Screen\UndoLeaveOut;
use App\Documents\Pdf;
use App\Enums\ConversationFinding;
use App\Enums\LeftOutBy;
use App\Enums\OverlapReader;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Http\Requests\Screen\ConversationRequest;
use App\Http\Requests\Screen\LeaveOutRequest;
use App\Http\Requests\Screen\ShareRecordRequest;
use App\Models\ConversationEntry;
use App\Models\OverlapChoice;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Script;
use App\Models\User;
use App\Queries\Screen\ConversationRecord;
use App\Queries\Screen\OverlapReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/**
 * The overlap report of one script: read beside its sources, argued with, kept.
 */
final class OverlapController extends Controller
{
    public function show(
        Request $request, Script $script, OverlapReading $reading, ConversationRecord $conversation,
    ): View {
        $this->authorize('viewOverlap', $script);
        $report = $script->currentHandin?->report;

        return view('screen.show', [
            'assignment' => $script->assignment, 'script' => $script, 'report' => $report,
            'asked' => $this->asked($request),
            'reading' => $report === null
                ? null
                : $reading->ofReport($report, $script, $request->query(), OverlapReader::ofStaff($script)),
            'reader' => OverlapReader::ofStaff($script),
            ...$conversation->of($script, $this->person($request)),
            'choices' => $report === null
                ? collect()
                : OverlapChoice::query()->where('overlap_report_id', $report->id)->with('by:id,name')->latest('id')
                    ->get(),
        ]);
    }

    /** The report of a student's own script, in words for students, when the assignment shows it. */
    public function own(Request $request, Script $script, OverlapReading $reading): View
    {
        $this->authorize('viewOwnOverlap', $script);
        $report = $script->leadScript()->currentHandin?->report;

        return view('screen.own', [
            'assignment' => $script->assignment, 'script' => $script, 'asked' => $this->asked($request),
            'reading' => $report === null
                ? null
                : $reading->ofReport($report, $script, $request->query(), OverlapReader::Student),
        ]);
    }

    public function pdf(Request $request, Script $script, OverlapReading $reading, Pdf $pdf): Response
    {
        $this->authorize('viewOverlap', $script);
        $report = $script->currentHandin?->report;
        $read = $report === null
            ? null
            : $reading->ofReport($report, $script, ['whole' => '1'], OverlapReader::ofStaff($script));
        abort_if(
            $report === null || $read === null, 409,
            'This script is being compared. The report can be kept once that is done.',
        );
        $document = $pdf->of('screen.document', [
            'assignment' => $script->assignment, 'script' => $script, 'reader' => OverlapReader::ofStaff($script),
            'report' => $report, 'reading' => $read, 'there' => $reading->passages($read),
            'entries' => Gate::allows('viewConversation', $script)
                ? ConversationEntry::query()->where('script_id', $script->id)->with('by:id,name')->oldest('id')->get()
                : collect(),
            'choices' => OverlapChoice::query()->where('overlap_report_id', $report->id)->whereNull('undone_at')
                ->with('by:id,name', 'source.handin.script')->oldest('id')->get(),
        ]);

        return response(
            $document, 200,
            [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => "attachment; filename=\"overlap {$script->code}.pdf\"",
            ],
        );
    }

    public function leaveOut(LeaveOutRequest $request, Script $script, LeaveOut $leaveOut): RedirectResponse
    {
        $fields = $request->validated();
        $leaveOut($this->report($script), LeftOutBy::from($fields['what']), [
            ...(
                isset($fields['source'])
                    ? ['source' => (int) OverlapSource::query()->where('public_id', $fields['source'])->value('id')]
                    : []
            ),
            ...(isset($fields['from']) ? ['from' => (int) $fields['from']] : []),
            ...(isset($fields['to']) ? ['to' => (int) $fields['to']] : []),
            'leave_out' => ($fields['leave_out'] ?? '1') === '1',
        ], trim($fields['reason']), $this->person($request));

        return redirect()->route('screen.show', [$script, ...$this->asked($request)]);
    }

    public function undo(Request $request, OverlapChoice $choice, UndoLeaveOut $undo): RedirectResponse
    {
        $script = $choice->report->handin->script;
        $this->authorize('viewOverlap', $script);
        $undo($choice, $this->person($request));

        return redirect()->route('screen.show', [$script, ...$this->asked($request)]);
    }

    public function record(ConversationRequest $request, Script $script, RecordConversation $record): RedirectResponse
    {
        $fields = $request->validated();
        $hold = ($fields['hold'] ?? '0') === '1';
        $studentSees = ($fields['student_sees'] ?? '0') === '1';
        ($hold || $studentSees) && $this->authorize('coordinate', $script);
        $from = $fields['from'] ?? 'overlap';
        $record(
            $script, ConversationFinding::from($fields['found']), trim($fields['why']),
            isset($fields['run']) ? (int) $fields['run'] : null, $hold, $this->person($request),
            array_values($fields['evidence'] ?? [$from]), trim($fields['questions'] ?? ''), $studentSees,
        );

        return (
            $from === 'writing'
                ? redirect()->route('writing.show', $script)
                : redirect()->route('screen.show', [$script, ...$this->asked($request)])
        )->withFragment('record')->with('said', 'Written in the conversation record.');
    }

    /** Names someone of the staff who may read the record of this script. */
    public function name(ShareRecordRequest $request, Script $script, ShareRecord $share): RedirectResponse
    {
        $id = $request->validated()['who'];
        $person = User::query()->where('public_id', $id)
            ->whereHas(
                'memberships',
                fn ($membership) => $membership->where('module_id', $script->assignment->module_id)
                    ->where('role', Role::Tutor)->whereNull('left_at'),
            )
            ->firstOrFail();
        $share($script, $person, $this->person($request));

        return redirect()->back(fallback: route('screen.show', $script))
            ->with('said', "{$person->name} can read this record now.");
    }

    /** What a student may read of the record of their own script. */
    public function ownRecord(Script $script, NoteRecordRead $note): View
    {
        $this->authorize('viewOwnConversation', $script);
        $note($script);

        return view(
            'screen.own-record',
            [
                'script' => $script, 'assignment' => $script->assignment,
                'entries' => ConversationEntry::query()->where('script_id', $script->id)->where('student_sees', true)
                    ->latest('id')->get(),
            ],
        );
    }

    private function report(Script $script): OverlapReport
    {
        return $script->currentHandin->report ?? abort(404);
    }

    /**
     * @return array<string, mixed> where someone is on the page
     */
    private function asked(Request $request): array
    {
        return array_filter(
            ['run' => $request->query('run'), 'whole' => $request->query('whole'), 'hide' => $request->query('hide')],
            fn (mixed $value) => $value !== null && $value !== '',
        );
    }
}
