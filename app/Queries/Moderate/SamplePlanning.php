<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Enums\Role;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Queries\ShareOut\GivenMark;
use App\Queries\ShareOut\Planning;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Agreement\Linking;
use YoungHarbor\Core\Allocation\GivenScript;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Sample;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\SampledScript;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;

/**
 * What a sample would be: which scripts, why each, who would mark them a second time. The same seed gives the same.
 */
final class SamplePlanning
{
    public function __construct(private readonly Planning $planning)
    {
    }

    /**
     * First markers and how far each is, in the order of their names.
     *
     * @return list<MarkerShare>
     */
    public function markers(Assignment $assignment, SampleScope $scope): array
    {
        $open = $this->sampled($scope);
        $rows = $this->firstMarks($assignment)->groupBy('marker')
            ->map(fn (Collection $marks, string $marker) => new MarkerShare(
                $marker, (string) $marks->pluck('name')->first(), $marks->count(),
                $marks->whereNotNull('done_at')->count(),
                $marks->whereNotNull('done_at')->where('sampled', $open->value)->where('released', 0)->count(),
            ));

        return array_values($rows->sortBy(fn (MarkerShare $one) => $one->name)->all());
    }

    /**
     * @param  list<string>  $markers  public ids of the first markers whose scripts it is drawn from
     * @param  int|null  $drawn  how many are drawn by lot; as the rule asks for when null
     *
     * @throws Refused when there is nothing to draw from
     */
    public function draft(
        Assignment $assignment, SampleScope $scope, array $markers, SampleRule $rule, int $seed, ?int $drawn = null,
    ): SampleDraft {
        $rows = $this->firstMarks($assignment);
        $open = $this->sampled($scope)->value;
        $from = array_values($rows->filter(
            fn (object $row) => $row->done_at !== null && $row->sampled === $open && ! $row->released
                && in_array($row->marker, $markers, true)
        )->map(
            fn (object $row) => new FirstMark(
                (string) $row->code, (string) $row->marker, BigDecimal::of((string) $row->total)->stripTrailingZeros(),
            )
        )->all());
        $from !== [] || throw new Refused(
            'There is no script to draw from: choose a marker who has finished first marks of which no sample has been drawn.'
        );
        $boundaries = $assignment->scale()->boundaries();
        $drawn ??= $rule->wantedOf(count($from), $rows->count());
        $sample = Sample::draw($from, $rule, $boundaries, $seed, $drawn);
        [$plan, $seconds] = $this->seconds($assignment, $sample, $seed, $scope);
        $loads = array_count_values(array_map(fn (GivenScript $one) => $one->marker, $seconds));
        arsort($loads);
        $names = $this->planning->people($assignment)->pluck('user.name', 'user.public_id')
            ->union($rows->pluck('name', 'marker'))->all();

        return new SampleDraft(
            $from, $rule, array_map(strval(...), $boundaries), $seed, $sample, $plan, $seconds, $loads, $names,
            $this->linking($assignment, $seconds, $sample),
            hash('sha256', serialize([
                $seed, $rule->toArray(), $drawn, array_map(
                    fn (SampledScript $one) => [
                        $one->script, $one->reasonKeys(), (string) $one->chance,
                        ($seconds[$one->script] ?? null)?->marker,
                    ],
                    $sample->scripts,
                ), array_map(fn (FirstMark $one) => [$one->script, $one->marker, (string) $one->mark], $from),
            ])),
        );
    }

    /**
     * @return array{MarkerPlan|null, array<string, GivenScript>}
     */
    private function seconds(Assignment $assignment, Sample $sample, int $seed, SampleScope $scope): array
    {
        $scripts = $this->planning->scripts($assignment);
        $settings = [];
        // Coordinators have seen the marks of scripts that earlier samples left out: they mark none of these blind.
        $seen = $scope === SampleScope::More && $assignment->scheme->view === SecondView::Blind
            ? $this->planning->people($assignment)->where('role', Role::Coordinator)->pluck('user.public_id')->all()
            : [];
        foreach ($this->planning->agreed($assignment) as $marker => $agreed) {
            $agreed['marks'] && ! in_array($marker, $seen, true)
                && $settings[] = ['marker' => $marker, 'share' => $agreed['share'], 'sections' => null];
        }
        $kept = array_map(
            fn (GivenMark $mark) => new GivenScript($mark->code, $mark->marker, $mark->part),
            array_values(array_filter(
                $this->planning->marks($assignment),
                fn (GivenMark $mark) => in_array($mark->part, GivenScript::PARTS, true),
            )),
        );
        $wanted = array_map(fn (SampledScript $one) => $one->script, $sample->scripts);
        $known = array_flip(array_map(fn (GivenScript $one) => $one->script, $kept));
        $works = array_values(array_filter(
            $this->planning->works($assignment, $scripts), fn ($work) => isset($known[$work->id]),
        ));
        try {
            $plan = MarkerPlan::make(
                $works, $this->planning->markers($assignment, $settings), $seed, kept: $kept, secondOf: $wanted,
            );
        } catch (InvalidInput) {
            return [null, []];
        }
        $seconds = [];
        foreach ($plan->given as $one) {
            if ($one->part === Seat::Second->value) {
                $seconds[$one->script] = $one;
            }
        }

        return [$plan, $seconds];
    }

    /**
     * Who would have marked with whom: pairs there are already, and those of the plan.
     *
     * @param  array<string, GivenScript>  $seconds
     */
    private function linking(Assignment $assignment, array $seconds, Sample $sample): Linking
    {
        $pairs = [];
        $markers = [];
        $byScript = [];
        foreach ($this->planning->marks($assignment) as $mark) {
            $markers[$mark->marker] = true;
            $byScript[$mark->code][$mark->part] = $mark->marker;
        }
        foreach ($byScript as $parts) {
            isset($parts['first'], $parts['second']) && $pairs[] = [$parts['first'], $parts['second']];
        }
        foreach ($sample->scripts as $one) {
            if (isset($seconds[$one->script])) {
                $markers[$seconds[$one->script]->marker] = true;
                $pairs[] = [$one->marker, $seconds[$one->script]->marker];
            }
        }

        return Linking::of(array_map(strval(...), array_keys($markers)), $pairs);
    }

    private function sampled(SampleScope $scope): Sampled
    {
        return match ($scope) {
            SampleScope::New => Sampled::Undecided,
            SampleScope::More => Sampled::Out,
        };
    }

    /**
     * First marks of scripts whose work is in and whose students are here, with where each stands.
     *
     * @return Collection<int, \stdClass>
     */
    private function firstMarks(Assignment $assignment): Collection
    {
        return DB::table('marks')->where('marks.assignment_id', $assignment->id)
            ->where('marks.counting_seat', Seat::First->value)
            ->join('scripts', 'scripts.id', '=', 'marks.script_id')->join('users', 'users.id', '=', 'marks.marker_id')
            ->leftJoin('results', 'results.holding_script_id', '=', 'scripts.id')->whereNull('scripts.left_at')
            ->orderBy('scripts.code')
            ->get([
                'scripts.id', 'scripts.code', 'scripts.sampled', 'marks.total', 'marks.done_at',
                'users.public_id as marker', 'users.name', DB::raw('results.id IS NOT NULL AS released'),
            ]);
    }
}
