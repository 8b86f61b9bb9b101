<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\ChangeAllowance;
use App\Actions\Collect\ChangeExtension;
use App\Actions\Collect\ChangeMember;
use App\Actions\Collect\OpenOriginal;
use App\Actions\Collect\WaiveLateness;
use App\Enums\Role;
use App\Models\Allowance;
use App\Models\Extension;
use App\Models\Membership;
use App\Models\Script;
use App\Support\Clock;
use App\Support\DueTimes;
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
    public function show(Membership $member, DueTimes $times): View
    {
        $this->authorize('coordinate', $member->module);
        $scripts = Script::query()->where('student_id', $member->user_id)
            ->whereHas('assignment', fn ($query) => $query->where('module_id', $member->module_id))
            ->with(
                [
                    'assignment.module.closureDays', 'currentHandin:id,script_id,late,received_at,due_at',
                    'currentHandin.files:id,handin_id,position', 'result:id,script_id',
                ]
            )->get()->sortByDesc('due_at');

        return view('modules.member', [
            'member' => $member, 'module' => $member->module, 'scripts' => $scripts,
            'times' => $times->of($scripts),
            'allowances' => Allowance::query()->where('module_id', $member->module_id)
                ->where('student_id', $member->user_id)->with('giver:id,name')->latest('id')->get(),
            'extensions' => Extension::query()->where('student_id', $member->user_id)
                ->whereIn('assignment_id', $scripts->pluck('assignment_id'))->with('giver:id,name')->latest('id')->get()
                ->groupBy('assignment_id'),
        ]);
    }

    public function update(Request $request, Membership $member, ChangeMember $change): RedirectResponse
    {
        $this->authorize('coordinate', $member->module);
        $fields = $request->validate(['section' => ['nullable', 'string', 'max:40'], 'left' => ['nullable', 'in:0,1']]);
        $change($member, $fields['section'] ?? null, $request->boolean('left'), $this->person($request));

        return redirect()->route('members.show', $member)->with('said', 'Saved.');
    }

    public function allowance(Request $request, Membership $member, ChangeAllowance $change): RedirectResponse
    {
        $this->authorize('coordinate', $member->module);
        abort_if($member->role !== Role::Student, 422);
        $fields = $request->validate(
            [
                'extra_days' => ['required', 'integer', 'between:0,60'],
                'extra_percent' => ['required', 'integer', 'between:0,200'],
                'reason' => ['nullable', 'string', 'max:500'],
            ],
            [
                'extra_days.*' => 'Extra days are a whole number from 0 to 60.',
                'extra_percent.*' => 'Extra time is a whole number from 0 to 200 percent.',
            ],
        );
        $reason = trim((string) ($fields['reason'] ?? ''));
        if ($reason === '' && (int) $fields['extra_days'] + (int) $fields['extra_percent'] > 0) {
            throw ValidationException::withMessages(['reason' => 'Say why: whoever asks later finds it here.']);
        }
        $change($member, (int) $fields['extra_days'], (int) $fields['extra_percent'], $reason, $this->person($request));

        return redirect()->route('members.show', $member)
            ->with('said', 'Saved. Due times that are still to come follow it.');
    }

    public function extension(Request $request, Script $script, ChangeExtension $change): RedirectResponse
    {
        $this->authorize('coordinate', $script);
        $member = $this->memberOf($script);
        if ($request->boolean('take_back')) {
            $change($script, null, '', $this->person($request));

            return redirect()->route('members.show', $member)->with('said', 'The extension is taken back.');
        }
        $fields = $request->validate(
            ['extension' => ['required', 'string'], 'extension_reason' => ['required', 'string', 'max:500']],
            [
                'extension.required' => 'Write the day and time until which the work may come in.',
                'extension_reason.required' => 'Say why: whoever asks later finds it here.',
            ],
        );
        try {
            $due = Clock::parse($fields['extension']);
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['extension' => 'Write a day and time; '.$e->getMessage().'.']);
        }
        $change($script, $due, $fields['extension_reason'], $this->person($request));

        return redirect()->route('members.show', $member)
            ->with('said', 'The extension is given, and the student is told by mail.');
    }

    public function waiver(Request $request, Script $script, WaiveLateness $waive): RedirectResponse
    {
        $this->authorize('coordinate', $script);
        $fields = $request->validate(
            ['waiver' => ['nullable', 'string', 'max:500'], 'take_back' => ['nullable', 'in:1']]
        );
        $back = $request->boolean('take_back');
        if (! $back && trim((string) ($fields['waiver'] ?? '')) === '') {
            throw ValidationException::withMessages(['waiver' => 'Say why the lateness is waived.']);
        }
        $waive($script, $back ? null : (string) $fields['waiver'], $this->person($request));

        return redirect()->route('members.show', $this->memberOf($script))
            ->with('said', $back ? 'The lateness counts again.' : 'The lateness is waived.');
    }

    /** The original of the attempt that counts; markers and everyone else get the copy without names. */
    public function original(Request $request, Script $script, OpenOriginal $open): StreamedResponse
    {
        $this->authorize('coordinate', $script);
        $fields = $request->validate(
            [
                'original_reason' => ['required', 'string', 'max:500'],
                'number' => ['nullable', 'integer', 'between:1,50'],
            ],
            ['original_reason.required' => 'Say why you open the original: it is logged.'],
        );
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
