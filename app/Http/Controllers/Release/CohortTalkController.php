<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Queries\Release\CohortTalk;
use Illuminate\Contracts\View\View;

/**
 * What the cohort of an assignment should hear, for the coordinator to make a message of.
 */
final class CohortTalkController extends Controller
{
    public function __invoke(Assignment $assignment, CohortTalk $talk): View
    {
        $this->authorize('coordinate', $assignment);

        return view('release.cohort-talk', ['assignment' => $assignment, ...$talk->of($assignment)]);
    }
}
