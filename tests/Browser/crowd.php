<?php

declare(strict_types=1);

/*
 * For the test of many hand-ins at once.
 *   crowd.php make N SECONDS   a module of N students, an assignment due in so many seconds; prints their sessions
 *   crowd.php look ASSIGNMENT  what has come in, with every receipt checked
 */

use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Documents\Receipts;
use App\Enums\Role;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Membership;
use App\Models\Module;
use App\Models\RubricVersion;
use App\Models\User;
use App\Queries\Collect\Cohort;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use YoungHarbor\Core\Marking\Scheme;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));
require __DIR__.'/session-of.php';

if ($argv[1] === 'make') {
    [$n, $seconds] = [(int) $argv[2], (int) $argv[3]];
    $run = Str::lower(Str::random(5));
    $module = Module::query()->create(['code' => 'CR300', 'title' => 'A crowd at the quay']);
    $students = [];
    $password = Hash::make(Str::random(20));
    foreach (range(1, $n) as $i) {
        $students[] = $user = User::query()->forceCreate(
            [
                'name' => "Student {$i}", 'email' => "{$run}-{$i}@merrow.example", 'number' => "{$run}{$i}",
                'password' => $password, 'joined_at' => now(),
            ]
        );
        Membership::factory()->create(['module_id' => $module->id, 'user_id' => $user->id, 'role' => Role::Student]);
    }
    $coordinator = User::query()->where('email', 'maren.oduya@merrow.example')->sole();
    Membership::factory()->create(
        ['module_id' => $module->id, 'user_id' => $coordinator->id, 'role' => Role::Coordinator]
    );
    $assignment = app(SaveAssignment::class)($module, null, [
        'title' => "All at once {$run}", 'brief' => 'Hand in at the last second.',
        'rubric_version_id' => RubricVersion::query()->firstOrFail()->id,
        'due_at' => now()->addSeconds($seconds)->startOfSecond(), 'closes_at' => now()->addHour(),
        'bands' => config('harbor.bands.classes'),
        'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'second' => 'none']),
    ], null);
    app(OpenAssignment::class)($assignment);
    $sessions = array_map(sessionOf(...), $students);
    echo json_encode(
        [
            'assignment' => $assignment->public_id, 'due' => $assignment->refresh()->due_at?->getTimestampMs(),
            'sessions' => $sessions,
        ],
        JSON_THROW_ON_ERROR,
    );
    exit;
}

$assignment = Assignment::query()->where('public_id', $argv[2])->sole();
$handins = Handin::query()->whereHas('script', fn ($query) => $query->where('assignment_id', $assignment->id))
    ->with('files', 'script')->get();
$receipts = app(Receipts::class);
echo json_encode([
    'handins' => $handins->count(),
    'read' => $handins->filter(fn (Handin $handin) => $handin->read_at !== null && $handin->words === 155)->count(),
    'lastRecorded' => $handins->max(
        fn (Handin $handin) => $handin->created_at->getTimestamp()
    ) - $assignment->due_at?->getTimestamp(),
    'counting' => $handins->filter(fn (Handin $handin) => $handin->script->current_handin_id === $handin->id)->count(),
    'late' => $handins->filter(fn (Handin $handin) => $handin->late)->count(),
    'lateRight' => $handins->filter(
        fn (Handin $handin) => $handin->late === $handin->received_at->gt($assignment->due_at)
    )->count(),
    'receiptsHold' => $handins->filter(
        fn (Handin $handin) => $receipts->holds($receipts->of($handin), $handin->seal)
    )->count(),
    'filesWhole' => $handins->filter(
        fn (Handin $handin) => hash(
            'sha256', (string) Storage::get($handin->files[0]->path),
        ) === $handin->files[0]->sha256
    )->count(),
    'sums' => $handins->map(fn (Handin $handin) => $handin->sha256)->unique()->count(),
    'counts' => Cohort::of($assignment, [])->counts(),
    'lines' => DB::table('logbook_lines')->where('assignment', $assignment->public_id)
        ->where('event', LogEvent::HandedIn)->count(),
    // Each waits with the worker or is with the sink.
    'mails' => DB::table('jobs')->where('payload', 'like', '%HandedIn%')
        ->count() + count(
            array_filter(
                glob(config('harbor.mail').'/*.eml') ?: [],
                fn (string $path) => str_contains((string) file_get_contents($path), "Receipt: {$assignment->title}"),
            )
        ),
    'left' => count(Storage::files('uploads')),
], JSON_THROW_ON_ERROR);
