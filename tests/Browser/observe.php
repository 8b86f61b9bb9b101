<?php

declare(strict_types=1);

/*
 * For the test of observing.
 *   observe.php seen WHO…     what the first observer recorded of each, as JSON: kind, about, value, at in milliseconds
 *   observe.php second WHO    the second observer has seen it otherwise, and is done; prints the address of the script
 */

use App\Actions\Mark\FinishMark;
use App\Actions\Observe\TakeEvents;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\ObservationEvent;
use App\Models\Script;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use YoungHarbor\Core\Marking\Seat;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));

$viva = Assignment::query()->where('title', 'Speak for one side at the wall')->sole();
$mark = fn (string $who, Seat $seat): Mark => Mark::counting()->where('seat', $seat)->whereIn(
    'script_id', Script::query()->where('assignment_id', $viva->id)
        ->whereHas('student', fn ($student) => $student->where('name', $who))->select('id'),
)->sole();

if ($argv[1] === 'seen') {
    echo json_encode(array_map(fn (string $who) => ObservationEvent::query()->where(
        'mark_id', $mark($who, Seat::First)->id,
    )->orderBy('at')->orderBy('number')
        ->get()->map(fn (ObservationEvent $one) => [
            'kind' => $one->kind->value, 'about' => $one->about, 'value' => $one->value,
            'at' => (int) round(1000 * (float) $one->toCore()->at->format('U.u')),
        ])->all(), array_slice($argv, 2)), JSON_THROW_ON_ERROR);
}
if ($argv[1] === 'second') {
    $second = $mark($argv[2], Seat::Second);
    Auth::setUser($second->marker);
    $events = [['step', 'c1/s1', 'not'], ['step', 'c1/s2', 'not'], ['step', 'c1/s3', 'not'], ['step', 'c1/s4', 'not'], ['level', 'c2', 'l1'], ['level', 'c3', 'l2']];
    app(TakeEvents::class)($second, array_map(fn (array $one, int $n) => [
        'id' => Str::uuid()->toString(), 'kind' => $one[0], 'about' => $one[1], 'value' => $one[2], 'number' => $n,
        'at' => (int) now()->getPreciseTimestamp(3),
    ], $events, array_keys($events)), 0);
    app(FinishMark::class)($second->refresh());
    echo $second->script->public_id;
}
