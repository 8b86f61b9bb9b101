<?php

declare(strict_types=1);

namespace Tests\Feature\Peers;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\AddToBankSet;
use App\Actions\Mark\MakeBankSet;
use App\Actions\Peers\CloseRound;
use App\Actions\Peers\FinishReview;
use App\Actions\Release\ReleaseResults;
use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\Notice;
use App\Models\PeerReview;
use App\Models\RoundWork;
use App\Models\Script;
use App\Models\TrialMark;
use App\Models\TrialScript;
use App\Models\User;
use App\Peers\ReviewConcerns;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * Writing a review, reading one, answering it, and finding something wrong with it.
 */
final class PeerReviewTest extends TestCase
{
    use RoundWorld;

    private function review(): PeerReview
    {
        return $this->reviewsBy($this->students[0])->first() ?? self::fail('Nothing was given out.');
    }

    /** Whose work a review is of. */
    private function author(PeerReview $review): User
    {
        return $review->work->script->student;
    }

    public function test_a_review_is_written_at_a_desk_of_its_own_and_saved_as_everywhere(): void
    {
        $this->round(4);
        $this->give();
        $review = $this->review();
        $this->actingAs($this->students[0])->get(route('rounds.show', $this->round))->assertOk()
            ->assertSee($review->work->code);
        $this->get(route('peer-reviews.desk', $review))->assertOk()->assertSee($review->work->code)
            ->assertSee('I cannot review this')->assertSee('data-least="5"', false)->assertDontSee('For staff only')
            ->assertDontSee($review->work->script->code);
        $this->patchJson(route('mark.sync', $review->mark), ['changes' => [
            ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l2']],
            ['key' => 'words:c1', 'was' => '', 'now' => 'Clear, and to the point.'],
        ], 'active' => 50])->assertOk()->assertJsonPath('outcomes.mark:c1.state', 'saved');
        $this->get(route('mark.desk', $review->mark))->assertRedirect(route('peer-reviews.desk', $review));
        $this->post(route('peer-reviews.done', $review))->assertSessionHasErrors('refused');
        self::assertSame('Clear, and to the point.', $review->mark->refresh()->choices->on('c1')->comment);
        // Nobody else writes in it, and no other door of the staff's desk opens for its reviewer.
        foreach ([$this->students[1], $this->coordinator, $this->tutors[0]] as $other) {
            $this->actingAs($other)->get(route('peer-reviews.desk', $review))->assertForbidden();
            $this->patchJson(route('mark.sync', $review->mark), ['changes' => []])->assertForbidden();
        }
        $this->actingAs($this->students[0]);
        foreach (['mark.annotations', 'mark.lately', 'mark.file'] as $route) {
            $this->get(
                route($route, ['mark' => $review->mark, 'criterion' => 'c1', 'kind' => 'docx'])
            )->assertForbidden();
        }
        foreach (['mark.done', 'mark.aside', 'mark.agree', 'mark.reopen', 'attachments.store'] as $route) {
            $this->post(route($route, $review->mark), ['seen' => 1, 'reason' => 'because'])->assertForbidden();
        }
    }

    public function test_a_reviewer_keeps_comments_of_their_own_and_sees_none_of_the_team_s(): void
    {
        $this->round(3);
        $this->give();
        $team = app(MakeBankSet::class)($this->module, 'Of the team', $this->coordinator);
        $comment = app(AddToBankSet::class)($team, [
            ['label' => 'secret', 'text' => 'Only for staff.', 'kind' => 'fix', 'criterion' => ''],
        ], $this->coordinator)[0];
        $fields = ['label' => 'who paid', 'text' => 'Say who paid for it.', 'kind' => 'fix', 'criterion' => ''];
        $desk = route('peer-reviews.desk', $this->review());
        $this->actingAs($this->students[0])->get($desk)->assertOk()->assertDontSee('Only for staff.');
        $this->postJson(route('bank.comments.store'), $fields + ['set' => 'own'])->assertOk()
            ->assertJsonPath('entry.label', 'who paid');
        $this->postJson(route('bank.comments.store'), $fields + ['set' => $team->public_id])->assertConflict();
        $this->postJson(route('bank.comments.store'), $fields + ['set' => 'team', 'module' => $this->module->public_id])
            ->assertConflict();
        $this->post(route('bank.comments.used', $comment))->assertForbidden();
        $this->get($desk)->assertSee('Say who paid for it.');
        $this->get(route('bank.index'))->assertOk()->assertSee('who paid')->assertDontSee('Of the team');
        $this->actingAs($this->coordinator)->get(route('bank.index'))->assertDontSee('who paid');
    }

    public function test_what_is_thin_or_the_same_or_quick_or_names_the_reviewer_is_pointed_out_once(): void
    {
        $this->round(4);
        $this->give();
        $review = $this->review();
        $finish = fn (bool $asItIs = false): array => array_keys(app(FinishReview::class)($review->refresh(), $asItIs));
        $this->write($review, say: 'Good.');
        self::assertSame(['thin'], $finish());
        self::assertSame(['thin'], $finish(), 'again, until the reviewer says so');
        $review->mark->refresh()->update(
            ['seconds' => 40, 'general_comment' => "Ask {$this->students[0]->name} about it."]
        );
        self::assertSame(['thin', 'quick', 'names'], $finish(true), 'what is new is pointed out');
        self::assertNull($review->mark->refresh()->done_at);
        self::assertSame([], $finish(true));
        self::assertNotNull($review->mark->refresh()->done_at);
        // One name alone, and anyone's: else trying names would tell whose work it is.
        $this->students[3]->update(['name' => 'Zéphyrine Quist-Amorim']);
        foreach (['Zephyrine, say more.' => true, 'As Quist-Amorim says.' => true, 'Say more of it.' => false] as $text => $is) {
            $review->mark->update(['general_comment' => $text]);
            self::assertSame($is, isset(ReviewConcerns::of($review->refresh())['names']), $text);
        }
        $second = $this->reviewsBy($this->students[0])->last();
        $this->write($second);
        $choices = $second->mark->refresh()->choices;
        $same = $choices->on('c1')->comment;
        $second->mark->update(['choices' => $choices->with('c2', $choices->on('c2')->withComment($same))]);
        $this->actingAs($this->students[0])->post(route('peer-reviews.done', $second))
            ->assertRedirect(route('peer-reviews.desk', $second))->assertSessionHas('concerns');
        $this->get(route('peer-reviews.desk', $second))->assertSee('The comments are the same everywhere')
            ->assertSee('Send it as it is');
    }

    public function test_a_mark_without_a_word_is_no_review(): void
    {
        $this->round(4);
        $this->give();
        $review = $this->review();
        $this->write($review, say: '');
        $review->mark->refresh()->update(['choices' => $review->mark->choices->with(
            'c1', $review->mark->choices->on('c1')->withComment(''),
        )->with('c2', $review->mark->choices->on('c2')->withComment(''))]);
        try {
            app(FinishReview::class)($review->refresh(), true);
            self::fail('An empty review was taken.');
        } catch (Refused $e) {
            self::assertStringContainsString('nothing is written', $e->getMessage());
        }
    }

    public function test_a_review_changes_until_it_is_due_and_one_that_is_late_still_helps(): void
    {
        $this->round(4);
        $this->give();
        [$first, $second] = $this->reviewsBy($this->students[0])->all();
        $this->finishReview($first);
        $this->actingAs($this->students[0])->post(route('peer-reviews.reopen', $first))->assertSessionHas('said');
        self::assertNull($first->mark->refresh()->done_at);
        app(FinishReview::class)($first->refresh(), true);
        $this->write($second);
        Carbon::setTestNow($this->round->due_at->copy()->addMinute());
        $this->post(route('peer-reviews.reopen', $first))->assertSessionHasErrors('refused');
        // In the middle of a sentence when the time ran out: it is kept, can be finished, and is late.
        $this->patchJson(route('mark.sync', $second->mark), ['changes' => [
            ['key' => 'general', 'was' => $second->mark->refresh()->general_comment, 'now' => 'Half a sen'],
        ]])->assertOk()->assertJsonPath('outcomes.general.state', 'saved');
        self::assertSame([], app(FinishReview::class)($second->refresh(), true));
        self::assertTrue($second->refresh()->isLate());
        self::assertFalse($first->refresh()->isLate());
        app(CloseRound::class)($this->round, $this->coordinator);
        $this->patchJson(route('mark.sync', $this->reviewsBy($this->students[1])->first()?->mark), ['changes' => [
            ['key' => 'general', 'was' => '', 'now' => 'Too late.'],
        ]])->assertForbidden();
        $this->actingAs($this->students[1])->patchJson(route(
            'mark.sync', $this->reviewsBy($this->students[1])->first()?->mark,
        ), [
            'changes' => [['key' => 'general', 'was' => '', 'now' => 'Too late.']],
        ])->assertStatus(409)
            ->assertJsonFragment(['message' => 'The round has been closed. What you wrote last was not saved.']);
    }

    public function test_authors_read_when_the_time_is_over_answer_and_reviewers_learn_in_numbers_of_three(): void
    {
        $this->round(5, ['each' => 3]);
        $this->give();
        $reviews = $this->reviewsBy($this->students[0]);
        foreach ($reviews as $review) {
            $this->finishReview($review);
        }
        $review = $reviews[0];
        $author = $this->author($review);
        $this->actingAs($author)->get(route('peer-reviews.show', $review))->assertForbidden();
        $this->get(route('rounds.show', $this->round))->assertSee(
            'You can read it when the time for reviewing is over'
        );
        Carbon::setTestNow($this->round->due_at->copy()->addMinute());
        $this->get(route('peer-reviews.show', $review))->assertOk()->assertSee('Say more of how the salt was sold.');
        $this->put(route('peer-reviews.answer', $review), ['answer' => 'x'])->assertSessionHasErrors('useful');
        foreach ($reviews as $n => $one) {
            $this->actingAs($this->author($one))->put(route('peer-reviews.answer', $one), [
                'useful' => (string) min(2, $n), 'answer' => 'I will look at the figures again.',
            ])->assertSessionHasNoErrors();
            $page = $this->actingAs($this->students[0])->get(route('rounds.show', $this->round));
            $n < 2
                ? $page->assertSee('Told once three authors have said it')
                : $page->assertSee('1 useful, 1 in part, 1 not, of 3');
        }
        $this->actingAs($this->students[0])->put(route('peer-reviews.answer', $review), ['useful' => '2'])
            ->assertForbidden();
        $this->post(route('peer-reviews.reopen', $review))->assertSessionHasErrors('refused');
    }

    public function test_a_flagged_review_is_hidden_with_a_reason_and_enters_no_mark(): void
    {
        $this->round(4, ['seen' => 'own-done']);
        $this->give();
        $review = $this->review();
        $this->finishReview($review, 'l1', 'l1');
        $author = $this->author($review);
        foreach ($this->reviewsBy($author) as $own) {
            $this->finishReview($own);
        }
        $this->actingAs($author)->post(route('peer-reviews.flag', $review), [])->assertSessionHasErrors('why');
        $this->post(
            route('peer-reviews.flag', $review), ['why' => 'unkind', 'text' => 'It calls me lazy.'],
        )->assertSessionHasNoErrors();
        self::assertSame(
            1, Notice::query()->where('kind', 'round-needs-you')->where('user_id', $this->coordinator->id)->count(),
        );
        $this->actingAs($this->coordinator)->get(route('rounds.staff', $this->round))->assertSee('It calls me lazy.')
            ->assertSee($review->work->code)->assertDontSee($review->work->script->code);
        $this->put(
            route('peer-reviews.decide', $review), ['hide' => '1', 'reason' => ''],
        )->assertSessionHasErrors('reason');
        $this->put(
            route('peer-reviews.decide', $review), ['hide' => '1', 'reason' => 'It is unkind indeed.'],
        )->assertSessionHasNoErrors();
        $this->actingAs($author)->get(route('peer-reviews.show', $review))->assertForbidden();
        Carbon::setTestNow(now()->addDays(9));
        app(CloseRound::class)($this->round, $this->coordinator);
        $combined = RoundWork::query()->findOrFail($review->round_work_id)->combining ?? [];
        self::assertNotContains($review->member->code, array_column($combined, 'code'));
        $this->actingAs($this->coordinator)->get(route('rounds.work', [$this->round, $review->work->code]))->assertOk()
            ->assertSee('hidden');
    }

    public function test_what_cannot_be_reviewed_goes_back_and_another_is_found(): void
    {
        $this->round(5);
        $this->give();
        $review = $this->review();
        $this->actingAs($this->students[0])->post(route('peer-reviews.return', $review), ['why' => 'worries'])
            ->assertSessionHasErrors('text');
        $this->post(
            route('peer-reviews.return', $review), ['why' => 'know-it'],
        )->assertRedirect(route('rounds.show', $this->round));
        $this->get(route('peer-reviews.desk', $review))->assertForbidden();
        self::assertCount(2, $this->reviewsBy($this->students[0]), 'they get another in its place');
        self::assertSame(
            2, PeerReview::query()->where('round_work_id', $review->round_work_id)->whereNull('returned_at')->count(),
        );
        $this->actingAs($this->coordinator)->get(route('rounds.staff', $this->round))
            ->assertSee('I know whose work this is');
        $this->put(route('peer-reviews.dealt', $review))->assertSessionHas('said');
        $this->get(route('rounds.staff', $this->round))->assertDontSee('I know whose work this is');
    }

    public function test_trial_scripts_come_first_and_a_line_keeps_out_who_is_far_away(): void
    {
        $this->round(3, ['each' => 1, 'trial_pass' => null]);
        $this->actingAs($this->coordinator)->get(route('trials.index', $this->round))->assertOk();
        $this->post(
            route('trials.store', $this->round),
            ['title' => 'Try', 'text' => $this->prose(30, 1), 'marks' => ['c1' => ['stop' => 'l1']]],
        )
            ->assertSessionHasErrors('marks');
        $this->post(route(
            'trials.store', $this->round,
        ), ['title' => 'A salt road', 'text' => $this->prose(30, 1), 'marks' => [
            'c1' => ['stop' => 'l1', 'comment' => 'It says what, never why.'],
            'c2' => ['stop' => 'l1', 'comment' => 'Few sources.'],
        ]])->assertSessionHasNoErrors();
        $trial = TrialScript::query()->sole();
        $this->round->refresh()->update(
            ['settings' => \YoungHarbor\Core\Peers\RoundSettings::fromArray(['each' => 1, 'trial_pass' => 10])]
        );
        $this->give();
        $this->delete(route('trials.destroy', $trial))->assertSessionHas('said');
        $trial = $this->round->trials()->create(
            $trial->only(['title', 'text', 'rubric_version_id', 'choices', 'total', 'made_by']) + ['position' => 1]
        );
        $review = $this->review();
        $student = $this->actingAs($this->students[0]);
        $student->get(route('peer-reviews.desk', $review))->assertForbidden();
        $student->get(route('trials.show', $trial))->assertOk()->assertDontSee('It says what, never why.');
        $student->put(
            route('trials.update', $trial), ['marks' => ['c1' => ['stop' => 'l3']], 'done' => '1'],
        )->assertSessionHasErrors('refused');
        self::assertNotNull(
            TrialMark::query()->sole()->choices->on('c1')->points ?? TrialMark::query()->sole()->choices->on('c1')
                ->level,
            'kept although not done',
        );
        $student->put(
            route('trials.update', $trial),
            ['marks' => ['c1' => ['stop' => 'l3'], 'c2' => ['stop' => 'l3']], 'done' => '1'],
        )->assertSessionHasNoErrors();
        $student->get(route('trials.show', $trial))->assertSee('It says what, never why.')->assertSee('marks away');
        $student->put(
            route('trials.update', $trial),
            ['marks' => ['c1' => ['stop' => 'l1'], 'c2' => ['stop' => 'l1']], 'done' => '1'],
        )->assertSessionHasErrors('refused');
        $student->get(route('rounds.show', $this->round))->assertSee('they can let you in');
        $student->get(route('peer-reviews.desk', $review))->assertForbidden();
        $this->actingAs($this->coordinator)->post(
            route('rounds.let-in', $this->round), ['code' => $this->memberOf($this->students[0])->code],
        );
        $this->actingAs($this->students[0])->get(route('peer-reviews.desk', $review->refresh()))->assertOk();
    }

    public function test_own_work_is_rated_by_the_same_rubric_and_only_its_author_opens_it(): void
    {
        $this->round(3, ['each' => 1, 'self' => true]);
        $this->give();
        $own = PeerReview::query()->where('own', true)
            ->where('round_member_id', $this->memberOf($this->students[0])->id)->sole();
        $this->actingAs($this->students[0])->get(route('peer-reviews.desk', $own))->assertOk()
            ->assertSee('Your own work')->assertDontSee('I cannot review this');
        $this->write($own, say: '');
        $this->post(route('peer-reviews.done', $own), ['as_it_is' => '1']);
        $this->post(
            route('peer-reviews.done', $own), ['as_it_is' => '1'],
        )->assertSessionHas('said', 'The rating of your own work is done.');
        $this->actingAs($this->students[1])->get(route('peer-reviews.desk', $own))->assertForbidden();
        self::assertSame('own-rating', $own->mark->refresh()->seat->value);
        // In no list of reviews, and in nothing that is combined.
        $this->actingAs($this->coordinator)->get(route('rounds.work', [$this->round, $own->work->code]))
            ->assertDontSee($own->mark->shownTotal());
    }

    public function test_a_work_that_is_replaced_while_it_is_reviewed_stays_as_it_was_given(): void
    {
        $this->round(3, ['each' => 1]);
        $this->essay->update(['due_at' => now()->addDays(3), 'closes_at' => now()->addDays(3)]);
        Script::query()->where('assignment_id', $this->essay->id)
            ->update(['due_at' => now()->addDays(3), 'closes_at' => now()->addDays(3)]);
        $this->give();
        $review = $this->review();
        $this->write($review);
        $given = $review->mark->handin->text;
        app(TakeHandIn::class)($this->essay->refresh(), $this->author($review), 'Written anew. '.$this->prose(70, 9));
        $this->actingAs($this->students[0])->get(route('peer-reviews.desk', $review))->assertOk()
            ->assertSee(mb_substr($given, 0, 20))->assertDontSee('Written anew.');
        $this->finishReview($review);
        $this->give();
        self::assertSame($given, $review->refresh()->mark->handin->text);
        self::assertNotNull($review->mark->done_at);
        Carbon::setTestNow($this->round->due_at->copy()->addHour());
        $this->actingAs($this->author($review))->get(route('peer-reviews.show', $review))->assertOk()
            ->assertSee('not of your newest');
    }

    public function test_own_work_comes_first_is_seen_by_staff_where_asked_and_stands_beside_the_result(): void
    {
        $this->round(3, ['self' => true, 'self_first' => true, 'staff_see' => 'own']);
        $this->give();
        $student = $this->students[0];
        $own = PeerReview::query()->where('own', true)
            ->where('round_member_id', $this->memberOf($student)->id)->sole();
        $other = $this->review();
        $this->actingAs($student)->get(route('rounds.show', $this->round))->assertSee('Rate your own work first')
            ->assertDontSee(route('peer-reviews.desk', $other));
        $this->get(route('peer-reviews.desk', $other))->assertForbidden();
        $this->write($own, 'l3', 'l2', "I am {$student->name}, and it is well read.");
        $this->post(route('peer-reviews.done', $own), ['as_it_is' => '1'])->assertRedirect();
        $this->get(route('peer-reviews.desk', $other))->assertOk();
        $this->finishReview($other);

        // At the desk of staff: what the author gave, with the name hidden; what peers gave stays out of sight.
        $this->shareOut($this->essay);
        $mark = $this->markOf($this->script($this->essay), Seat::First);
        $desk = (string) $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()
            ->assertSee('Its author:')->assertSee('it is well read')->assertDontSee('Peer 1')->getContent();
        self::assertStringNotContainsString($student->name, $desk);
        $third = PeerReview::query()->where('own', false)->whereHas('work', fn ($work) => $work
            ->where('script_id', $this->script($this->essay)->id))->firstOrFail();
        $this->finishReview(PeerReview::query()->where('own', true)->where('round_member_id', $third->round_member_id)->sole());
        $this->finishReview($third, 'l1', 'l1');
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertDontSee('Peer 1');
        $this->round->update(['settings' => RoundSettings::fromArray(['staff_see' => 'all'] + $this->round->settings->toArray())]);
        $this->get(route('mark.desk', $mark))->assertSee('Peer 1:');
        $this->round->update(['settings' => RoundSettings::fromArray(['staff_see' => 'nothing'] + $this->round->settings->toArray())]);
        $this->get(route('mark.desk', $mark))->assertDontSee('Its author:')->assertDontSee('it is well read');

        // Nobody's is overwritten, and it stands beside the result for its author alone.
        $this->finish($mark, 'l1', 'l2');
        self::assertSame('l3', $own->mark->refresh()->choices->on('c1')->level);
        $this->actingAs($student)->put(route('peer-reviews.learnt', $own), ['learnt' => 'Early.'])->assertForbidden();
        Carbon::setTestNow(now()->addDays(10));
        app(CloseRound::class)($this->round->refresh(), $this->coordinator);
        app(ReleaseResults::class)($this->essay->refresh(), [$this->script($this->essay)->code], $this->coordinator);
        $result = route('results.show', $this->script($this->essay)->refresh()->result);
        $this->actingAs($student)->get($result)->assertSee('How you saw it, and how others did')
            ->assertSee('What do you learn from the difference?')->assertDontSee('after you had seen the result');
        $this->put(route('peer-reviews.learnt', $own), ['learnt' => 'I read too fast.'])->assertSessionHasNoErrors();
        $this->get($result)->assertSee('I read too fast.');
        $own->mark->refresh()->update(['done_at' => now()->addDay()]);
        $this->get($result)->assertSee('You rated it after you had seen the result.');
        $this->actingAs($this->coordinator)->get(route('rounds.staff', $this->round))->assertSee('I read too fast.');
        $this->actingAs($this->students[1])->put(route('peer-reviews.learnt', $own), ['learnt' => 'x'])->assertForbidden();
    }

    public function test_neither_learns_who_the_other_is(): void
    {
        $this->round(4, ['each' => 2]);
        $this->give();
        $review = $this->review();
        $this->finishReview($review);
        MarkComment::query()->create([
            'mark_id' => $review->mark_id, 'body' => 'Which year?', 'kind' => 'fix', 'criterion' => null,
            'starred' => false,
            'anchor' => ['page' => 1, 'x' => 0.1, 'y' => 0.1],
        ]);
        $author = $this->author($review);
        $reviewer = $this->students[0];
        $see = function (User $who, User $other, string $code) use ($review): void {
            foreach ([
                route('rounds.show', $this->round), route('hand-in.show', $this->essay), route('today'),
                route('notices.index'),
                ...($who->is($review->member->user)
                    ? [
                        route('peer-reviews.desk', $review), route('mark.news', [$review->mark, 'version' => 0]),
                        route('mark.rubric', $review->mark),
                    ]
                    : [route('peer-reviews.show', $review)]),
            ] as $page) {
                $answer = $this->actingAs($who)->get($page);
                $answer->isSuccessful() || $answer->isRedirect()
                    || self::assertSame(403, $answer->baseResponse->getStatusCode());
                $html = (string) $answer->baseResponse->getContent().json_encode($answer->headers->all());
                foreach ([$other->name, $other->email, (string) $other->number, $other->public_id, $code] as $sign) {
                    self::assertStringNotContainsString($sign, $html, "{$page} as {$who->name}");
                }
            }
        };
        $theirs = $review->work->script->code;
        $own = $this->script($this->essay)->code;
        $see($reviewer, $author, $theirs);
        Carbon::setTestNow($this->round->due_at->copy()->addHour());
        $see($author, $reviewer, $own);
        $page = (string) $this->actingAs($author)->get(route('peer-reviews.show', $review))->assertOk()->getContent();
        self::assertStringNotContainsString($review->member->code, $page);
        $written = $review->mark->refresh()->done_at;
        self::assertNotNull($written);
        self::assertStringNotContainsString($written->format('H:i'), $page, 'no time of writing');
        app(CloseRound::class)($this->round, $this->coordinator);
        $see($reviewer, $author, $theirs);
        $see($author, $reviewer, $own);
        // Staff who mark see nothing of it in their queue.
        self::assertSame(0, Mark::onDesks()->count());
    }
}
