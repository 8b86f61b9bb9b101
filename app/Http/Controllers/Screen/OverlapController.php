<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\LeaveOut;
use App\Actions\Screen\RecordConversation;
use App\Enums\Found;
use App\Enums\LeftOutBy;
use App\Enums\OverlapReader;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Models\ConversationEntry;
use App\Models\OverlapChoice;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Script;
use App\Models\User;
use App\Support\Conversation;
use App\Support\OverlapReading;
use App\Support\Pdf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/**
 * The overlap report of one script: read beside its sources, argued with, kept.
 */
final class OverlapController extends Controller
{
    public function show(Request $request, Script $script, OverlapReading $reading, Conversation $conversation): View
    {
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

    public function leaveOut(Request $request, Script $script, LeaveOut $leaveOut): RedirectResponse
    {
        $this->authorize('viewOverlap', $script);
        $fields = $request->validate([
            'what' => ['required', Rule::enum(LeftOutBy::class)], 'reason' => ['required', 'string', 'max:300'],
            'source' => ['nullable', 'uuid'],
            'from' => ['nullable', 'integer', 'min:0'], 'to' => ['nullable', 'integer', 'min:0'],
            'leave_out' => ['nullable', 'in:0,1'],
        ], [
            'reason.required' => 'Say in a few words why: the report keeps it for whoever reads it next. Nothing was changed.',
            'reason.max' => 'A reason has at most 300 characters.', 'from.*' => 'Give a whole number of words.',
        ]);
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

    public function undo(Request $request, OverlapChoice $choice, LeaveOut $leaveOut): RedirectResponse
    {
        $script = $choice->report->handin->script;
        $this->authorize('viewOverlap', $script);
        $leaveOut->undo($choice, $this->person($request));

        return redirect()->route('screen.show', [$script, ...$this->asked($request)]);
    }

    public function record(Request $request, Script $script, RecordConversation $record): RedirectResponse
    {
        $this->authorize('viewOverlap', $script);
        $fields = $request->validate([
            'found' => ['required', Rule::enum(Found::class)], 'why' => ['required', 'string', 'max:5000'],
            'run' => ['nullable', 'integer', 'min:1'], 'hold' => ['nullable', 'in:0,1'],
            'questions' => ['nullable', 'string', 'max:3000'], 'student_sees' => ['nullable', 'in:0,1'],
            'evidence' => ['nullable', 'array'], 'evidence.*' => ['in:overlap,writing'],
            'from' => ['nullable', 'in:overlap,writing'],
        ], [
            'questions.max' => 'Questions have at most 3,000 characters.',
            'found.required' => 'Choose what you found. Nothing was written yet.',
            'why.required' => 'Say what you saw and why you think so. Nothing was written yet.',
            'why.max' => 'An entry has at most 5,000 characters.',
        ]);
        $hold = ($fields['hold'] ?? '0') === '1';
        $studentSees = ($fields['student_sees'] ?? '0') === '1';
        ($hold || $studentSees) && $this->authorize('coordinate', $script);
        $from = $fields['from'] ?? 'overlap';
        $record(
            $script, Found::from($fields['found']), trim($fields['why']),
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
    public function name(Request $request, Script $script, RecordConversation $record): RedirectResponse
    {
        $this->authorize('coordinate', $script);
        $id = $request->validate(['who' => ['required', 'uuid']], ['who.*' => 'Choose someone.'])['who'];
        $person = User::query()->where('public_id', $id)
            ->whereHas(
                'memberships',
                fn ($membership) => $membership->where('module_id', $script->assignment->module_id)
                    ->where('role', Role::Tutor)->whereNull('left_at'),
            )
            ->firstOrFail();
        $record->let($script, $person, $this->person($request));

        return redirect()->back(fallback: route('screen.show', $script))
            ->with('said', "{$person->name} can read this record now.");
    }

    /** What a student may read of the record of their own script. */
    public function ownRecord(Script $script): View
    {
        $this->authorize('viewOwnConversation', $script);
        ConversationEntry::query()->where('script_id', $script->id)->where('student_sees', true)
            ->whereNull('student_read_at')->update(['student_read_at' => now()]);

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
