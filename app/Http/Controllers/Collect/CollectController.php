<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Script;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * Who has handed in. Names stand here without script codes, so that nobody learns whose script is whose.
 */
final class CollectController extends Controller
{
    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $scripts = $assignment->scripts()->with(['student:id,name,number,email', 'currentHandin:id,script_id,attempt,late,received_at'])
            ->get()->sortBy(fn (Script $script) => $script->student->name);
        $filter = $request->string('show')->toString();
        $groups = [
            '' => $scripts,
            'in' => $scripts->filter(fn (Script $script) => $script->currentHandin !== null),
            'late' => $scripts->filter(fn (Script $script) => $script->currentHandin?->late === true),
            'missing' => $scripts->filter(fn (Script $script) => $script->currentHandin === null),
            'unopened' => $scripts->filter(fn (Script $script) => $script->brief_opened_at === null),
        ];

        return view('collect.index', [
            'assignment' => $assignment,
            'scripts' => $groups[$filter] ?? $scripts,
            'groups' => $groups,
            'filter' => isset($groups[$filter]) ? $filter : '',
        ]);
    }
}
