<?php

declare(strict_types=1);

/*
 * People who settle one script in the same second, each a process of its own, some of them killed on the way.
 *   at-once.php race            makes the scripts, lets everyone loose on each, prints what came of it
 *   at-once.php act SCRIPT HOW WHO   one of them
 */

use App\Actions\Moderate\AcceptProposal;
use App\Actions\Moderate\AskForThird;
use App\Actions\Moderate\DecideMark;
use App\Actions\Moderate\OpenSettled;
use App\Actions\Moderate\ProposeMark;
use App\Exceptions\Refused;
use App\Models\Proposal;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Marking\Standing;

require __DIR__.'/marked.php';

$offer = fn (string $mark): MarkOffer => MarkOffer::total(
    $mark, Feedback::usual(), 'Said at the same moment as others.',
);

if ($argv[1] === 'act') {
    $script = Script::query()->findOrFail((int) $argv[2]);
    $who = User::query()->findOrFail((int) $argv[4]);
    try {
        match ($argv[3]) {
            'propose' => app(ProposeMark::class)($script, $who, $offer('55')),
            'accept' => app(AcceptProposal::class)(
                $script, (int) Proposal::query()->where('script_id', $script->id)->where('state', 'open')->value('id'),
                $who,
            ),
            'decide' => app(DecideMark::class)($script, $who, $offer('61')),
            'third' => app(AskForThird::class)($script, SecondView::Open, $who),
            'open' => app(OpenSettled::class)($script, $who, 'Opened again in the same second.'),
        };
        echo 'done';
    } catch (Refused) {
        echo 'refused';
    }
    exit;
}

$assignment = marked(
    'At once: a letter from the quay', [],
    ['bo.li', 'kaimana.keawe', 'zoe.ng', 'mateus.araujo', 'dafydd.aprhys', 'priya.raghunathan'],
    ['tomasz.wisniewski', 'aoife.nibhriain', 'lin.hui'], ['first' => 0.9, 'second' => 0.3],
);
$coordinator = person('maren.oduya');
$second = person('harbour.office');
$sum = ['scripts' => 0, 'done' => 0, 'refused' => 0, 'killed' => 0, 'agreed' => 0, 'faults' => []];
mt_srand(16);
foreach (
    Script::query()->where('assignment_id', $assignment->id)->whereNotNull('current_handin_id')->with('marks')
        ->get() as $script
) {
    $sum['scripts']++;
    $markers = [$script->mark(Seat::First)?->marker_id, $script->mark(Seat::Second)?->marker_id];
    app(ProposeMark::class)($script, User::query()->findOrFail($markers[0]), $offer('58'));
    $acts = [
        ['accept', $markers[1]], ['accept', $markers[1]], ['propose', $markers[1]], ['decide', $coordinator->id],
        ['decide', $second->id], ['third', $markers[0]], ['open', $markers[1]],
    ];
    $running = [];
    foreach ($acts as [$how, $who]) {
        $pipes = [];
        $process = proc_open(
            [PHP_BINARY, __FILE__, 'act', (string) $script->id, $how, (string) $who],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes,
        );
        // One in three is killed somewhere between its start and its end.
        $running[] = [
            $process, $pipes, $how, mt_rand(0, 2) === 0 ? hrtime(true) + mt_rand(150, 900) * 1_000_000 : null,
        ];
    }
    $settled = false;
    while ($running !== []) {
        foreach ($running as $n => [$process, $pipes, $how, $kill]) {
            $status = proc_get_status($process);
            if ($status['running'] && $kill !== null && hrtime(true) >= $kill) {
                proc_terminate($process, 9);
                $running[$n][3] = null;
            }
            if (! $status['running']) {
                $said = (string) stream_get_contents($pipes[1]);
                $trouble = (string) stream_get_contents($pipes[2]);
                $sum[$said === 'done' || $said === 'refused' ? $said : 'killed']++;
                if ($said !== 'done' && $said !== 'refused' && ! $status['signaled']) {
                    $sum['faults'][] = "{$how} of {$script->code} ended with {$said} {$trouble}";
                }
                unset($running[$n]);
            }
        }
        usleep(5000);
    }
    $script = $script->refresh();
    $holding = Settlement::query()->where('script_id', $script->id)->whereNull('undone_at')->count();
    $holding > 1 && $sum['faults'][] = "{$script->code} has {$holding} settlements";
    ($script->standing === Standing::Agreed) === ($holding === 1)
        || $sum['faults'][] = "{$script->code} is {$script->standing->value} with {$holding} settlements";
    $third = $script->marks()->where('seat', Seat::Third)->count();
    $third > 1 && $sum['faults'][] = "{$script->code} has {$third} third marks";
    $third === 1 && $holding === 1 && $sum['faults'][] = "{$script->code} is settled while a third marks it";
    Proposal::query()->where('script_id', $script->id)->where('state', 'open')->count() > 1
        && $sum['faults'][] = "{$script->code} has two open proposals";
    $sum['agreed'] += $holding;
}
echo json_encode($sum, JSON_THROW_ON_ERROR);
