<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\AddArchiveToBaseline;
use App\Actions\Screen\AddFilesToBaseline;
use App\Actions\Screen\MakeBaseline;
use App\Actions\Screen\TakeTextOutOfBaseline;
use App\Http\Controllers\Controller;
use App\Http\Requests\Screen\BaselineRequest;
use App\Http\Requests\Screen\BaselineTextsRequest;
use App\Http\Requests\Screen\TakeOutTextRequest;
use App\Models\Assignment;
use App\Models\Module;
use App\Models\OverlapSource;
use App\Models\WritingBaseline;
use App\Models\WritingText;
use App\Wording\FirstWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Arr;

/**
 * Baselines of a module: the trusted texts that the writing of scripts is compared with.
 */
final class BaselineController extends Controller
{
    public function index(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view(
            'screen.baselines',
            [
                'module' => $module,
                'baselines' => WritingBaseline::query()->where('module_id', $module->id)->withCount('texts')
                    ->orderBy('name')->get(),
            ],
        );
    }

    /** What leaves the building when the outside detector is asked, and what comes back. */
    public function detector(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view(
            'screen.detector',
            [
                'module' => $module,
                'assignments' => Assignment::query()->where('module_id', $module->id)
                    ->whereNotNull('writing_detector_since')->whereNotNull('writing_baseline_id')->orderBy('due_at')
                    ->get(),
            ],
        );
    }

    public function store(BaselineRequest $request, Module $module, MakeBaseline $make): RedirectResponse
    {
        $fields = $request->validated();

        return redirect()
            ->route(
                'baselines.show',
                $make($module, trim($fields['name']), trim($fields['language']), $this->person($request)),
            )
            ->with('said', 'Made. Now add texts that you trust.');
    }

    public function show(WritingBaseline $baseline): View
    {
        $this->authorize('coordinate', $baseline->module);

        return view('screen.baseline', [
            'baseline' => $baseline, 'module' => $baseline->module,
            'texts' => WritingText::query()->where('writing_baseline_id', $baseline->id)
                ->select(
                    [
                        'id', 'public_id', 'title', 'words', 'misfit', 'added_version', 'taken_out_version',
                        'taken_out_reason',
                    ]
                )
                ->addSelect(FirstWords::column('text'))->orderByRaw('taken_out_version IS NOT NULL, misfit IS NULL, id')
                ->paginate(60),
            'archive' => OverlapSource::past($baseline->module_id)->groupBy('title', 'cohort')->orderBy('cohort')
                ->orderBy('title')->selectRaw('title, cohort, COUNT(*) AS texts')->get(),
        ]);
    }

    public function add(
        BaselineTextsRequest $request, WritingBaseline $baseline, AddFilesToBaseline $addFiles,
        AddArchiveToBaseline $addArchive,
    ): RedirectResponse|JsonResponse {
        $fields = $request->validated();
        if (isset($fields['archive'])) {
            [$title, $cohort] = [...explode("\n", str_replace("\r", '', $fields['archive']), 2), ''];
            $outcome = [
                ...$addArchive($baseline, $title, $cohort, $this->person($request)), 'refused' => [],
            ];
        } else {
            $outcome = $addFiles(
                $baseline, array_values(Arr::wrap($request->file('texts'))), trim((string) ($fields['title'] ?? '')),
                $this->person($request),
            );
        }
        if ($request->expectsJson()) {
            return response()->json($outcome);
        }
        $back = redirect()->route('baselines.show', $baseline)
            ->with(
                'said',
                "{$outcome['added']} added".(
                    $outcome['already'] > 0 ? ", {$outcome['already']} were there already" : ''
                ).'.',
            );

        return $outcome['refused'] === []
            ? $back
            : $back->withErrors(['texts' => array_map(fn (string $why) => "Not added: {$why}", $outcome['refused'])]);
    }

    public function takeOut(
        TakeOutTextRequest $request, WritingText $text, TakeTextOutOfBaseline $takeOut,
    ): RedirectResponse {
        $reason = $request->validated()['reason'];
        $takeOut($text, trim($reason), $this->person($request));

        return redirect()->route('baselines.show', $text->baseline)
            ->with('said', 'Taken out. Scripts that are compared with this baseline are measured again without it.');
    }
}
