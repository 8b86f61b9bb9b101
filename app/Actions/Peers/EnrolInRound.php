<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\Handin;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\Script;
use App\Peers\DrawnCodes;
use App\Peers\MemberTimes;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Peers\RoundCode;

/**
 * Brings into a round whoever has handed in since it was last looked at, each under codes of the round's own, and notes
 * who has left the module.
 */
final class EnrolInRound
{
    /**
     * The round's row is locked by who calls.
     */
    public function __invoke(Round $round): void
    {
        $scripts = Script::query()->where('assignment_id', $round->assignment_id)
            ->get(['id', 'assignment_id', 'student_id', 'lead_id', 'group_name', 'current_handin_id', 'left_at'])
            ->keyBy('id');
        $this->noteLeavers($round, $scripts);
        $this->addWorks($round, $scripts);
        $this->addMembers($round, $scripts);
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function noteLeavers(Round $round, Collection $scripts): void
    {
        foreach (RoundMember::query()->where('round_id', $round->id)->get() as $member) {
            $gone = $scripts->get($member->script_id)?->left_at !== null;
            if ($gone !== ($member->left_at !== null)) {
                $member->update(['left_at' => $gone ? now() : null]);
            }
        }
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function addWorks(Round $round, Collection $scripts): void
    {
        $known = RoundWork::query()->where('round_id', $round->id)->pluck('code', 'script_id');
        $leads = $scripts->filter(fn (Script $one) => $one->lead_id === null && $one->current_handin_id !== null
            && $one->left_at === null && ! isset($known[$one->id]));
        // What came in counts once it has been read: only then is there something made anew to show.
        $read = Handin::query()->whereIn('id', $leads->pluck('current_handin_id'))->whereNotNull('read_at')
            ->whereNull('unreadable')->pluck('id', 'script_id');
        $codes = new DrawnCodes(RoundCode::WORKS, $known->all());
        $this->insert('round_works', $leads->filter(fn (Script $one) => isset($read[$one->id]))->map(
            fn (Script $one) => [
                'round_id' => $round->id, 'script_id' => $one->id, 'work_id' => $one->current_handin_id,
                'code' => $codes->next(), 'wanted' => $round->settings->peers ? $round->settings->each : 0,
            ],
        )->shuffle()->all());
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function addMembers(Round $round, Collection $scripts): void
    {
        $known = RoundMember::query()->where('round_id', $round->id)->pluck('code', 'user_id');
        $works = RoundWork::query()->where('round_id', $round->id)->pluck('script_id')->flip();
        $days = MemberTimes::extraDays($round);
        $codes = new DrawnCodes(RoundCode::REVIEWERS, $known->all());
        $this->insert('round_members', $scripts->filter(
            fn (Script $one) => $one->left_at === null && ! isset($known[$one->student_id])
                && ($round->settings->without || isset($works[$one->lead_id ?? $one->id])),
        )->map(fn (Script $one) => [
            'round_id' => $round->id, 'user_id' => $one->student_id, 'script_id' => $one->id, 'code' => $codes->next(),
            'due_at' => MemberTimes::dueFor($round, $days[$one->student_id] ?? 0),
        ])->shuffle()->all());
    }

    /**
     * @param  array<int, array<string, int|string|Carbon|null>>  $rows
     */
    private function insert(string $table, array $rows): void
    {
        foreach (array_chunk($rows, 500) as $some) {
            DB::table($table)->insert(array_map(
                fn (array $row) => $row + ['created_at' => now(), 'updated_at' => now()], $some,
            ));
        }
    }
}
