<?php

declare(strict_types=1);

/*
 * The cohort page of 50 and of 2,000 students, each with a hand-in, in turn: the ratio of their times (medians), the
 * number of queries, and how many lines of a roster are applied in a second beside as many plain inserts.
 */

use App\Actions\Collect\ApplyRoster;
use App\Actions\Mark\StoreStandings;
use App\Imports\RosterReading;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\RosterImport;
use App\Models\Script;
use App\Models\User;
use App\Models\Work;
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
        $rows = Script::query()->where('assignment_id', $assignment->id)->orderBy('id')
            ->get(['id', 'student_id', 'due_at']);
        foreach ($rows->chunk(500) as $some) {
            $first = 1 + (int) DB::table('works')->max('id');
            DB::table('works')->insert(
                $some->values()
                    ->map(
                        fn (Script $script, int $n) => [
                            'id' => $first + $n, 'script_id' => $script->id, 'kind' => Work::HANDIN,
                        ]
                    )
                    ->all()
            );
            DB::table('handins')->insert($some->values()->map(fn (Script $script, int $n) => [
                'id' => $first + $n, 'public_id' => (new Handin)->newUniqueId(), 'script_id' => $script->id,
                'attempt' => 1, 'handed_in_by' => $script->student_id, 'bytes' => 9, 'sha256' => str_repeat('0', 64),
                'words' => 9, 'text' => '', 'html' => '', 'notes' => '[]', 'identity' => '[]',
                'seal' => str_repeat('0', 64), 'read_at' => now(), 'prepared_at' => now(),
                'due_at' => $script->due_at, 'late' => $script->id % 9 === 0,
                'received_at' => $script->due_at?->copy()->subMinutes($script->id % 997),
            ])->all());
        }
        DB::update(
            'UPDATE scripts s JOIN handins h ON h.script_id = s.id SET s.current_handin_id = h.id, s.brief_opened_at = h.received_at, s.received_at = h.received_at, s.late = h.late WHERE s.assignment_id = ?',
            [$assignment->id],
        );
        app(StoreStandings::class)($rows->modelKeys());

        return [$this->coordinator, $assignment, $took];
    }

    public function roster(int $lines, string $mark): float
    {
        $csv = "Name,Mail,Number,Section\n".implode(
            '',
            array_map(
                fn (int $n) => "Person {$mark} {$n},{$mark}-{$n}@bench.example,{$mark}{$n},".chr(65 + $n % 5)."\n",
                range(1, $lines),
            ),
        );
        Storage::put("rosters/{$mark}", $csv);
        $import = RosterImport::query()->create(
            [
                'module_id' => $this->module->id, 'made_by' => $this->coordinator->id, 'file_name' => 'bench.csv',
                'path' => "rosters/{$mark}", 'kind' => 'table',
                'choices' => [
                    'columns' => ['name' => 0, 'email' => 1, 'number' => 2, 'section' => 3], 'role' => 'student',
                    'complete' => true,
                ],
            ]
        );
        $start = hrtime(true);
        $sum = app(RosterReading::class)->compare($import->refresh())->sum();
        app(ApplyRoster::class)($import, $sum, $this->coordinator);

        return (hrtime(true) - $start) / 1e9;
    }
};

Illuminate\Support\Facades\Mail::fake();
[$fewBy, $few] = $world->cohort(50);
[$manyBy, $many, $took] = $world->cohort(2000);
$found = $inTurn([
    '50' => [$fewBy, "/assignments/{$few->public_id}/collect"],
    '2,000' => [$manyBy, "/assignments/{$many->public_id}/collect"],
    'today of 50' => [$fewBy, '/'], 'today of 2,000' => [$manyBy, '/'],
], 40);
printf("cohort page, medians of 40, in turn; processor time of PHP and the database together\n");
foreach (['50', '2,000'] as $n) {
    printf(
        "  %5s students: %.1f ms of processor time, %.1f ms, %d queries, %d rows\n", $n, $found[$n]['cpu'],
        $found[$n]['wall'], $found[$n]['queries'], $found[$n]['rows'],
    );
}
printf(
    "  ratio %.2f (aim: 2); Today %.2f\n", $found['2,000']['cpu'] / $found['50']['cpu'],
    $found['today of 2,000']['cpu'] / $found['today of 50']['cpu'],
);
$queries = [50 => $found['50']['queries'], 2000 => $found['2,000']['queries']];
printf("  queries with 2,000 students: %s\n", $queries[50] === $queries[2000] ? 'the same' : 'MORE');

$start = hrtime(true);
foreach (array_chunk(range(1, 2000), 500) as $some) {
    DB::table('users')->insert(
        array_map(
            fn (int $n) => [
                'public_id' => (new User)->newUniqueId(), 'name' => "Plain {$n}",
                'email' => "plain-{$n}@bench.example", 'password' => 'x',
            ],
            $some,
        )
    );
}
$plain = (hrtime(true) - $start) / 1e9;
printf(
    "roster of 2,000 new students read, compared and applied, with a place in an open assignment each: %.0f lines a second, %.1f times the time of inserting their 2,000 accounts alone\n",
    2000 / $took, $took / $plain,
);
Carbon::setTestNow();
exit($queries[50] === $queries[2000] ? 0 : 1);
