<?php

declare(strict_types=1);

namespace Tests\Feature\Peers;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Peers\CloseRound;
use App\Actions\Peers\OfferReviews;
use App\Actions\Peers\RunRounds;
use App\Exceptions\Refused;
use App\Models\Allowance;
use App\Models\Conflict;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Notice;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundWork;
use App\Models\Script;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * Rounds of peer review: planned, given out, planned anew, closed.
 */
final class RoundTest extends TestCase
{
    use RoundWorld;

    /**
     * @return array<string, mixed>
     */
    private function form(): array
    {
        return [
            'title' => 'First round', 'kind' => 'peers', 'on' => 'final', 'each' => '2', 'without' => '0',
            'names' => 'nobodys',
            'criteria' => ['c1', 'c2'], 'least_words' => '20', 'seen' => 'due', 'marks_seen' => '1', 'share' => '20',
            'reviewing' => '10', 'method' => 'median', 'begins_at' => now()->addDay()->format('Y-m-d\TH:i'),
            'due_at' => now()->addDays(8)->format('Y-m-d\TH:i'), 'answers_due_at' => '', 'replan' => '48, 24',
            'trial_pass' => '',
            'weights' => ['done' => '40', 'on_time' => '10', 'words' => '20', 'useful' => '15', 'near' => '15'],
        ];
    }

    public function test_a_round_is_planned_by_its_form_and_shown_when_the_coordinator_says_so(): void
    {
        $this->module(1, 3);
        $essay = $this->assignment();
        $this->actingAs($this->coordinator)->get(route('rounds.index', $essay))->assertOk()->assertSee('No round yet');
        $this->get(route('rounds.create', $essay))->assertOk()->assertSee('Whose names are seen');
        $this->post(route('rounds.store', $essay), $this->form())->assertSessionHasNoErrors()->assertRedirect();
        $round = Round::query()->sole();
        self::assertSame(
            [20, 10, [48, 24], []],
            [
                $round->settings->share, $round->settings->reviewing, $round->settings->replan,
                $round->settings->criteria,
            ],
        );
        $this->actingAs($this->students[0])->get(route('rounds.show', $round))->assertForbidden();
        $this->get(route('hand-in.show', $essay))->assertOk()->assertDontSee('First round');
        $this->actingAs($this->coordinator)->post(route('rounds.open', $round))->assertSessionHas('said');
        $this->actingAs($this->students[0])->get(route('hand-in.show', $essay))->assertSee('First round');
        $this->get(route('rounds.show', $round))->assertOk()->assertSee('Hand in your work')
            ->assertSee('Review 2 works');
        self::assertSame(
            ['peers.round-made', 'peers.round-opened'],
            LogbookLine::query()->where('event', 'like', 'peers.%')->orderBy('number')->pluck('event')
                ->map(fn ($one) => $one->value ?? $one)->all(),
        );
    }

    public function test_what_is_wrong_with_the_form_is_said_and_nothing_is_kept(): void
    {
        $this->module(1, 3);
        $essay = $this->assignment();
        $this->actingAs($this->coordinator);
        foreach ([
            [['share' => '60', 'reviewing' => '60'], 'reviewing'], [['weights' => ['done' => '40']], 'weights'],
            [['on' => 'draft'], 'share'], [['kind' => 'self'], 'share'], [['each' => '0'], 'each'],
            [['each' => '99'], 'each'],
            [['replan' => 'often'], 'replan'], [['due_at' => '2020-01-01T10:00'], 'due_at'],
            [['due_at' => 'soon'], 'due_at'],
            [['criteria' => ['c9']], 'criteria'], [['method' => 'best'], 'method'], [['title' => ''], 'title'],
            [['answers_due_at' => now()->addDay()->format('Y-m-d\TH:i')], 'answers_due_at'],
        ] as [$wrong, $field]) {
            $this->post(route('rounds.store', $essay), [...$this->form(), ...$wrong])->assertSessionHasErrors($field);
        }
        self::assertSame(0, Round::query()->count());
        $this->post(
            route('rounds.store', $essay), [...$this->form(), 'title' => ['a', 'b']],
        )->assertSessionHasErrors('title');
    }

    public function test_reviews_are_given_out_by_themselves_and_nobody_gets_their_own(): void
    {
        $this->round(6);
        self::assertSame(0, PeerReview::query()->count());
        self::assertSame(1, app(RunRounds::class)());
        $this->round->refresh();
        self::assertNotNull($this->round->given_at);
        self::assertSame(12, PeerReview::query()->count());
        foreach (PeerReview::query()->with('work.script', 'member', 'mark')->get() as $review) {
            self::assertNotSame($review->member->user_id, $review->work->script->student_id);
            self::assertSame([Seat::Peer, false, $review->member->user_id], [
                $review->mark->seat, (bool) $review->mark->counts, $review->mark->marker_id,
            ]);
        }
        self::assertSame(6, Notice::query()->where('kind', 'peer-review-given')->count());
        // Nothing of staff's changes by it.
        $script = $this->script($this->essay);
        self::assertSame('handed-in', $script->standing->value);
        self::assertSame(0, Mark::onDesks()->count());
        self::assertSame(1, app(RunRounds::class)());
        self::assertSame(12, PeerReview::query()->count(), 'nothing is given twice');
    }

    public function test_drop_outs_and_late_comers_are_planned_anew_and_what_is_begun_stays(): void
    {
        $this->round(6, ['replan' => [96, 24]], [0, 1, 2, 3, 4]);
        $this->give();
        $begun = $this->reviewsBy($this->students[1])->first();
        self::assertNotNull($begun);
        $this->write($begun);
        foreach ([0, 1, 2, 3] as $n) {
            foreach ($this->reviewsBy($this->students[$n]) as $review) {
                $n === 1 || $this->finishReview($review);
            }
        }
        // One comes late, one offers two more; student 4 begins nothing.
        app(TakeHandIn::class)($this->essay, $this->students[5], 'Late. '.$this->prose(60, 9));
        app(OfferReviews::class)($this->memberOf($this->students[0]), 3);
        Carbon::setTestNow(now()->addDays(4));
        app(RunRounds::class)();
        $this->round->refresh();
        self::assertSame(6, RoundWork::query()->count());
        self::assertNotNull($begun->fresh(), 'what is begun stays where it is');
        self::assertSame(2, PeerReview::query()->where('round_work_id', RoundWork::query()->where(
            'script_id', $this->script($this->essay, 5)->id,
        )->sole()->id)->count());
        self::assertSame(0, $this->round->short);
        $idle = $this->memberOf($this->students[4])->refresh();
        self::assertGreaterThan(0, $idle->lost, 'reviews nobody began went to who offered more');
        self::assertSame(2, $idle->lost + $this->reviewsBy($this->students[4])->count());
    }

    public function test_who_lacks_reviews_is_told_to_the_coordinator_in_time(): void
    {
        $this->round(3, ['each' => 4]);
        $this->give();
        self::assertSame(6, $this->round->short);
        self::assertSame(
            1, Notice::query()->where('kind', 'round-needs-you')->where('user_id', $this->coordinator->id)->count(),
        );
        $this->actingAs($this->coordinator)->get(route('rounds.staff', $this->round))->assertOk()
            ->assertSee('6 reviews are missing')->assertSee('ask for volunteers');
        $this->give();
        self::assertSame(
            1, Notice::query()->where('kind', 'round-needs-you')->count(), 'told once while nothing changes',
        );
    }

    public function test_small_rounds_break_nothing(): void
    {
        $this->round(2, ['each' => 1]);
        $this->give();
        self::assertSame([2, 0], [PeerReview::query()->count(), $this->round->short]);
        $this->actingAs($this->coordinator)->get(route('rounds.staff', $this->round))->assertOk();
        foreach (Script::query()->get() as $script) {
            $script->update(['group_name' => 'One']);
        }
        PeerReview::query()->delete();
        Mark::query()->delete();
        $this->give();
        self::assertSame(
            [0, 2], [PeerReview::query()->count(), $this->round->short], 'one group has nobody to review it',
        );
    }

    public function test_conflicts_are_kept_and_who_handed_in_nothing_reviews_only_when_let(): void
    {
        $this->round(4, ['each' => 1], [0, 1, 2]);
        Conflict::query()->create([
            'module_id' => $this->module->id, 'marker_id' => $this->students[0]->id,
            'student_id' => $this->students[1]->id,
            'reason' => 'They live together.', 'made_by' => $this->coordinator->id,
        ]);
        $this->give();
        $pairs = PeerReview::query()->with('work.script', 'member')->get()
            ->map(fn (PeerReview $one) => [$one->member->user_id, $one->work->script->student_id])->all();
        self::assertNotContains([$this->students[0]->id, $this->students[1]->id], $pairs);
        self::assertNotContains([$this->students[1]->id, $this->students[0]->id], $pairs);
        self::assertNotContains($this->students[3]->id, array_column($pairs, 0));
        $this->actingAs($this->students[3])->get(route('rounds.show', $this->round))->assertOk()
            ->assertSee('You are not in this round');
    }

    public function test_allowances_move_the_time_and_a_round_closes_when_all_times_are_over(): void
    {
        $this->round(3, ['each' => 1]);
        Allowance::query()->create([
            'module_id' => $this->module->id, 'student_id' => $this->students[2]->id, 'extra_days' => 3,
            'extra_percent' => 0,
            'reason' => 'x', 'given_by' => $this->coordinator->id,
        ]);
        $this->give();
        self::assertTrue($this->memberOf($this->students[2])->due_at->gte($this->round->due_at->copy()->addDays(3)));
        Carbon::setTestNow($this->round->due_at->copy()->addHour());
        $this->actingAs($this->coordinator)->post(route('rounds.close', $this->round))
            ->assertSessionHasErrors('refused');
        Carbon::setTestNow(now()->addDays(9));
        $this->post(route('rounds.close', $this->round))->assertSessionHasNoErrors();
        self::assertTrue($this->round->refresh()->isClosed());
        $this->put(route('rounds.update', $this->round), $this->form())->assertSessionHasErrors('refused');
    }

    public function test_peers_and_reviewing_join_the_mark_and_results_wait_for_the_round(): void
    {
        $this->round(3, ['share' => 20, 'reviewing' => 10, 'weights' => ['done' => 100]]);
        $this->give();
        $this->shareOut($this->essay);
        foreach ([0, 1, 2] as $n) {
            $this->finish($this->markOf($this->script($this->essay, $n), Seat::First), 'l2', 'l2');
        }
        $staff = (string) $this->script($this->essay)->finalMark(1)->mark;
        foreach ([0, 1] as $n) {
            foreach ($this->reviewsBy($this->students[$n]) as $review) {
                $this->finishReview($review, 'l3', 'l3');
            }
        }
        $this->actingAs($this->coordinator)->get(route('release.index', $this->essay))
            ->assertSee('A round of peer review that counts is not closed');
        $this->post(route('release.store', $this->essay), ['which' => 'all'])->assertSessionHasErrors('refused');
        Carbon::setTestNow(now()->addDays(8));
        app(CloseRound::class)($this->round, $this->coordinator);
        $peers = (string) RoundWork::query()->where('script_id', $this->script($this->essay)->id)->sole()->combined;
        $own = (string) $this->memberOf($this->students[0])->refresh()->reviewing_mark;
        self::assertSame('100.0', $own);
        $expected = 0.9 * (0.8 * (float) $staff + 0.2 * (float) $peers) + 0.1 * 100;
        $final = $this->script($this->essay)->finalMark(1);
        self::assertEqualsWithDelta($expected, (float) (string) $final->mark, 0.05);
        $lines = array_column($final->working->toArray(), 'how', 'what');
        self::assertSame("80 % of {$this->plain($staff)} and 20 % of {$this->plain($peers)}", $lines['Peers’ mark']);
        self::assertArrayHasKey('For reviewing', $lines);
        // Who wrote nothing gets none of it.
        self::assertSame('0.0', $this->memberOf($this->students[2])->refresh()->reviewing_mark);
        $this->get(route('release.index', $this->essay))->assertDontSee('peer review that counts')
            ->assertSee('3 results are ready');
    }

    private function plain(string $mark): string
    {
        return rtrim(rtrim($mark, '0'), '.');
    }

    public function test_a_work_without_a_review_keeps_the_mark_of_staff(): void
    {
        $this->round(3, ['share' => 50, 'each' => 1]);
        $this->give();
        $this->shareOut($this->essay);
        $this->finish($this->markOf($this->script($this->essay), Seat::First), 'l2', 'l2');
        $before = (string) $this->script($this->essay)->finalMark(1)->mark;
        Carbon::setTestNow(now()->addDays(8));
        app(CloseRound::class)($this->round, $this->coordinator);
        $final = $this->script($this->essay)->finalMark(1);
        self::assertSame($before, (string) $final->mark);
        self::assertStringContainsString('stands alone', implode(' ', array_column($final->working->toArray(), 'how')));
        $this->expectException(Refused::class);
        app(OfferReviews::class)($this->memberOf($this->students[0]), 1);
    }
}
