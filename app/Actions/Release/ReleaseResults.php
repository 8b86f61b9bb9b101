<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Actions\Mark\StoreStandings;
use App\Documents\ResultDocument;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\ResultReleased;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Result;
use App\Models\Script;
use App\Models\User;
use App\Queries\Moderate\SignOff;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Release\Signature;

/**
 * Releases results: each becomes a document that no later change reaches, and its student is told by mail.
 */
final class ReleaseResults
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ResultDocument $document,
        private readonly StoreStandings $standings,
        private readonly SignOff $signOff,
    ) {
    }

    /**
     * @param  list<string>|null  $codes  script codes; null for every script that is ready
     * @param  int|null  $expected  how many whoever releases was told of; null when nobody was told a number
     * @return int how many were released
     *
     * @throws Refused when one that was asked for is not ready: then none goes out
     */
    public function __invoke(Assignment $assignment, ?array $codes, User $by, ?int $expected = null): int
    {
        return DB::transaction(function () use ($assignment, $codes, $by, $expected): int {
            // Before its scripts, so that no correction is approved while results it would move go out.
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $assignment->unsetRelation('corrections');
            $unsigned = array_map(
                fn (Signature $one) => __("release.signature.{$one->value}"), $this->signOff->missing($assignment),
            );
            $unsigned === [] || throw new Refused(
                'Nothing was released: results of this assignment wait for '.implode(' and ', $unsigned).' signature.',
            );
            $scripts = Script::query()->where('assignment_id', $assignment->id)
                ->when($codes !== null, fn ($query) => $query->whereIn('code', $codes))
                ->orderBy('id')->lockForUpdate()->get()->sortBy('code')->values();
            $scripts->load(
                [
                    'marks.rubricVersion', 'settlement', 'result', 'student', 'currentHandin',
                    'lead.marks.rubricVersion', 'lead.settlement',
                ]
            );
            $ready = $scripts->filter(fn (Script $script) => $script->standing === Standing::Agreed);
            $this->refuseUnready($codes, $scripts, $ready);
            if ($codes === null && $expected !== null && $expected !== $ready->count()) {
                throw new Refused(
                    (
                        $ready->count() === 1 ? '1 result is' : "{$ready->count()} results are"
                    )
                        ." ready now, not {$expected} as when you opened the page. Nothing was released: look at the list, then release again."
                );
            }
            $assignment->results_out_at === null && $assignment->forceFill(['results_out_at' => now()])->save();
            foreach ($ready as $script) {
                $this->release($script->setRelation('assignment', $assignment), $by);
            }

            // What was marked together and never finished is on nobody's desk any more.
            Mark::query()->whereIn('script_id', $ready->modelKeys())->where('seat', Seat::Together)
                ->whereNull('done_at')->whereNull('put_away_at')->update(['put_away_at' => now()]);
            ($this->standings)($ready->modelKeys());

            return $ready->count();
        });
    }

    /**
     * @param  list<string>|null  $codes
     * @param  Collection<int, Script>  $scripts
     * @param  Collection<int, Script>  $ready
     */
    private function refuseUnready(?array $codes, Collection $scripts, Collection $ready): void
    {
        if ($ready->isEmpty()) {
            throw new Refused('No script is ready to be released. The list says what stands in the way.');
        }
        if ($codes === null) {
            return;
        }
        $not = $scripts->reject(fn (Script $script) => $ready->contains($script));
        if ($not->isNotEmpty() || $scripts->count() < count(array_unique($codes))) {
            $named = $not->map(
                fn (Script $script) => $script->code.' ('.__("mark.standing.{$script->standing->value}").')'
            )->implode(', ');
            throw new Refused(
                'Nothing was released, because not all you chose are ready: '.(
                    $named === '' ? 'some codes are not of this assignment' : $named
                ).'.'
            );
        }
    }

    private function release(Script $script, User $by): void
    {
        $final = $this->document->of($script);
        $result = Result::query()->create([
            'script_id' => $script->id, 'document' => $final['document'], 'mark' => $final['mark'],
            'band' => $final['band'], 'released_by' => $by->id, 'released_at' => now(),
        ]);
        $this->logbook->write(
            Entry::of(LogEvent::ResultReleased)->on($script)->with(mark: $final['mark'], band: $final['band'])->by($by)
        );
        Mail::to($script->student->email)->queue((new ResultReleased($result))->afterCommit());
    }
}
