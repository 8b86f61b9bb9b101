<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\AddToArchive;
use App\Actions\Screen\TakeOutSource;
use App\Enums\SourceKind;
use App\Http\Controllers\Controller;
use App\Http\Requests\Screen\ArchiveRequest;
use App\Http\Requests\Screen\TakeOutSourceRequest;
use App\Models\Module;
use App\Models\OverlapSource;
use App\Wording\FirstWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Arr;

/**
 * The archive of a module: which texts later cohorts are compared with, how they come there and how they leave.
 */
final class ArchiveController extends Controller
{
    private const PAGE = 60;

    public function index(Module $module): View
    {
        $this->authorize('coordinate', $module);
        $texts = OverlapSource::query()
            ->select(
                [
                    'id', 'public_id', 'title', 'cohort', 'words', 'handin_id', 'created_at', 'taken_out_at',
                    'taken_out_reason',
                ]
            )
            ->addSelect(FirstWords::column('text'))
            ->where('kind', SourceKind::Archive)->where('module_id', $module->id)
            ->with('handin:id,script_id', 'handin.script:id,code')->orderByRaw('taken_out_at IS NOT NULL')
            ->orderBy('title')->orderBy('public_id')->paginate(self::PAGE);

        return view('screen.archive', ['module' => $module, 'texts' => $texts]);
    }

    public function store(ArchiveRequest $request, Module $module, AddToArchive $add): RedirectResponse|JsonResponse
    {
        $fields = $request->validated();
        $outcome = $add(
            $module, array_values(Arr::wrap($request->file('texts'))), trim($fields['title']), trim($fields['cohort']),
            $this->person($request),
        );
        if ($request->expectsJson()) {
            return response()->json($outcome);
        }
        $said = "{$outcome['added']} added".(
            $outcome['already'] > 0 ? ", {$outcome['already']} were there already" : ''
        ).'.';
        $back = redirect()->route('archive.index', $module)->with('said', $said);

        return $outcome['refused'] === []
            ? $back
            : $back->withErrors(
                ['texts' => [...array_map(fn (string $why) => "Not added: {$why}", $outcome['refused'])]]
            );
    }

    public function destroy(
        TakeOutSourceRequest $request, OverlapSource $source, TakeOutSource $takeOut,
    ): RedirectResponse {
        $module = Module::query()->findOrFail($source->module_id);
        $reason = $request->validated()['reason'];
        $reports = $takeOut($source, trim($reason), $this->person($request));

        return redirect()->route('archive.index', $module)
            ->with(
                'said',
                'Taken out of the archive.'.(
                    $reports > 0
                        ? ' '.($reports === 1 ? 'One report was' : "{$reports} reports were").' worked out without it.'
                        : ''
                ),
            );
    }
}
