<?php

declare(strict_types=1);

namespace App\Http\Controllers\Alike;

use App\Alike\AlikeFigures;
use App\Alike\AlikeReader;
use App\Http\Controllers\Controller;
use App\Models\Mark;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use YoungHarbor\Core\Marking\Seat;

/**
 * Whether a module is marked alike, assignment by assignment.
 */
final class AlikeModuleController extends Controller
{
    public function __invoke(Request $request, Module $module, AlikeFigures $figures): View
    {
        $this->authorize('compareAssignments', $module);
        $person = $this->person($request);
        $rows = $markers = [];
        foreach (
            $module->assignments()->whereIn('id', Mark::counting()->where('seat', Seat::First)->whereNotNull('done_at')
                ->select('assignment_id'))->orderBy('due_at')->get() as $assignment
        ) {
            $assignment->setRelation('module', $module);
            $report = $figures->of($assignment);
            $reader = AlikeReader::of($assignment, $person, $report);
            $rows[] = ['assignment' => $assignment, 'figures' => $report->figures, 'reader' => $reader];
            foreach ($report->figures['markers'] as $one) {
                if ($reader->seesWorkOf($one['id']) && ! $reader->waits) {
                    $markers[$one['id']]['name'] = $reader->name($one['id']);
                    $markers[$one['id']]['lies'][$assignment->id] = $one;
                }
            }
        }
        uasort($markers, fn (array $a, array $b) => strcoll($a['name'], $b['name']));

        return view('alike.module', ['module' => $module, 'rows' => $rows, 'markers' => $markers]);
    }
}
