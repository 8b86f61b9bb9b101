<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Models\Assignment;
use App\Models\Script;
use App\Queries\Collect\DueTimes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marks\DueTime;

/**
 * Writes when the work of each student is due, after anything it depends on has changed.
 *
 * For work that is in, the due time only moves later: what held when it was handed in goes on holding.
 */
final class SetDueTimes
{
    public function __construct(private readonly DueTimes $times)
    {
    }

    /**
     * @return int how many hand-ins are no longer late
     */
    public function __invoke(Assignment $assignment): int
    {
        $scripts = Script::query()->where('assignment_id', $assignment->id)
            ->get(['id', 'assignment_id', 'student_id', 'group_name', 'due_at', 'closes_at'])
            ->each(fn (Script $script) => $script->setRelation('assignment', $assignment));
        $new = [];
        foreach ($this->times->of($scripts) as $id => $time) {
            $new[$this->key($time)][] = $id;
        }
        foreach ($new as $key => $ids) {
            [$due, $closes] = explode('|', $key);
            foreach (array_chunk($ids, 1000) as $some) {
                Script::query()->whereIn('id', $some)
                    ->update(['due_at' => $due, 'closes_at' => $closes === '' ? null : $closes]);
            }
        }
        $late = fn (): int => DB::table('handins')->join('scripts', 'scripts.id', '=', 'handins.script_id')
            ->where('scripts.assignment_id', $assignment->id)->where('handins.late', true)->count();
        $before = $late();
        DB::update(
            'UPDATE handins h JOIN scripts s ON s.id = h.script_id SET h.due_at = s.due_at, h.late = h.received_at > s.due_at WHERE s.assignment_id = ? AND h.due_at < s.due_at',
            [$assignment->id],
        );
        DB::update(
            'UPDATE scripts s JOIN handins h ON h.id = s.current_handin_id SET s.late = h.late WHERE s.assignment_id = ? AND s.late <> h.late',
            [$assignment->id],
        );

        return $before - $late();
    }

    private function key(DueTime $time): string
    {
        $utc = fn (?\DateTimeImmutable $at) => $at === null ? '' : Carbon::instance($at)->utc()->format('Y-m-d H:i:s');

        return $utc($time->due).'|'.$utc($time->closes);
    }
}
