<?php

declare(strict_types=1);

namespace App\Http\Controllers\Screen;

use App\Actions\Screen\ChangeBaseline;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Module;
use App\Models\OverlapSource;
use App\Models\WritingBaseline;
use App\Models\WritingText;
use App\Support\Beginning;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
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

    public function store(Request $request, Module $module, ChangeBaseline $change): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $fields = $request->validate(
            ['name' => ['required', 'string', 'max:150'], 'language' => ['required', 'string', 'max:60']],
            [
                'name.required' => 'Give the baseline a name.',
                'language.required' => 'Say which language its texts are in.',
            ],
        );

        return redirect()
            ->route(
                'baselines.show',
                $change->make($module, trim($fields['name']), trim($fields['language']), $this->person($request)),
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
                ->addSelect(Beginning::column('text'))->orderByRaw('taken_out_version IS NOT NULL, misfit IS NULL, id')
                ->paginate(60),
            'archive' => OverlapSource::past($baseline->module_id)->groupBy('title', 'cohort')->orderBy('cohort')
                ->orderBy('title')->selectRaw('title, cohort, COUNT(*) AS texts')->get(),
        ]);
    }

    public function add(
        Request $request, WritingBaseline $baseline, ChangeBaseline $change,
    ): RedirectResponse|JsonResponse {
        $this->authorize('coordinate', $baseline->module);
        $most = (int) config('harbor.upload.max_megabytes');
        $fields = $request->validate([
            'archive' => ['nullable', 'string', 'max:500'],
            'title' => ['required_without:archive', 'nullable', 'string', 'max:200'],
            'texts' => ['required_without:archive', 'nullable', 'array', 'max:150'],
            'texts.*' => ['file', 'max:'.$most * 1024],
        ], [
            'title.required_without' => 'Say where the texts come from, such as “Supervised writing, October 2025”.',
            'texts.required_without' => 'Choose at least one file.',
            'texts.max' => 'Choose at most 150 files at a time, 30 MB together; none of these was added.',
            'texts.*.max' => "A file is larger than {$most} MB.",
            'texts.*.uploaded' => 'A file did not arrive whole. Choose it again.',
        ]);
        if (isset($fields['archive'])) {
            [$title, $cohort] = [...explode("\n", str_replace("\r", '', $fields['archive']), 2), ''];
            $outcome = [
                ...$change->addFromArchive($baseline, $title, $cohort, $this->person($request)), 'refused' => [],
            ];
        } else {
            $outcome = $change->addFiles(
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

    public function takeOut(Request $request, WritingText $text, ChangeBaseline $change): RedirectResponse
    {
        $this->authorize('coordinate', $text->baseline->module);
        $reason = $request->validate(
            ['reason' => ['required', 'string', 'max:300']],
            ['reason.required' => 'Say why it is taken out. Nothing was changed.'],
        )['reason'];
        $change->takeOut($text, trim($reason), $this->person($request));

        return redirect()->route('baselines.show', $text->baseline)
            ->with('said', 'Taken out. Scripts that are compared with this baseline are measured again without it.');
    }
}
