<?php

declare(strict_types=1);

/*
 * The grade book of 12 assignments for 50 and for 2,000 students; all module marks of 2,000 students worked out anew; a
 * search in a logbook of 2,000 and of 200,000 lines.
 */

use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\SaveAssignment;
use App\Enums\Role;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use App\Release\ModuleMarks;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\View;
use Illuminate\Support\Str;
use YoungHarbor\Core\Release\ModulePlan;
use YoungHarbor\Core\Rubric\Draft;

require __DIR__.'/begin.php';
View::addLocation(__DIR__.'/views');
Route::middleware(['web', 'auth'])->get('/bench-empty', fn () => view('bench-empty'));

/** A module of so many students, 12 assignments whose results are all out, and a module mark made of them. */
$made = function (int $students): array {
    mt_srand($students);
    $module = Module::factory()->create();
    $by = User::factory()->create();
    Membership::factory()->create(['module_id' => $module->id, 'user_id' => $by->id, 'role' => Role::Coordinator]);
    $rubric = app(MakeRubricReady::class)(app(AddRubric::class)(
        Draft::of(
            ['title' => 'Bench'] + (require __DIR__.'/../../database/demo/rubrics.php')['essay'],
        ), $by, $module,
    ), 1, $by);
    $assignments = [];
    for ($n = 0; $n < 12; $n++) {
        $assignments[] = app(SaveAssignment::class)($module, null, [
            'title' => "Assignment {$n}", 'brief' => 'x', 'rubric_version_id' => $rubric->id, 'due_at' => now()->subDays(60 - $n),
            'closes_at' => now()->subDays(59 - $n), 'bands' => config('harbor.bands.classes'),
        ], null);
    }
    DB::table('assignments')->where('module_id', $module->id)->update(['published_at' => now()->subDays(90)]);
    $now = now();
    $base = 1 + (int) DB::table('users')->max('id');
    foreach (array_chunk(range(0, $students - 1), 500) as $some) {
        DB::table('users')->insert(array_map(fn (int $n) => [
            'id' => $base + $n, 'public_id' => (string) Str::uuid(), 'name' => 'Student '.mt_rand(1000, 9999)." {$n}",
            'email' => "s{$module->id}.{$n}@merrow.example", 'number' => "N{$module->id}-{$n}", 'created_at' => $now,
        ], $some));
        DB::table('memberships')->insert(array_map(fn (int $n) => [
            'public_id' => (string) Str::uuid(), 'module_id' => $module->id, 'user_id' => $base + $n, 'role' => 'student',
            'section' => chr(65 + $n % 6), 'created_at' => $now,
        ], $some));
        foreach ($assignments as $a => $assignment) {
            DB::table('scripts')->insert(array_map(fn (int $n) => [
                'public_id' => (string) Str::uuid(), 'assignment_id' => $assignment->id, 'student_id' => $base + $n,
                'code' => "B{$a}-{$n}", 'standing' => 'released', 'reached' => 'released', 'due_at' => $now,
                'closes_at' => $now, 'created_at' => $now,
            ], $some));
            $ids = DB::table('scripts')->where('assignment_id', $assignment->id)
                ->whereBetween('student_id', [$base + $some[0], $base + end($some)])->pluck('id');
            DB::table('results')->insert($ids->map(function (int $id) use ($by, $now): array {
                $mark = number_format(mt_rand(300, 850) / 10, 1);

                return [
                    'public_id' => (string) Str::uuid(), 'script_id' => $id, 'version' => 1, 'mark' => $mark, 'band' => 'Third',
                    'document' => json_encode(['mark' => $mark]), 'what_changed' => '', 'released_by' => $by->id,
                    'released_at' => $now,
                ];
            })->all());
        }
    }
    $ids = array_map(fn ($one) => $one->public_id, $assignments);
    $part = fn (string $id, string $weight) => ['id' => $id, 'title' => $id, 'weight' => $weight, 'of' => [$id]];
    $module->update(['mark_plan' => ModulePlan::fromArray(['decimals' => 1, 'bands' => config('harbor.bands.classes'), 'parts' => [
        ...array_map(fn (string $id) => $part($id, '8'), array_slice($ids, 0, 7)), ['must_pass' => '40'] + $part($ids[7], '14'),
        ['id' => 'list', 'title' => 'list', 'weight' => '30', 'best' => 3, 'of' => array_slice($ids, 8)],
    ]])]);

    return [$module->refresh(), $by];
};
[$few, $fewBy] = $made(50);
[$many, $manyBy] = $made(2000);
$cpu = $spent(fn () => app(ModuleMarks::class)->refresh($many));
printf("module marks of 2,000 students, 12 assignments, worked out anew: %.2f s of processor time (aim: under 2)\n", $cpu / 1000);
app(ModuleMarks::class)->refresh($few);

$page = fn (Module $module, User $by, string $query = ''): array => [$by, "/modules/{$module->public_id}/grade-book{$query}"];
$found = $inTurn([
    'an empty page' => [$fewBy, '/bench-empty'], 'of 50 students' => $page($few, $fewBy),
    'of 2,000 students' => $page($many, $manyBy), '50, by module mark' => $page($few, $fewBy, '?sort=mark&way=down'),
    '2,000, by module mark' => $page($many, $manyBy, '?sort=mark&way=down'),
], 20);
printf("a page of a grade book with 12 assignments, medians of 20, in turn\n");
foreach ($found as $name => $one) {
    printf(
        "  %-22s %6.1f ms of processor time; %6.1f ms; %2d queries, %d rows\n", $name.':', $one['cpu'], $one['wall'],
        $one['queries'], $one['rows'],
    );
}
printf(
    "  ratios, 2,000 to 50: %.2f; by module mark: %.2f (aim: 2)\n",
    $found['of 2,000 students']['cpu'] / $found['of 50 students']['cpu'],
    $found['2,000, by module mark']['cpu'] / $found['50, by module mark']['cpu'],
);

/** A logbook of so many lines: what it holds is not read here, and so not chained. */
$logbook = function (Module $module, int $lines) use ($manyBy): void {
    $number = (int) DB::table('logbook_lines')->max('number');
    $actors = DB::table('users')->limit(40)->pluck('public_id')->all();
    $assignments = DB::table('assignments')->where('module_id', $module->id)->pluck('public_id')->all();
    $kinds = ['mark.finished', 'mark.finished', 'mark.finished', 'collect.handed-in', 'release.result-released', 'plan.assignment-changed'];
    $at = now()->subYear();
    foreach (array_chunk(range(1, $lines), 2000) as $some) {
        DB::table('logbook_lines')->insert(array_map(fn (int $n) => [
            'number' => $number + $n, 'at' => $at->copy()->addSeconds(intdiv($n * 30_000_000, $lines)),
            'actor' => $n % 997 === 0 ? $manyBy->public_id : $actors[$n % 40], 'module' => $module->public_id,
            'assignment' => $assignments[$n % 12], 'event' => $n % 1499 === 0 ? 'module.people-added' : $kinds[$n % 6],
            'subject_kind' => 'script', 'subject' => 'B'.($n % 12).'-'.($n % 2000), 'details' => '{}', 'texts' => '{}',
            'hash' => str_repeat('0', 64),
        ], $some));
    }
};
$logbook($few, 2000);
$logbook($many, 200_000);
Membership::query()->firstOrCreate(['module_id' => $few->id, 'user_id' => $manyBy->id], ['role' => Role::Coordinator]);
$day = now()->subDays(100)->format('Y-m-d');
$asked = [
    'all' => '', 'person' => '?who='.urlencode($manyBy->email), 'code' => '?code=B3-1203', 'kind' => '?kind=module',
    'assignment' => '?assignment=', 'days' => "?from={$day}&to={$day}", 'person and kind' => '?kind=mark&who='.urlencode($manyBy->email),
];
$searches = [];
foreach ($asked as $what => $query) {
    foreach ([[$few, $fewBy, '2,000'], [$many, $manyBy, '200,000']] as [$module, $by, $name]) {
        $id = $what === 'assignment' ? DB::table('assignments')->where('module_id', $module->id)->value('public_id') : '';
        $searches["{$what} {$name}"] = [$what === 'person' || $what === 'person and kind' ? $manyBy : $by,
            "/modules/{$module->public_id}/logbook{$query}{$id}"];
    }
}
$found = $inTurn($searches, 15);
printf("a search of the logbook, medians of 15, in turn\n");
foreach (array_keys($asked) as $what) {
    [$a, $b] = [$found["{$what} 2,000"], $found["{$what} 200,000"]];
    printf(
        "  %-16s %5.1f ms of processor time in 2,000 lines, %5.1f in 200,000: %.2f times (aim: 2); rows %d and %d\n",
        "{$what}:", $a['cpu'], $b['cpu'], $b['cpu'] / $a['cpu'], $a['rows'], $b['rows'],
    );
}
