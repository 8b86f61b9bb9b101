<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Mark\StoreStandings;
use App\Exceptions\Refused;
use App\Jobs\MakeCopiesJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Sample;
use App\Models\SampledScript;
use App\Models\Script;
use App\Models\User;
use App\Queries\Moderate\SampleDraft;
use App\Queries\Moderate\SamplePlanning;
use App\Queries\Moderate\SampleScope;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Sample as Chosen;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\SampledScript as SampledOne;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondMarks;

/**
 * Draws a sample and gives its scripts to their second markers, in one step and just as it was previewed. Scripts that
 * are not in it have their first mark as their agreed one.
 */
final class DrawSample
{
    public function __construct(
        private readonly SamplePlanning $planning,
        private readonly SettleByRule $settle,
        private readonly StoreStandings $standings,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @param  list<string>  $markers  public ids of the first markers whose scripts it is drawn from
     * @param  string  $digest  of the preview
     * @param  string  $reason  why more are drawn than the rule asked for
     *
     * @throws Refused when what was previewed is not what would be drawn now
     */
    public function __invoke(
        Assignment $assignment, SampleScope $scope, array $markers, SampleRule $rule, int $seed, ?int $drawn,
        string $digest, User $by, string $reason = '',
    ): Sample {
        return DB::transaction(function () use (
            $assignment, $scope, $markers, $rule, $seed, $drawn, $digest, $by, $reason,
        ): Sample {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $stored->scheme->second === SecondMarks::Sample
                || throw new Refused('This assignment does not mark a sample a second time.');
            Script::query()->where('assignment_id', $stored->id)->orderBy('id')->lockForUpdate()->get(['id']);
            $draft = $this->planning->draft($stored, $scope, $markers, $rule, $seed, $drawn);
            hash_equals($draft->digest, $digest) || throw new Refused(
                'A mark or a marker has changed since the preview, or the sample has been drawn by someone else meanwhile. Nothing was drawn: look at the preview as it is now, and draw then.'
            );
            $codes = array_map(fn (FirstMark $one) => $one->script, $draft->from);
            $scripts = Script::query()->where('assignment_id', $stored->id)->whereIn('code', $codes)
                ->with(['marks.rubricVersion', 'settlement'])->get()
                ->each(fn (Script $script) => $script->setRelation('assignment', $stored))->keyBy('code')->all();
            $sample = $this->keep($stored, $draft, $scripts, $by, $reason);
            $this->giveOut($stored, $draft, $scripts, $by);
            $scope === SampleScope::More && $this->chances($stored);
            $this->leaveOthers($draft, $scripts, $scope);
            ($this->standings)(array_column($scripts, 'id'));
            $this->logbook->write(Entry::of(LogEvent::SampleDrawn)->on($stored)->by($by)->with(
                scripts: count($draft->sample->scripts), from: count($draft->from), drawn: $draft->sample->drawn(),
                seed: $seed, plan: $sample->public_id,
            )->because($reason === '' ? null : $reason));
            MakeCopiesJob::dispatch($stored->id)->afterCommit();

            return $sample;
        });
    }

    /**
     * @param  array<string, Script>  $scripts  by code
     */
    private function keep(
        Assignment $assignment, SampleDraft $draft, array $scripts, User $by, string $reason,
    ): Sample {
        $people = User::query()->whereIn('public_id', array_keys($draft->sample->byMarker()))->pluck('id', 'public_id');
        $marks = array_column(
            array_map(fn (FirstMark $one) => [$one->script, (string) $one->mark], $draft->from), 1, 0,
        );
        $sample = Sample::query()->create([
            'assignment_id' => $assignment->id,
            'number' => 1 + (int) Sample::query()->where('assignment_id', $assignment->id)->max('number'),
            'seed' => $draft->seed, 'rule' => $draft->rule, 'boundaries' => $draft->boundaries,
            'from' => count($draft->from), 'drawn' => $draft->sample->drawn(), 'reason' => $reason,
            'made_by' => $by->id,
        ]);
        $rows = [];
        foreach ($draft->sample->scripts as $one) {
            $rows[] = [
                'sample_id' => $sample->id, 'script_id' => $scripts[$one->script]->id,
                'first_marker_id' => $people[$one->marker], 'mark' => $marks[$one->script],
                'reasons' => json_encode($one->reasonKeys(), JSON_THROW_ON_ERROR),
                'chance' => Figure::exact($one->chance),
            ];
        }
        SampledScript::query()->insert($rows);

        return $sample;
    }

    /**
     * @param  array<string, Script>  $scripts  by code
     */
    private function giveOut(Assignment $assignment, SampleDraft $draft, array $scripts, User $by): void
    {
        $people = User::query()->whereIn('public_id', array_keys($draft->loads))->pluck('id', 'public_id');
        $in = [];
        foreach ($draft->sample->scripts as $one) {
            $script = $scripts[$one->script];
            $in[] = $script->id;
            $script->settlement?->undo($by, 'Drawn to be marked a second time.');
            $second = $draft->seconds[$one->script] ?? null;
            $second === null || Mark::give($script, Seat::Second, (int) $people[$second->marker], $assignment);
        }
        Script::query()->whereIn('id', $in)->update(['sampled' => Sampled::In]);
    }

    /**
     * What one draw after another came to: each drawn script's chance is how many of its marker's were drawn in all, over
     * how many could have been.
     */
    private function chances(Assignment $assignment): void
    {
        $drawn = SampledScript::query()->with('script:id,assignment_id')
            ->whereHas('script', fn ($query) => $query->where('assignment_id', $assignment->id))->get()
            ->filter(fn (SampledScript $one) => $one->reasons === ['drawn'])->groupBy('first_marker_id');
        $out = DB::table('scripts')->where('scripts.assignment_id', $assignment->id)
            ->where('sampled', Sampled::Out->value)
            ->join('marks', fn ($join) => $join->on('marks.script_id', '=', 'scripts.id')
                ->where('marks.counting_seat', Seat::First->value))
            ->groupBy('marks.marker_id')->selectRaw('marks.marker_id, COUNT(*) AS scripts')
            ->pluck('scripts', 'marker_id');
        foreach ($drawn as $marker => $theirs) {
            $chance = Chosen::chanceInAll($theirs->count(), (int) ($out[$marker] ?? 0));
            SampledScript::query()->whereKey($theirs->modelKeys())
                ->update(['chance' => Figure::exact($chance)]);
        }
    }

    /**
     * @param  array<string, Script>  $scripts  by code
     */
    private function leaveOthers(SampleDraft $draft, array $scripts, SampleScope $scope): void
    {
        if ($scope === SampleScope::More) {
            return;
        }
        $in = array_flip(array_map(fn (SampledOne $one) => $one->script, $draft->sample->scripts));
        $out = array_diff_key($scripts, $in);
        Script::query()->whereKey(array_column($out, 'id'))->update(['sampled' => Sampled::Out]);
        foreach ($out as $script) {
            $script->sampled = Sampled::Out;
            $script->settlement === null && ($this->settle)($script->syncOriginal());
        }
    }
}
