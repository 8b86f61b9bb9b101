<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Actions\Moderate\SettleByRule;
use App\Desk\Beside;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use App\Models\Script;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Rubric\Criterion;

/**
 * Declares a mark done. The last mark of a script to be done settles it when the rule can.
 */
final class FinishMark
{
    /** Letters that a reason has at least. */
    private const SHORTEST_REASON = 10;

    public function __construct(
        private readonly ChangeMark $change,
        private readonly SettleByRule $settle,
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @throws Refused while the rubric is incomplete
     */
    public function __invoke(Mark $mark): Mark
    {
        return DB::transaction(function () use ($mark): Mark {
            $done = ($this->change)($mark, function (Mark $stored): void {
                $score = $stored->score();
                if (! $score->isComplete()) {
                    $missing = array_map(fn (Criterion $criterion) => $criterion->title(), $score->missing());
                    throw new Refused(
                        'Not done yet: '.implode(', ', $missing).(count($missing) === 1 ? ' has' : ' have')
                            .' no mark. Everything you chose and wrote is kept.'
                    );
                }
                $this->checkReason($stored);
                $stored->total = (string) $score->percent();
                $stored->done_at = Carbon::now();
                $stored->first_done_at ??= $stored->done_at;
                $stored->aside_reason = null;
            });
            $this->logbook->write(
                Entry::of(LogEvent::MarkFinished)->on($done->script)
                    ->with(...['seat' => $done->seat, 'total' => $done->shownTotal(), ...$this->checked($done)])
            );
            if ($done->counts) {
                $this->decideAnew($done->script->refresh(), $done);
                ($this->settle)($done->script);
                ($this->standings)([$done->script_id]);
            }

            return $done;
        });
    }

    /**
     * What a check read, and for how long.
     *
     * @return array<string, int|bool|null>
     */
    private function checked(Mark $mark): array
    {
        return $mark->seat !== Seat::Second || $mark->view !== SecondView::Check ? [] : [
            'agrees' => $mark->agrees, 'version' => Beside::of($mark)->first()?->lock_version,
            'seconds' => $mark->seconds,
        ];
    }

    /**
     * Who checks a mark and sees it differently, and a third who decides, say why: others read it when they settle.
     *
     * @throws Refused
     */
    private function checkReason(Mark $mark): void
    {
        $asks = match (true) {
            $mark->seat === Seat::Second && $mark->view === SecondView::Check => ! $this->agrees($mark),
            $mark->seat === Seat::Third => $mark->script->assignment->scheme->thirdRule === RuleName::ThirdDecides,
            default => false,
        };
        $asks && mb_strlen(trim($mark->reason)) < self::SHORTEST_REASON && throw new Refused(
            $mark->seat === Seat::Third
                ? 'Not done yet: your mark decides, so say why in a sentence, below the rubric. Everything you chose and wrote is kept.'
                : 'Not done yet: you see something differently than the first marker, so say why in a sentence, below the rubric. Everything you chose and wrote is kept.'
        );
    }

    /**
     * @throws Refused while there is nothing to check
     */
    private function agrees(Mark $mark): bool
    {
        $first = Beside::of($mark)->first() ?? throw new Refused(
            'The first mark of this script is not done, so there is nothing to check yet. Everything you chose and wrote is kept.'
        );
        $mark->agrees = array_filter(
            $mark->rubric()->criteria,
            fn (Criterion $one) => ! $mark->choices->on($one->id())->setsTheSame($first->choices->on($one->id())),
        ) === [];

        return $mark->agrees;
    }

    /** A script outside the sample whose first mark now is one that must be in it waits for the next draw. */
    private function decideAnew(Script $script, Mark $mark): void
    {
        if ($script->sampled !== Sampled::Out || $mark->seat !== Seat::First) {
            return;
        }
        $script->load('assignment');
        $boundaries = $script->assignment->scale()->boundaries();
        if ($script->assignment->scheme->sample()->reasons($mark->exactTotal(), $boundaries) !== []) {
            $script->update(['sampled' => Sampled::Undecided]);
        }
    }
}
