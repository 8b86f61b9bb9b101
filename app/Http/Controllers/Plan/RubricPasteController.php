<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\EditRubric;
use App\Http\Controllers\Controller;
use App\Models\Rubric;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\PastedTable;

/**
 * A pasted table: first what was understood of it, then into the rubric.
 */
final class RubricPasteController extends Controller
{
    public function preview(Request $request, Rubric $rubric): View
    {
        $this->authorize('edit', $rubric);
        try {
            $data = [
                'rubric' => $rubric, 'table' => $this->table($request), 'empty' => $rubric->draft()->isUnwritten(),
            ];
        } catch (InvalidInput $e) {
            $data = ['rubric' => $rubric, 'refused' => $e->faults[0]->what];
        }
        if ($request->header('HX-Request') !== null) {
            return view('plan.rubric-pasted', $data);
        }

        return view('plan.rubric-paste-page', $data + ['pasted' => $request->string('pasted')->toString()]);
    }

    public function apply(Request $request, Rubric $rubric, EditRubric $edit): RedirectResponse
    {
        $this->authorize('edit', $rubric);
        try {
            $table = $this->table($request);
        } catch (InvalidInput $e) {
            return back()->withInput()
                ->withErrors(['pasted' => ucfirst($e->faults[0]->what).'. Nothing in the rubric has changed.']);
        }
        $replace = $request->input('how') === 'replace';
        $edit($rubric, $this->person($request), fn (Draft $draft) => $table->onto($draft, $replace), 'pasted a table');

        return redirect()->route('rubrics.show', $rubric)
            ->with('said', count($table->criteria).' criteria were taken from the table. Undo takes them out again.');
    }

    /**
     * @throws InvalidInput
     */
    private function table(Request $request): PastedTable
    {
        $pasted = $request->string('pasted')->toString();
        if (strlen($pasted) > 2_000_000) {
            throw InvalidInput::at('', 'that is more than two million characters; copy the cells of the rubric alone');
        }
        $headed = $request->string('headed')->toString();

        return PastedTable::of($pasted, $headed === '' ? null : $headed === '1');
    }
}
