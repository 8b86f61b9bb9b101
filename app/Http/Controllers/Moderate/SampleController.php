<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moderate;

use App\Actions\Moderate\DrawSample;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Moderate\SampleRequest;
use App\Models\Assignment;
use App\Models\Sample;
use App\Queries\Moderate\MarkerShare;
use App\Queries\Moderate\PairNoise;
use App\Queries\Moderate\SampleDraft;
use App\Queries\Moderate\SamplePlanning;
use App\Queries\Moderate\SampleScope;
use App\Queries\Moderate\SampleSight;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\SecondMarks;

/**
 * Drawing the scripts that are marked a second time: what would be drawn, what that can see, then the draw.
 */
final class SampleController extends Controller
{
    public function index(SampleRequest $request, Assignment $assignment, SamplePlanning $planning): View
    {
        $scope = $request->scope();
        $shares = $planning->markers($assignment, $scope);
        $markers = $request->markers() ?? $this->usual($shares, $scope);
        [$draft, $why] = $assignment->scheme->second !== SecondMarks::Sample ? [null, null]
            : $this->draft($planning, $request, $assignment, $markers);

        return view('moderate.sample', [
            'assignment' => $assignment, 'scope' => $scope, 'shares' => $shares, 'markers' => $markers,
            'draft' => $draft, 'why' => $why,
            'hidden' => $this->person($request)->cannot('viewAllMarks', $assignment), 'drawn' => $request->input('drawn'),
            'sight' => $draft === null ? null : SampleSight::of($assignment, $draft, PairNoise::of($assignment)),
            'samples' => Sample::query()->where('assignment_id', $assignment->id)->with('maker:id,name')
                ->withCount('scripts')->orderBy('number')->get(),
        ]);
    }

    public function store(SampleRequest $request, Assignment $assignment, DrawSample $draw): RedirectResponse
    {
        $sample = $draw(
            $assignment, $request->scope(), $request->markers() ?? [], $this->rule($request, $assignment),
            Sample::seedFor($assignment), $request->drawn(), (string) $request->input('digest'),
            $this->person($request), (string) $request->input('reason'),
        );
        $size = $sample->scripts()->count();

        return redirect()->route('moderate.index', $assignment)->with('said', trans_choice(
            'moderate.sample_drawn', $size, ['size' => $size],
        ));
    }

    /**
     * @param  list<string>  $markers
     * @return array{SampleDraft|null, string|null} the draft, or why there is none
     */
    private function draft(
        SamplePlanning $planning, SampleRequest $request, Assignment $assignment, array $markers,
    ): array {
        try {
            return [$planning->draft(
                $assignment, $request->scope(), $markers, $this->rule($request, $assignment),
                Sample::seedFor($assignment), $request->drawn(),
            ), null];
        } catch (Refused $e) {
            return [null, $e->getMessage()];
        }
    }

    /** More than the rule asked for are drawn by lot alone. */
    private function rule(SampleRequest $request, Assignment $assignment): SampleRule
    {
        return $request->wantsMore()
            ? new SampleRule(BigDecimal::zero(), 0, false, false, false)
            : $assignment->scheme->sample();
    }

    /**
     * @param  list<MarkerShare>  $shares
     * @return list<string> those who have finished
     */
    private function usual(array $shares, SampleScope $scope): array
    {
        return array_values(array_map(fn (MarkerShare $one) => $one->id, array_filter(
            $shares, fn (MarkerShare $one) => $one->open > 0 && ($scope === SampleScope::More || $one->isFinished()),
        )));
    }
}
