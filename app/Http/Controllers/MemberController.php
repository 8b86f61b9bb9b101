<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\ChangeAllowance;
use App\Actions\Collect\ChangeExtension;
use App\Actions\Collect\ChangeMember;
use App\Actions\Collect\OpenOriginal;
use App\Actions\Collect\WaiveLateness;
use App\Actions\Release\TakeMemberNoteBack;
use App\Actions\Release\WriteMemberNote;
use App\Enums\Role;
use App\Http\Requests\Members\AllowanceRequest;
use App\Http\Requests\Members\ExtensionRequest;
use App\Http\Requests\Members\MemberNoteRequest;
use App\Http\Requests\Members\MemberRequest;
use App\Http\Requests\Members\OriginalRequest;
use App\Http\Requests\Members\WaiverRequest;
use App\Models\Allowance;
use App\Models\ConversationEntry;
use App\Models\Extension;
use App\Models\IndividualCase;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\Script;
use App\Queries\Collect\DueTimes;
use App\Queries\Release\MemberMarks;
use App\Wording\LocalTime;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * One person of a module, for the coordinator: section, leaving, and for a student what is allowed and when each work
 * is due. Script codes and marks do not stand here.
 */
final class MemberController extends Controller
{
    public function show(Request $request, Membership $member, DueTimes $times, MemberMarks $marks): View
    {
        $this->authorize('coordinate', $member->module);
        $scripts = Script::query()->where('student_id', $member->user_id)
            ->whereHas('assignment', fn ($query) => $query->where('module_id', $member->module_id))
            ->with(
                [
                    'assignment.module.closureDays', 'currentHandin:id,script_id,late,received_at,due_at',
                    'currentHandin.files:id,handin_id,position', 'result:id,public_id,script_id',
                ]
            )->get()->sortByDesc('due_at');

        return view('modules.member', [
            'member' => $member, 'module' => $member->module, 'scripts' => $scripts,
            'times' => $times->of($scripts),
            'own' => $member->role === Role::Student ? $marks->of($member, (string) $request->string('target')) : null,
            'notes' => MemberNote::query()->where('membership_id', $member->id)->with('author:id,name')->latest('id')->get(),
            'allowances' => Allowance::query()->where('module_id', $member->module_id)
                ->where('student_id', $member->user_id)->with('giver:id,name')->latest('id')->get(),
            'talks' => ConversationEntry::query()->whereIn('script_id', $scripts->pluck('id'))->toBase()
                ->groupBy('script_id')->selectRaw('script_id, COUNT(*) AS n')->pluck('n', 'script_id'),
            'cases' => IndividualCase::query()->whereIn('script_id', $scripts->pluck('id'))
                ->with(['decider:id,name', 'ender:id,name'])->latest('id')->get()->groupBy('script_id'),
            'extensions' => Extension::query()->where('student_id', $member->user_id)
                ->whereIn('assignment_id', $scripts->pluck('assignment_id'))->with('giver:id,name')->latest('id')->get()
                ->groupBy('assignment_id'),
        ]);
    }

    public function note(MemberNoteRequest $request, Membership $member, WriteMemberNote $write): RedirectResponse
    {
        $write($member, $request->string('note')->trim()->toString(), $request->boolean('student_reads'), $request->person());

        return redirect()->to(route('members.show', $member).'#notes')->with('said', __(
            $request->boolean('student_reads') ? 'member-notes.said_student' : 'member-notes.said',
        ));
    }

    public function takeNoteBack(MemberNote $note, TakeMemberNoteBack $take, Request $request): RedirectResponse
    {
        $this->authorize('coordinate', $note->membership->module);
        $take($note, $this->person($request));

        return redirect()->to(route('members.show', $note->membership).'#notes')->with('said', __('member-notes.taken_back'));
    }

    public function update(MemberRequest $request, Membership $member, ChangeMember $change): RedirectResponse
    {
        $fields = $request->validated();
        $change($member, $fields['section'] ?? null, $request->boolean('left'), $this->person($request));

        return redirect()->route('members.show', $member)->with('said', 'Saved.');
    }

    public function allowance(AllowanceRequest $request, Membership $member, ChangeAllowance $change): RedirectResponse
    {
        abort_if($member->role !== Role::Student, 422);
        $fields = $request->validated();
        $reason = trim((string) ($fields['reason'] ?? ''));
        if ($reason === '' && (int) $fields['extra_days'] + (int) $fields['extra_percent'] > 0) {
            throw ValidationException::withMessages(['reason' => 'Say why: whoever asks later finds it here.']);
        }
        $change($member, (int) $fields['extra_days'], (int) $fields['extra_percent'], $reason, $this->person($request));

        return redirect()->route('members.show', $member)
            ->with('said', 'Saved. Due times that are still to come follow it.');
    }

    public function extension(ExtensionRequest $request, Script $script, ChangeExtension $change): RedirectResponse
    {
        $member = $this->memberOf($script);
        if ($request->boolean('take_back')) {
            $change($script, null, '', $this->person($request));

            return redirect()->route('members.show', $member)->with('said', 'The extension is taken back.');
        }
        $fields = $request->validated();
        try {
            $due = LocalTime::parse($fields['extension']);
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['extension' => 'Write a day and time; '.$e->getMessage().'.']);
        }
        $change($script, $due, $fields['extension_reason'], $this->person($request));

        return redirect()->route('members.show', $member)
            ->with('said', 'The extension is given, and the student is told by mail.');
    }

    public function waiver(WaiverRequest $request, Script $script, WaiveLateness $waive): RedirectResponse
    {
        $fields = $request->validated();
        $back = $request->boolean('take_back');
        if (! $back && trim((string) ($fields['waiver'] ?? '')) === '') {
            throw ValidationException::withMessages(['waiver' => 'Say why the lateness is waived.']);
        }
        $waive($script, $back ? null : (string) $fields['waiver'], $this->person($request));

        return redirect()->route('members.show', $this->memberOf($script))
            ->with('said', $back ? 'The lateness counts again.' : 'The lateness is waived.');
    }

    /** The original of the attempt that counts; markers and everyone else get the copy without names. */
    public function original(OriginalRequest $request, Script $script, OpenOriginal $open): StreamedResponse
    {
        $fields = $request->validated();
        $file = $open($script, (int) ($fields['number'] ?? 1), $fields['original_reason'], $this->person($request));

        return Storage::download(
            $file->path, $file->link === null ? $file->original_name : 'link.txt',
            ['Content-Type' => 'application/octet-stream'],
        );
    }

    private function memberOf(Script $script): Membership
    {
        return Membership::query()->where('module_id', $script->assignment->module_id)
            ->where('user_id', $script->student_id)->firstOrFail();
    }
}
