<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\DecideAbsent;
use App\Actions\Release\EndCase;
use App\Actions\Release\OpenCase;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\CaseRequest;
use App\Http\Requests\Release\EndCaseRequest;
use App\Http\Requests\Release\SureRequest;
use App\Models\Assignment;
use App\Models\IndividualCase;
use App\Models\Membership;
use App\Models\Script;
use Illuminate\Http\RedirectResponse;

/**
 * What is decided for one student alone, and for those who handed in nothing.
 */
final class CaseController extends Controller
{
    public function store(CaseRequest $request, Script $script, OpenCase $open): RedirectResponse
    {
        $case = $open(
            $script, $request->kind(), $request->string('marks')->toString(), $request->string('reason')->trim()->toString(),
            $request->person(),
        );

        return $this->back($script)->with('said', "Decided: {$case->inWords()}.");
    }

    public function update(EndCaseRequest $request, IndividualCase $case, EndCase $end): RedirectResponse
    {
        $end($case, $request->string('ended_reason')->trim()->toString(), $request->person());

        return $this->back($case->script)->with('said', "Ended: {$case->inWords()}.");
    }

    public function absent(
        SureRequest $request, Assignment $assignment, DecideAbsent $decide,
    ): RedirectResponse {
        $count = $decide($assignment, $request->person());

        return redirect()->route('release.index', $assignment)
            ->with('said', trans_choice('cases.said', $count, ['count' => $count]));
    }

    private function back(Script $script): RedirectResponse
    {
        $member = Membership::query()->where('module_id', $script->assignment->module_id)
            ->where('user_id', $script->student_id)->firstOrFail();

        return redirect()->to(route('members.show', $member)."#a-{$script->assignment->public_id}");
    }
}
