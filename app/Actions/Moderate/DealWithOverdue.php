<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\Role;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\SettleOverdue;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Marking\Disagreement;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Marking\Standing;

/**
 * What happens with scripts whose markers have not agreed by their date, as their assignment says: the markers are
 * reminded, a third is asked for, or coordinators are told that it is theirs to decide. Each is told once, and again
 * when as many days have passed once more.
 */
final class DealWithOverdue
{
    public function __construct(
        private readonly AskForThird $askForThird,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @return int scripts something was done about
     */
    public function __invoke(): int
    {
        $done = 0;
        Assignment::query()->whereIn('id', Script::query()->where('reached', Standing::ToSettle)->select('assignment_id'))
            ->eachById(function (Assignment $assignment) use (&$done): void {
                $scripts = $this->claim($assignment);
                $scripts->isEmpty() || $done += $this->deal($assignment, $scripts);
            });

        return $done;
    }

    /**
     * The scripts past their date that nobody was told of lately: whoever asks at the same time gets none of them.
     *
     * @return Collection<int, Script>
     */
    private function claim(Assignment $assignment): Collection
    {
        return DB::transaction(function () use ($assignment): Collection {
            $before = now()->subDays($assignment->scheme->days);
            $scripts = Script::query()->where('assignment_id', $assignment->id)->where('reached', Standing::ToSettle)
                ->whereNull('lead_id')->where('to_settle_at', '<=', $before)->whereNull('held_reason')
                ->where(fn ($query) => $query->whereNull('settle_told_at')->orWhere('settle_told_at', '<=', $before))
                ->orderBy('id')->lockForUpdate()->get();
            Script::query()->whereKey($scripts->modelKeys())->update(['settle_told_at' => now()]);

            return $scripts->sortBy('code')->values();
        });
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function deal(Assignment $assignment, Collection $scripts): int
    {
        $left = $scripts->filter(
            fn (Script $script) => $assignment->scheme->disagreement !== Disagreement::Third
                || ! $this->hasThird($script),
        );

        return DB::transaction(function () use ($assignment, $scripts, $left): int {
            if ($left->isEmpty()) {
                return $scripts->count();
            }
            $isDecision = $assignment->scheme->disagreement === Disagreement::Coordinator;
            foreach (
                $isDecision ? $this->coordinators($assignment, $left) : $this->markers($left) as [$person, $theirs]
            ) {
                $person->no_reminders || Mail::to($person->email)->queue(
                    (
                        new SettleOverdue(
                            $assignment, $person,
                            array_values($theirs->map(fn (Script $script) => $script->code)->all()), $isDecision,
                        )
                    )->afterCommit(),
                );
            }
            $this->logbook->write(
                Entry::of(LogEvent::SettlingReminded)->on($assignment)->with(scripts: $left->count()),
            );

            return $scripts->count();
        });
    }

    /** Asks for a third; who cannot be found is left to people, who are reminded. */
    private function hasThird(Script $script): bool
    {
        try {
            ($this->askForThird)($script, SecondView::Open, null);

            return true;
        } catch (Refused) {
            return false;
        }
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @return list<array{User, Collection<int, Script>}>
     */
    private function markers(Collection $scripts): array
    {
        $marks = Mark::counting()->whereIn('script_id', $scripts->pluck('id'))->with('marker')->get()
            ->groupBy('marker_id');

        return array_values($marks->map(fn (Collection $theirs) => [
            $theirs->firstOrFail()->marker,
            $scripts->whereIn('id', $theirs->pluck('script_id')->all())->values(),
        ])->all());
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @return list<array{User, Collection<int, Script>}>
     */
    private function coordinators(Assignment $assignment, Collection $scripts): array
    {
        return array_values($assignment->module->members()->where('role', Role::Coordinator)->with('user')->get()
            ->map(fn ($member) => [$member->user, $scripts->values()])->all());
    }
}
