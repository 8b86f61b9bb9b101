<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Actions\Mark\StoreStandings;
use App\Documents\ResultDocument;
use App\Enums\NoticeKind;
use App\Enums\ReleaseState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\PreparedResult;
use App\Models\Release;
use App\Models\Result;
use App\Models\Script;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Release\Eligible;
use App\Release\WhyResultsWait;
use App\Wording\ReleaseMail;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;
use YoungHarbor\Core\Marking\Seat;

/**
 * The one step in which all that was written for a release becomes visible: results, logbook, standings, notices. What
 * changed since it was written is written anew; what is no longer ready is left out and named.
 */
final class LetOut
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ResultDocument $document,
        private readonly StoreStandings $standings,
        private readonly WhyResultsWait $why,
        private readonly RefuseRelease $refuse,
        private readonly Notices $notices,
    ) {
    }

    public function __invoke(Release $release): void
    {
        DB::transaction(function () use ($release): void {
            // Before its scripts, so that no correction is approved while results it would move go out.
            $assignment = Assignment::query()->with('module')->lockForUpdate()->findOrFail($release->assignment_id);
            $stored = Release::query()->with('maker')->lockForUpdate()->findOrFail($release->id);
            if ($stored->state !== ReleaseState::Running) {
                return;
            }
            $unsigned = $this->why->of($assignment);
            if ($unsigned !== null) {
                ($this->refuse)($stored, $unsigned);

                return;
            }
            [$scripts, $leftOut] = $this->ready($stored, $assignment);
            if ($scripts->isEmpty()) {
                ($this->refuse)($stored, 'every script was opened again or held meanwhile.', $leftOut);

                return;
            }
            $this->release($stored, $assignment, $scripts, $leftOut);
        });
    }

    /**
     * @return array{Collection<int, Script>, array<string, string>} those that go out, and why others do not
     */
    private function ready(Release $release, Assignment $assignment): array
    {
        $stamps = PreparedResult::query()->where('release_id', $release->id)->pluck('stamp', 'script_id')->all();
        $ids = array_keys($stamps);
        Script::query()->whereKey($ids)->orWhereIn(
            'id', Script::query()->whereKey($ids)->whereNotNull('lead_id')->pluck('lead_id'),
        )->orderBy('id')->lockForUpdate()->get(['id']);
        $leftOut = [];
        $scripts = Eligible::load($assignment, $ids)->filter(function (Script $script) use (
            $release, $stamps, &$leftOut,
        ) {
            if (! Eligible::is($script, $release->with_marks)) {
                $leftOut[$script->code] = $script->standing->value;

                return false;
            }
            if (! hash_equals($stamps[$script->id], $this->document->stamp($script))) {
                $this->writeAnew($release, $script);
            }

            return true;
        })->values();

        return [$scripts, $leftOut + $this->notChosen($release, $assignment, $ids)];
    }

    /**
     * Of those named one by one, the ones that were not ready when it began.
     *
     * @param  list<int>  $ids
     * @return array<string, string>
     */
    private function notChosen(Release $release, Assignment $assignment, array $ids): array
    {
        return $release->scope->isByHand()
            ? Eligible::inScope($assignment, $release->scope)->whereKeyNot($ids)->get(['id', 'code', 'standing'])
                ->mapWithKeys(fn (Script $script) => [$script->code => $script->standing->value])->all()
            : [];
    }

    private function writeAnew(Release $release, Script $script): void
    {
        $written = $this->document->of($script, $release->with_marks);
        PreparedResult::query()->where('release_id', $release->id)->where('script_id', $script->id)->update(
            ['document' => json_encode($written['document'], JSON_THROW_ON_ERROR)] + $written,
        );
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @param  array<string, string>  $leftOut
     */
    private function release(Release $release, Assignment $assignment, Collection $scripts, array $leftOut): void
    {
        $ids = array_values(array_map(intval(...), $scripts->modelKeys()));
        $this->insert($release, $ids);
        $results = Result::query()->where('release_id', $release->id)

            ->get(['id', 'public_id', 'script_id', 'band', 'shown'])
            ->keyBy('script_id');
        $assignment->results_out_at === null && $assignment->forceFill(['results_out_at' => now()])->save();
        // What was marked together and never finished is on nobody's desk any more.
        Mark::query()->whereIn('script_id', $ids)->where('seat', Seat::Together)
            ->whereNull('done_at')->whereNull('put_away_at')->update(['put_away_at' => now()]);
        ($this->standings)($ids);
        $lines = $notices = [];
        foreach ($scripts->sortBy('code') as $script) {
            $result = $results->get($script->id) ?? throw new LogicException("{$script->code} was not inserted.");
            $lines[] = Entry::of(LogEvent::ResultReleased)->on($script)
                ->with(mark: $result->shown, band: $result->band)->by($release->maker);
            $notices[] = $this->notice($release, $assignment, $script, $result);
        }
        $lines[] = Entry::of(LogEvent::ReleaseOut)->on($assignment)
            ->with(scripts: count($ids), left_out: count($leftOut))->by($release->maker);
        $this->logbook->writeAll($lines);
        $this->notices->make($notices);
        PreparedResult::query()->where('release_id', $release->id)->delete();
        $release->update([
            'state' => ReleaseState::Out, 'out_at' => now(), 'released' => count($ids), 'left_out' => $leftOut,
            'beat_at' => null,
        ]);
    }

    /**
     * @param  list<int>  $ids
     */
    private function insert(Release $release, array $ids): void
    {
        $now = now()->toDateTimeString();
        foreach (array_chunk($ids, 500) as $some) {
            Result::query()->whereIn('script_id', $some)->whereNull('replaced_at')->update(['replaced_at' => $now]);
            DB::table('results')->insertUsing(
                [
                    'public_id', 'script_id', 'release_id', 'version', 'document', 'mark', 'band', 'provisional',
                    'what_changed', 'released_by', 'released_at', 'created_at', 'updated_at',
                ],
                DB::table('prepared_results')->where('prepared_results.release_id', $release->id)
                    ->whereIn('prepared_results.script_id', $some)
                    ->leftJoinSub(
                        DB::table('results')->whereIn('script_id', $some)->groupBy('script_id')
                            ->selectRaw('script_id, MAX(version) AS version'),
                        'before', 'before.script_id', '=', 'prepared_results.script_id',
                    )
                    ->selectRaw(
                        'prepared_results.public_id, prepared_results.script_id, ?, COALESCE(`before`.version, 0) + 1,
                        document, mark, band, ?, IF(`before`.version IS NULL, ?, ?), ?, ?, ?, ?',
                        [
                            $release->id, $release->provisional, '', __('release.mark_added'), $release->made_by, $now,
                            $now, $now,
                        ],
                    ),
            );
        }
    }

    private function notice(Release $release, Assignment $assignment, Script $script, Result $result): NewNotice
    {
        $link = route('results.show', $result);
        [$subject, $body] = ReleaseMail::filled($release->subject, $release->body, $assignment, $script, $link);

        return new NewNotice(
            $script->student, NoticeKind::Result, "result:{$result->public_id}",
            (string) __('notices.result', ['assignment' => $assignment->title]),
            route('results.show', $result, false), $assignment, $subject, $body,
        );
    }
}
