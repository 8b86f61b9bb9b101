<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\SaveGradeScale;
use App\Http\Controllers\Controller;
use App\Models\GradeScale;
use App\Models\Module;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Marks\BoundaryRule;

/**
 * Grade bands: those that ship, a module's own, and marks turned into bands and back.
 */
final class GradeScaleController extends Controller
{
    private const EMPTY_ROWS = 6;

    public function index(Request $request, Module $module): View
    {
        $this->authorize('coordinate', $module);
        $scales = array_map(BandScale::fromArray(...), GradeScale::documentsFor($module));

        return view('plan.bands', [
            'module' => $module, 'scales' => $scales,
            'own' => GradeScale::query()->where('module_id', $module->id)->get()->keyBy('public_id'),
            'asked' => $request->string('turn')->limit(60, '')->toString(),
            'answers' => $this->turned($scales, trim($request->string('turn')->limit(60, '')->toString())),
        ]);
    }

    public function create(Request $request, Module $module): View
    {
        $this->authorize('coordinate', $module);
        $from = GradeScale::documentsFor($module)[$request->string('from')->toString()]
            ?? ['name' => '', 'bands' => [['name' => '', 'from' => '0']]];

        return $this->form($module, null, ['name' => ''] + $from);
    }

    public function edit(GradeScale $scale): View
    {
        $this->authorize('coordinate', $scale->module);

        return $this->form($scale->module, $scale, $scale->document);
    }

    public function store(Request $request, Module $module, SaveGradeScale $save): RedirectResponse
    {
        $this->authorize('coordinate', $module);

        return $this->saved($request, $module, null, $save);
    }

    public function update(Request $request, GradeScale $scale, SaveGradeScale $save): RedirectResponse
    {
        $this->authorize('coordinate', $scale->module);

        return $this->saved($request, $scale->module, $scale, $save);
    }

    private function saved(Request $request, Module $module, ?GradeScale $scale, SaveGradeScale $save): RedirectResponse
    {
        $bands = [];
        foreach (is_array($request->input('bands')) ? $request->input('bands') : [] as $row) {
            $cells = array_map(
                fn (string $key) => is_array($row) && is_string($row[$key] ?? null) ? trim($row[$key]) : '',
                ['name' => 'name', 'from' => 'from', 'value' => 'value'],
            );
            if (implode('', $cells) !== '') {
                $bands[] = array_filter(
                    $cells, fn (string $cell, string $key) => $key !== 'value' || $cell !== '', ARRAY_FILTER_USE_BOTH,
                );
            }
        }
        // Rows may be written in any order: they are sorted by their lower bound where all are numbers.
        $from = fn (array $band) => Document::parse($band['from']);
        if (! in_array(null, array_map($from, $bands), true)) {
            usort(
                $bands,
                fn (array $a, array $b) => (
                    $from($a) ?? BigDecimal::zero()
                )->compareTo($from($b) ?? BigDecimal::zero()),
            );
        }
        $document = [
            'name' => trim($request->string('name')->toString()),
            'boundary' => $request->string('boundary')->toString() ?: BoundaryRule::AsItStands->value,
            'bands' => $bands,
        ];
        try {
            $stored = $save(
                $module, $scale, $document, $scale === null ? null : $request->integer('lock_version'),
                $this->person($request),
            );
        } catch (InvalidInput $e) {
            return back()->withInput()
                ->withErrors(['bands' => array_map(fn (Fault $fault) => self::inWords($fault, $bands), $e->faults)]);
        }

        return redirect()->route('bands.index', $module)
            ->with(
                'said',
                "The bands “{$stored->name}” are saved. Assignments that have them already keep what they were given.",
            );
    }

    /**
     * @param  list<array<string, string>>  $bands
     */
    private static function inWords(Fault $fault, array $bands): string
    {
        if (preg_match('/\Abands\[(\d+)\]\.(\w+)\z/', $fault->place, $m) !== 1) {
            return ucfirst(trim("{$fault->place} {$fault->what}"));
        }
        $name = $bands[(int) $m[1]]['name'] ?? '';
        $field = ['name' => 'its name', 'from' => 'from', 'value' => 'stands for'][$m[2]] ?? $m[2];

        return 'Band '.($name === '' ? (int) $m[1] + 1 : "“{$name}”").", {$field}: {$fault->what}";
    }

    /**
     * @param  array<string, mixed>  $document
     */
    private function form(Module $module, ?GradeScale $scale, array $document): View
    {
        $rows = array_values(is_array($document['bands'] ?? null) ? $document['bands'] : []);

        return view(
            'plan.bands-form',
            [
                'module' => $module, 'scale' => $scale, 'document' => $document,
                'rows' => array_pad(
                    $rows, count($rows) + self::EMPTY_ROWS, ['name' => '', 'from' => '', 'value' => ''],
                ),
            ],
        );
    }

    /**
     * A mark turned into its band, or a band into the mark it stands for, on each scale.
     *
     * @param  array<string, BandScale>  $scales
     * @return array<string, string>
     */
    private function turned(array $scales, string $asked): array
    {
        $mark = Document::parse($asked);
        $answers = [];
        foreach ($asked === '' ? [] : $scales as $key => $scale) {
            try {
                $answers[$key] = match (true) {
                    $mark === null => "{$asked} is ".Figure::plain($scale->markFor($asked)),
                    $mark->isGreaterThan(100) => 'marks go from 0 to 100',
                    default => "{$asked} is ".$scale->bandFor($mark)->name,
                };
            } catch (InvalidInput $e) {
                $answers[$key] = $e->faults[0]->what;
            }
        }

        return $answers;
    }
}
