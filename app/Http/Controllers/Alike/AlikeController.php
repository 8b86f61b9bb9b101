<?php

declare(strict_types=1);

namespace App\Http\Controllers\Alike;

use App\Alike\AlikeFigures;
use App\Alike\AlikeReader;
use App\Alike\EarlierCohorts;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * Whether an assignment is marked alike.
 */
final class AlikeController extends Controller
{
    public function show(Request $request, Assignment $assignment, AlikeFigures $figures): View
    {
        $this->authorize('viewModeration', $assignment);
        $report = $figures->of($assignment);
        $reader = AlikeReader::of($assignment, $this->person($request), $report);

        return view('alike.show', [
            'assignment' => $assignment, 'figures' => $report->figures, 'at' => $report->updated_at,
            'reader' => $reader,
            'furthest' => $reader->furthest($report),
            'earlier' => $reader->seesAll ? EarlierCohorts::of($assignment) : [],
        ]);
    }
}
