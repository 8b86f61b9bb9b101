<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Collect\ChangeMember;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\ReopenMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Mark\StoreStandings;
use App\Actions\Moderate\AcceptProposal;
use App\Actions\Moderate\AskForThird;
use App\Actions\Moderate\DecideMark;
use App\Actions\Moderate\DrawSample;
use App\Actions\Moderate\OpenSettled;
use App\Actions\Moderate\ProposeMark;
use App\Actions\Release\HoldScript;
use App\Actions\Release\ReleaseResults;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\HandOver;
use App\Enums\HandInBy;
use App\Exceptions\Refused;
use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Sample;
use App\Models\Script;
use App\Models\User;
use App\Queries\AssignmentCounts;
use App\Queries\Moderate\SamplePlanning;
use App\Queries\Moderate\SampleScope;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Facts;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Marking\Standing;

/**
 * What is stored of where scripts stand, against what the core says of all that is known of them.
 */
final class StandingsTest extends TestCase
{
    private const HISTORIES = 500;

    private const STUDENTS = 50;

    private const STEPS = [
        'finish', 'finish', 'finish', 'finish', 'begin', 'hand over', 'reopen', 'third', 'hold', 'let go', 'propose',
        'propose', 'propose',
        'accept', 'accept', 'accept', 'decide', 'open again', 'draw', 'release', 'release', 'share out', 'hand in',
    ];

    /** @var array<string, int> steps that were taken, by name */
    private array $taken = [];

    public function test_what_is_stored_is_what_the_core_says_after_every_step_of_many_histories(): void
    {
        Queue::fake();
        Mail::fake();
        mt_srand(20261127);
        Carbon::setTestNow('2026-11-23 10:00:00');
        for ($round = 0; $round < intdiv(self::HISTORIES, self::STUDENTS); $round++) {
            $this->tutors = $this->students = [];
            $this->module(4, self::STUDENTS);
            $assignment = $this->assignment([
                'scheme' => match (true) {
                    $round % 6 === 0 => $this->oneMark(),
                    $round % 3 === 0 => $this->scheme(['second' => 'sample']),
                    default => $this->scheme(['tolerance' => $round % 2 === 0 ? '0' : '15']),
                },
                'handin_by' => [HandInBy::Each, HandInBy::GroupOneMark, HandInBy::GroupOneByOne][$round % 3],
                'closes_at' => now()->addDays(9),
            ]);
            if ($round % 3 > 0) {
                $this->actingAs($this->coordinator)->post(
                    route('groups.store', $assignment),
                    [
                        'lines' => implode(
                            "\n",
                            array_map(
                                fn (User $student, int $n) => $student->email.', '
                                    .($n % 5 === 4 ? '' : 'Group '.intdiv($n, 3)),
                                $this->students, array_keys($this->students),
                            ),
                        ),
                    ],
                );
            }
            // In time, then late: what is handed in after scripts are out is refused.
            foreach ($this->students as $n => $student) {
                $n % 4 === 0 || $this->step('hand in', $assignment, $student);
                $n % 6 === 0 && $this->step('hand in', $assignment, $student);
            }
            Handin::query()->update(['read_at' => now()]);
            Carbon::setTestNow(now()->addDays(2));
            foreach ($this->students as $student) {
                $this->step('share out', $assignment, $student);
                for ($both = mt_rand(0, 2); $both > 0; $both--) {
                    $this->step('finish', $assignment, $student);
                }
                mt_rand(0, 4) === 0 && $this->step('draw', $assignment, $student);
                for ($step = mt_rand(2, 6); $step > 0; $step--) {
                    $this->step(self::STEPS[mt_rand(0, count(self::STEPS) - 1)], $assignment, $student);
                }
                if (mt_rand(0, 9) === 0) {
                    $this->step('leave', $assignment, $student);
                    $this->step('come back', $assignment, $student);
                }
            }
            $this->countsAgree($assignment);
            $this->nothingChangesWhenStoredAgain($assignment);
            Carbon::setTestNow(now()->subDays(2)->addMinute());
        }
        foreach (
            [
                'hand in', 'share out', 'begin', 'finish', 'reopen', 'hand over', 'third', 'hold', 'let go', 'propose',
                'accept', 'decide', 'open again', 'draw', 'release', 'leave', 'come back',
            ] as $step
        ) {
            self::assertGreaterThan(4, $this->taken[$step] ?? 0, "“{$step}” was taken");
        }
    }

    private function step(string $what, Assignment $assignment, User $student): void
    {
        $script = Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)->sole();
        try {
            $this->take($what, $assignment, $script, $student);
            $this->taken[$what] = ($this->taken[$what] ?? 0) + 1;
        } catch (Refused) {
            // Not now: nothing may have changed.
        }
        $lead = $script->lead_id ?? $script->id;
        $ids = Script::query()->where('lead_id', $lead)->pluck('id')->push($lead);
        foreach (
            Script::query()->whereKey($ids)
                ->with(['lead.marks.rubricVersion', 'lead.settlement', 'marks.rubricVersion', 'settlement', 'result'])
                ->get() as $one
        ) {
            self::assertSame(
                $this->recomputed($one), [$one->standing, $one->reached, $one->second_done], "{$what}, {$one->code}",
            );
        }
    }

    private function take(string $what, Assignment $assignment, Script $script, User $student): void
    {
        $lead = $script->leadScript();
        $mark = fn (bool $done): Mark => $lead->marks()
            ->when($done, fn ($query) => $query->whereNotNull('done_at'), fn ($query) => $query->whereNull('done_at'))
            ->inRandomOrder((string) mt_rand())->first() ?? throw new Refused('none');
        match ($what) {
            'hand in' => app(TakeHandIn::class)($assignment, $student, 'Words of mine. '.mt_rand()),
            'share out' => $this->shareOutOne($assignment, $lead),
            'begin' => app(SaveChoice::class)($mark(false), 'c1', ['level' => ['l1', 'l2', 'l3'][mt_rand(0, 2)]]),
            'finish' => $this->finishOne($mark(false)),
            'reopen' => app(ReopenMark::class)($mark(true)),
            'hand over' => $this->handOver($assignment, $lead, $mark(false)),
            'third' => $this->third($assignment, $lead),
            'hold' => app(HoldScript::class)($script, 'A question is open.'),
            'let go' => app(HoldScript::class)($script, null),
            'propose' => app(ProposeMark::class)($lead, $mark(true)->marker, $this->offer()),
            'accept' => app(AcceptProposal::class)(
                $lead, $lead->proposals()->where('state', 'open')->first()->id ?? 0,
                $lead->marks()
                    ->whereNotIn('marker_id', $lead->proposals()->where('state', 'open')->select('proposed_by'))
                    ->first()->marker ?? $this->coordinator,
            ),
            'decide' => app(DecideMark::class)($lead, $this->coordinator, $this->offer()),
            'open again' => app(OpenSettled::class)($lead, $this->coordinator, 'We looked again.'),
            'draw' => $this->draw($assignment),
            'release' => app(ReleaseResults::class)($assignment, [$script->code], $this->coordinator),
            'leave' => app(ChangeMember::class)($this->membership($student), null, true, $this->coordinator),
            'come back' => app(ChangeMember::class)($this->membership($student), null, false, $this->coordinator),
            default => self::fail($what),
        };
    }

    private function membership(User $student): Membership
    {
        return Membership::query()->where('module_id', $this->module->id)->where('user_id', $student->id)->sole();
    }

    private function finishOne(Mark $mark): Mark
    {
        app(SaveChoice::class)($mark, 'c1', ['level' => ['l1', 'l2', 'l3'][mt_rand(0, 2)]]);
        app(SaveChoice::class)($mark, 'c2', ['level' => ['l2', 'l3'][mt_rand(0, 1)]]);
        $mark->refresh()->update(['reason' => 'I read both, and the second page decides.']);

        return app(FinishMark::class)($mark);
    }

    private function handOver(Assignment $assignment, Script $lead, Mark $mark): void
    {
        app(SaveChoice::class)($mark, 'c1', ['level' => 'l1']);
        $free = collect($this->tutors)->first(
            fn (User $tutor) => ! $lead->marks()->where('marker_id', $tutor->id)->exists()
        );
        app(HandOver::class)(
            $assignment, $lead->code, $mark->seat, $free ?? $this->tutors[0], 'Ill.', $this->coordinator,
        );
    }

    private function third(Assignment $assignment, Script $lead): void
    {
        app(AskForThird::class)($lead, [SecondView::Blind, SecondView::Open][mt_rand(0, 1)], $this->coordinator);
    }

    private function offer(): MarkOffer
    {
        return MarkOffer::total('55', Feedback::usual(), 'Between us.');
    }

    private function draw(Assignment $assignment): void
    {
        $assignment->scheme->second === SecondMarks::Sample || throw new Refused('no sample');
        $markers = array_map(fn (User $tutor) => $tutor->public_id, $this->tutors);
        $rule = $assignment->scheme->sample();
        $seed = Sample::seedFor($assignment);
        $draft = app(SamplePlanning::class)->draft($assignment, SampleScope::New, $markers, $rule, $seed);
        app(DrawSample::class)(
            $assignment, SampleScope::New, $markers, $rule, $seed, null, $draft->digest, $this->coordinator,
        );
    }

    private function shareOutOne(Assignment $assignment, Script $lead): void
    {
        $marker = mt_rand(0, 3);
        $entries = [
            [
                'script' => $lead->code, 'part' => 'first', 'marker' => $this->tutors[$marker]->public_id,
                'from' => null, 'fixed' => false,
            ],
        ];
        if ($assignment->scheme->second === SecondMarks::Every && mt_rand(0, 4) > 0) {
            $entries[] = [
                'script' => $lead->code, 'part' => 'second', 'marker' => $this->tutors[($marker + 1) % 4]->public_id,
                'from' => null, 'fixed' => false,
            ];
        }
        $plan = AllocationPlan::factory()->create([
            'assignment_id' => $assignment->id, 'seed' => 1, 'state' => 'draft', 'made_by' => $this->coordinator->id,
            'entries' => $entries,
            'settings' => ['markers' => [], 'keep_groups' => false, 'even_out' => false], 'unplaced' => [],
            'notes' => [],
        ]);
        app(ApplyPlan::class)($plan, $this->coordinator);
    }

    /**
     * @return array{Standing, Standing, bool}
     */
    private function recomputed(Script $script): array
    {
        $facts = new Facts(
            $script->current_handin_id !== null, $script->leadScript()->settlement !== null,
            $script->held_reason !== null, $script->result !== null,
        );
        $panel = $script->panel();

        return [Standing::of($facts, $panel), Standing::reached($facts, $panel), $panel->isDone(Seat::Second)];
    }

    private function countsAgree(Assignment $assignment): void
    {
        /** @var Collection<int, Script> $scripts */
        $scripts = $assignment->scripts()->get()
            ->filter(fn (Script $script) => $script->left_at === null || $script->current_handin_id !== null);
        $done = fn (Script $script, Seat $seat): bool => $script->leadScript()->mark($seat)?->isDone() === true;
        $open = fn (Script $script): bool => $script->leadScript()->settlement === null;
        $expected = [
            'expected' => $scripts->count(),
            'handedIn' => $scripts->whereNotNull('current_handin_id')->count(),
            'sharedOut' => $scripts->filter(
                fn (Script $script) => $script->leadScript()->mark(Seat::First) !== null
            )->count(),
            'tutors' => $scripts->map(fn (Script $script) => $script->leadScript()->mark(Seat::First)?->marker_id)
                ->filter()->unique()->count(),
            'firstDone' => $scripts->filter(fn (Script $script) => $done($script, Seat::First))->count(),
            'secondDone' => $scripts->filter(fn (Script $script) => $done($script, Seat::Second))->count(),
            'toSettle' => $scripts->filter(
                fn (Script $script) => $script->lead_id === null && $done($script, Seat::First)
                && $done($script, Seat::Second) && $open($script) && $script->result === null
                && $script->mark(Seat::Third)?->isDone() !== false
            )->count(),
            'agreed' => $scripts->reject(fn (Script $script) => $open($script))->count(),
            'held' => $scripts->filter(
                fn (Script $script) => ! $open($script) && $script->held_reason !== null && $script->result === null
            )->count(),
            'released' => $scripts->filter(fn (Script $script) => $script->result !== null)->count(),
        ];
        $counts = get_object_vars(app(AssignmentCounts::class)->of($assignment->refresh()));
        self::assertSame($expected, array_intersect_key(array_replace($expected, $counts), $expected));
    }

    private function nothingChangesWhenStoredAgain(Assignment $assignment): void
    {
        $before = $assignment->scripts()->orderBy('id')->get(['id', 'standing', 'reached', 'second_done'])->toArray();
        app(StoreStandings::class)($assignment->scripts()->pluck('id'));
        self::assertSame(
            $before,
            $assignment->scripts()->orderBy('id')->get(['id', 'standing', 'reached', 'second_done'])->toArray(),
        );
    }
}
