<?php

declare(strict_types=1);

/*
 * The cohort page of 50 and of 2,000 students, each with a hand-in, in turn: the ratio of their times (medians), the
 * number of queries, and how many lines of a roster are applied in a second beside as many plain inserts.
 */

use App\Actions\Collect\ApplyRoster;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\RosterImport;
use App\Models\Script;
use App\Models\User;
use App\Support\RosterReading;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\World;

require __DIR__.'/begin.php';

$world = new class
{
    use World;

    /** @return array{User, Assignment, float} the coordinator, an assignment of so many students, seconds their roster took */
    public function cohort(int $students): array
    {
        $this->tutors = $this->students = [];
        DB::transaction(fn () => $this->module(1, 0));
        $assignment = DB::transaction(fn () => $this->assignment());
        $took = $this->roster($students, 'c'.$students);
        $rows = Script::query()->where('assignment_id', $assignment->id)->orderBy('id')->get(['id', 'student_id', 'due_at']);
        foreach ($rows->chunk(500) as $some) {
            DB::table('handins')->insert($some->map(fn (Script $script) => [
                'public_id' => (new Handin)->newUniqueId(), 'script_id' => $script->id, 'attempt' => 1, 'handed_in_by' => $script->student_id, 'bytes' => 9, 'sha256' => str_repeat('0', 64), 'words' => 9, 'text' => '', 'html' => '', 'notes' => '[]', 'identity' => '[]', 'seal' => str_repeat('0', 64),
                'due_at' => $script->due_at, 'late' => $script->id % 9 === 0, 'received_at' => $script->due_at?->copy()->subMinutes($script->id % 997),
            ])->all());
        }
        DB::update('UPDATE scripts s JOIN handins h ON h.script_id = s.id SET s.current_handin_id = h.id, s.brief_opened_at = h.received_at, s.received_at = h.received_at, s.late = h.late WHERE s.assignment_id = ?', [$assignment->id]);

        return [$this->coordinator, $assignment, $took];
    }

    public function roster(int $lines, string $mark): float
    {
        $csv = "Name,Mail,Number,Section\n".implode('', array_map(fn (int $n) => "Person {$mark} {$n},{$mark}-{$n}@bench.example,{$mark}{$n},".chr(65 + $n % 5)."\n", range(1, $lines)));
        Storage::put("rosters/{$mark}", $csv);
        $import = RosterImport::query()->create(['module_id' => $this->module->id, 'made_by' => $this->coordinator->id, 'file_name' => 'bench.csv', 'path' => "rosters/{$mark}", 'kind' => 'table', 'choices' => ['columns' => ['name' => 0, 'email' => 1, 'number' => 2, 'section' => 3], 'role' => 'student', 'complete' => true]]);
        $start = hrtime(true);
        $sum = app(RosterReading::class)->compare($import->refresh())->sum();
        app(ApplyRoster::class)($import, $sum, $this->coordinator);

        return (hrtime(true) - $start) / 1e9;
    }
};

Illuminate\Support\Facades\Mail::fake();
[$fewBy, $few] = $world->cohort(50);
[$manyBy, $many, $took] = $world->cohort(2000);
$times = [50 => [], 2000 => []];
$queries = [];
for ($i = 0; $i < 45; $i++) {
    foreach ([50 => [$fewBy, $few], 2000 => [$manyBy, $many]] as $n => [$by, $assignment]) {
        [$ms, $queries[$n]] = $get($by, "/assignments/{$assignment->public_id}/collect");
        $i < 5 || $times[$n][] = $ms;
    }
}
printf("cohort page, each the median of 40, in turn\n  50 students: %.1f ms, %d queries; 2,000 students: %.1f ms, %d queries; ratio %.2f\n", $median($times[50]), $queries[50], $median($times[2000]), $queries[2000], $median($times[2000]) / $median($times[50]));
printf("  queries with 2,000 students: %s\n", $queries[50] === $queries[2000] ? 'the same' : 'MORE');

$start = hrtime(true);
foreach (array_chunk(range(1, 2000), 500) as $some) {
    DB::table('users')->insert(array_map(fn (int $n) => ['public_id' => (new User)->newUniqueId(), 'name' => "Plain {$n}", 'email' => "plain-{$n}@bench.example", 'password' => 'x'], $some));
}
$plain = (hrtime(true) - $start) / 1e9;
printf("roster of 2,000 new students read, compared and applied, with a place in an open assignment each: %.0f lines a second, %.1f times the time of inserting their 2,000 accounts alone\n", 2000 / $took, $took / $plain);
Carbon::setTestNow();
exit($queries[50] === $queries[2000] ? 0 : 1);
