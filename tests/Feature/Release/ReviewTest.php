<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\RevealNames;
use App\Actions\Release\TreatReview;
use App\Enums\HandInBy;
use App\Enums\ReviewState;
use App\Mail\NoticeMail;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Result;
use App\Models\Review;
use App\Models\Settlement;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use YoungHarbor\Core\Release\Settings;

/**
 * Reviews of marks, and corrected results that take the place of those that are out.
 */
final class ReviewTest extends TestCase
{
    private function holding(int $student = 0): Result
    {
        return Result::query()->whereNull('replaced_at')
            ->whereHas('script', fn ($script) => $script->where('student_id', $this->students[$student]->id))->sole();
    }

    private function out(int $days = 10): Assignment
    {
        $this->module();
        $assignment = $this->released();
        $assignment->update(['release' => Settings::fromArray(['review_days' => $days, 'answer_days' => 15])]);

        return $assignment->refresh();
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function ask(array $fields = []): TestResponse
    {
        return $this->actingAs($this->students[0])->post(route('reviews.store', $this->holding()), [
            'ground' => 'overlooked', 'text' => 'My second source is on page two, and nobody speaks of it.', ...$fields,
        ]);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function correct(array $fields = []): TestResponse
    {
        return $this->actingAs($this->coordinator)->post(route('results.correct.store', $this->holding()), [
            'how' => 'total', 'mark' => '62', 'from' => ['first'],
            'reason' => 'The second source was overlooked by both.',
            'what_changed' => 'Your second source was overlooked; the mark rises from 50 to 62.', ...$fields,
        ]);
    }

    public function test_a_review_is_asked_for_given_to_someone_answered_and_told(): void
    {
        Mail::fake();
        $assignment = $this->out();
        $this->actingAs($this->students[0])->get(route('results.show', $this->holding()))
            ->assertSee('Ask for a review of the mark');
        $this->ask(['text' => 'too short'])->assertSessionHasErrors('text');
        $this->ask(['ground' => 'mood'])->assertSessionHasErrors('ground');
        $this->ask(['text' => str_repeat('ab ', 40_000)])->assertSessionHasErrors('text');
        $this->ask(['file' => UploadedFile::fake()->create('note.pdf', 9)])->assertSessionHas('said');
        $this->ask()->assertSessionHasErrors('text');
        $review = Review::query()->sole();
        $this->actingAs($this->students[1])->post(route('reviews.store', $this->holding()), [])->assertForbidden();
        $this->get(route('reviews.show', $review))->assertForbidden();
        $this->get(route('reviews.file', $review))->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('today'))->assertSee('1 review of a mark waits for a decision');
        $this->get(route('release.index', $assignment))->assertSee('1 review of a mark is open');
        $this->get(route('reviews.show', $review))->assertSee('nobody speaks of it')->assertDontSee('note.pdf')
            ->assertSee($this->script($assignment)->code)->assertDontSee($this->students[0]->name)
            ->assertSee('The result it is about')->assertSee('quay');
        $this->put(route('reviews.update', $review), ['do' => 'give', 'with' => $this->students[1]->public_id])
            ->assertSessionHasErrors('with');
        $this->put(
            route('reviews.update', $review), ['do' => 'give', 'with' => $this->tutors[0]->public_id],
        )->assertSessionHas('said');
        $this->actingAs($this->tutors[0])->get(route('today'))->assertSee('1 review of a mark waits for what you find');
        $this->put(
            route('reviews.update', $review), ['do' => 'stands', 'answer' => 'It stands, it stands, it stands.'],
        )->assertForbidden();
        $this->put(
            route('reviews.update', $review), ['do' => 'advise', 'advice' => 'I read both sources, and the mark fits.'],
        )->assertSessionHas('said');
        $this->get(route('today'))->assertDontSee('waits for what you find');
        $this->actingAs($this->coordinator)->get(route('reviews.show', $review))->assertSee('I read both sources');
        $this->put(
            route('reviews.update', $review), ['do' => 'stands', 'answer' => 'no'],
        )->assertSessionHasErrors('answer');
        $this->put(
            route('reviews.update', $review),
            ['do' => 'stands', 'answer' => 'Both markers read it; the level says two sources set against each other.'],
        )->assertSessionHas('said');
        $this->put(
            route('reviews.update', $review), ['do' => 'stands', 'answer' => 'Another answer, another answer.'],
        )->assertSessionHasErrors('refused');
        $this->actingAs($this->students[0])->get(route('today'))->assertSee('Your review in Salt is answered');
        $this->get(route('results.show', $this->holding()))->assertSee('The mark stands')
            ->assertSee('set against each other')->assertDontSee('I read both sources');
        Mail::assertSent(NoticeMail::class, fn (NoticeMail $mail) => $mail->hasTo($this->students[0]->email)
            && str_contains($mail->render(), 'It is answered, with the reason'));
        self::assertSame(ReviewState::Stands, $review->refresh()->state);
    }

    public function test_whoever_looks_at_it_learns_no_name_before_names_are_revealed(): void
    {
        $assignment = $this->out();
        $student = $this->students[0];
        $this->ask(['text' => "I am {$student->name} ({$student->email}), and my second source was overlooked.",
            'file' => UploadedFile::fake()->create("{$student->name}.pdf", 9)]);
        $review = Review::query()->sole();
        $this->actingAs($this->coordinator)->put(
            route('reviews.update', $review), ['do' => 'give', 'with' => $this->tutors[0]->public_id],
        );
        $page = $this->actingAs($this->tutors[0])->get(route('reviews.show', $review))->assertOk()
            ->assertSee('my second source was overlooked')->assertSee($this->script($assignment)->code);
        foreach (
            [$student->name, $student->email, $student->public_id, (string) strtok($student->name, ' ')] as $secret
        ) {
            $page->assertDontSee($secret);
        }
        $this->get(route('reviews.file', $review))->assertForbidden();
        $this->get(route('today'))->assertDontSee($student->name);
        $this->get(route('notices.index'))->assertDontSee($student->name);
        app(RevealNames::class)($assignment);
        $this->get(route('reviews.show', $review))->assertSee($student->name);
        $this->get(route('reviews.file', $review))->assertOk();
    }

    public function test_what_is_attached_is_opened_before_names_are_revealed_with_a_reason(): void
    {
        $assignment = $this->out();
        $this->ask(['file' => UploadedFile::fake()->create('note.pdf', 9)]);
        $review = Review::query()->sole();
        $this->actingAs($this->coordinator)->get(route('reviews.file', $review))->assertForbidden();
        $this->post(route('reviews.look', $review), ['reason' => 'so'])->assertSessionHasErrors('reason');
        $this->post(route('reviews.look', $review), ['reason' => 'It holds the receipt of the toll.'])->assertOk()
            ->assertDownload('note.pdf');
        self::assertSame(1, LogbookLine::query()->where('event', 'share-out.name-looked-at')->count());
        app(TreatReview::class)($review, $this->tutors[0], null);
        $this->actingAs($this->tutors[0])->post(route('reviews.look', $review), ['reason' => 'Let me see it.'])
            ->assertForbidden();
        app(RevealNames::class)($assignment);
        $this->get(route('reviews.file', $review))->assertOk();
    }

    public function test_beside_a_name_no_words_of_the_work_are_read_before_names_are_revealed(): void
    {
        $assignment = $this->out();
        $result = $this->holding();
        $words = 'quay';
        self::assertStringContainsString($words, (string) $this->actingAs($this->students[0])
            ->get(route('results.show', $result))->assertOk()->getContent());
        $page = $this->actingAs($this->coordinator)->get(route('results.show', $result))->assertOk()
            ->assertSee($this->students[0]->name)->assertSee('50.0')
            ->assertSee('the text and its comments are not shown beside a name');
        $page->assertDontSee($words)->assertDontSee(route('results.correct', $result))
            ->assertDontSee($this->script($assignment)->code);
        $this->get(route('results.pdf', $result))->assertForbidden();
        $this->get(route('results.pages', [$result, 1]))->assertForbidden();
        $this->get(route('results.correct', $result))->assertOk()->assertSee($this->script($assignment)->code)
            ->assertDontSee($this->students[0]->name);
        $this->get(route('release.index', $assignment))->assertSee(route('results.correct', $result))
            ->assertDontSee($this->students[0]->name);
        app(RevealNames::class)($assignment);
        $this->get(route('results.show', $result))->assertSee($words)->assertSee(route('results.correct', $result));
        $this->get(route('results.pdf', $result))->assertOk();
    }

    public function test_after_the_date_and_where_it_is_not_offered_it_is_refused_in_words(): void
    {
        $assignment = $this->out();
        Carbon::setTestNow(now()->addDays(12));
        $this->ask()->assertSessionHasErrors('text');
        $this->get(route('results.show', $this->holding()))->assertSee('A review could be asked for until');
        $assignment->update(['release' => Settings::fromArray([])]);
        $this->ask()->assertSessionHasErrors(['text' => 'Reviews of marks are not offered for this assignment.']);
        $this->get(route('results.show', $this->holding()))->assertDontSee('review of the mark');
        self::assertSame(0, Review::query()->count());
    }

    public function test_a_corrected_result_takes_the_place_of_the_one_that_is_out_which_stays_to_be_read(): void
    {
        $assignment = $this->out();
        $old = $this->holding();
        $document = $old->document;
        $this->ask();
        $review = Review::query()->sole();
        $this->actingAs($this->coordinator)->get(route('results.correct', [$old, 'review' => $review->public_id]))
            ->assertOk()
            ->assertSee('nobody speaks of it')->assertSee('As it is agreed now');
        $this->correct(['what_changed' => 'short'])->assertSessionHasErrors('what_changed');
        $this->correct(['mark' => '162'])->assertSessionHasErrors('mark');
        $this->correct(['review' => $review->public_id])->assertSessionHasNoErrors();
        $new = $this->holding();
        self::assertSame([2, '62.0', '50.0'], [$new->version, $new->shownMark(), $old->refresh()->shownMark()]);
        self::assertSame($document, $old->document);
        self::assertNotNull($old->replaced_at);
        self::assertSame([ReviewState::Corrected, $new->id], [$review->refresh()->state, $review->new_result_id]);
        $this->actingAs($this->students[0])->get(route('results.show', $old))->assertOk()
            ->assertSee('A corrected one took its place');
        $this->get(route('today'))->assertSee('A corrected result for Salt is there');
        $this->get(route('results.show', $new))->assertSee('rises from 50 to 62')
            ->assertSee('the mark was decided by a coordinator')->assertSee('62.0')
            ->assertSee('The mark was corrected');
        $this->get(route('today'))->assertDontSee('A corrected result');
        $this->actingAs($this->students[1])->get(route('results.show', $old))->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('grade-book.show', $this->module))->assertSee('62.0');
        $line = LogbookLine::query()->where('event', 'release.result-corrected')->sole();
        self::assertSame(['50.0', '62.0'], [$line->details['before'], $line->details['mark']]);
        self::assertSame(1, Settlement::query()->where('script_id', $old->script_id)->whereNull('undone_at')->count());
        // The old one cannot be corrected any more.
        $this->post(route('results.correct.store', $old), [
            'how' => 'total', 'mark' => '70', 'from' => ['first'], 'reason' => 'Once more, and once more again.',
            'what_changed' => 'The mark rises once more, to 70 this time.',
        ])->assertSessionHasErrors('refused');
        self::assertSame(0, $this->artisan('logbook:verify')->run());
    }

    public function test_whoever_marked_it_does_not_correct_it_and_nobody_else_of_the_team(): void
    {
        $assignment = $this->out();
        $result = $this->holding();
        foreach ([$this->tutors[0], $this->students[0]] as $person) {
            $this->actingAs($person)->get(route('results.correct', $result))->assertForbidden();
            $this->post(route('results.correct.store', $result), [])->assertForbidden();
        }
        $this->script($assignment)->marks()->where('seat', 'first')->update(['marker_id' => $this->coordinator->id]);
        $this->correct()->assertForbidden();
    }

    public function test_a_group_s_members_all_get_the_corrected_mark(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(2, 2);
        $assignment = $this->assignment(['handin_by' => HandInBy::GroupOneMark]);
        $this->actingAs($this->coordinator)->post(route('groups.store', $assignment), [
            'lines' => "{$this->students[0]->email}, North\n{$this->students[1]->email}, North",
        ])->assertSessionHasNoErrors();
        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(80, 1));
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $this->finishBoth($assignment->scripts()->whereHas('marks')->sole());
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertSame(2, Result::query()->count());
        $this->correct()->assertSessionHasNoErrors();
        self::assertSame(['62.0', '62.0'], Result::query()->whereNull('replaced_at')->pluck('shown')->all());
        self::assertSame(4, Result::query()->count());
    }
}
