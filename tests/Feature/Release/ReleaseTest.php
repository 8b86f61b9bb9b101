<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Mail\NoticeMail;
use App\Models\Result;
use Illuminate\Support\Facades\Mail;
use LogicException;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

final class ReleaseTest extends TestCase
{
    public function test_the_ready_check_names_what_stands_in_the_way_and_some_can_go_out(): void
    {
        Mail::fake();
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $ready = $this->script($assignment, 0);
        $waiting = $this->script($assignment, 1);
        $this->finishBoth($ready);
        $this->finish($this->markOf($waiting, Seat::First), 'l2', 'l2');
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))->assertOk()
            ->assertSee('1 script has no finished first mark')
            ->assertSee('1 script has no finished second mark')
            ->assertSee('1 result is ready');

        $this->post(
            route('release.store', $assignment), ['which' => 'some', 'scripts' => [$ready->code, $waiting->code]],
        )
            ->assertSessionHasErrors(
                [
                    'refused' => "Nothing was released, because not all you chose are ready: {$waiting->code} (marked once).",
                ]
            );
        self::assertSame(0, Result::query()->count());
        $this->post(route('release.store', $assignment), ['which' => 'some'])->assertSessionHasErrors('scripts');
        $this->post(route('release.store', $assignment), ['which' => 'all', 'expected' => 2])
            ->assertSessionHasErrors(
                [
                    'refused' => '1 result is ready now, not 2 as when you opened the page. Nothing was released: look at the list, then release again.',
                ]
            );
        $this->post(route('release.store', $assignment), ['which' => 'some', 'scripts' => [$ready->code]])
            ->assertSessionHas('said');
        self::assertSame([$ready->id], Result::query()->pluck('script_id')->all());
        Mail::assertSent(
            NoticeMail::class,
            fn (NoticeMail $mail) => $mail->hasTo($this->students[0]->email)
                && preg_match('/\b50(\.0)?\b/', $mail->render()) === 0,
        );
        self::assertCount(1, Mail::sent(NoticeMail::class));
        $this->post(route('release.reveal', $assignment), ['sure' => '1'])->assertSessionHasErrors('refused');
    }

    public function test_a_held_script_stays_behind(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        foreach ([0, 1, 2] as $n) {
            $this->finishBoth($this->script($assignment, $n));
        }
        $held = $this->script($assignment, 1);
        $this->actingAs($this->coordinator)->post(route('scripts.hold', $held), ['reason' => 'no'])
            ->assertSessionHasErrors('reason');
        $this->post(route('scripts.hold', $held), ['reason' => 'A talk is arranged.']);
        $this->post(route('release.store', $assignment), ['which' => 'all'])
            ->assertSessionHas('said', '2 results are released; their students are being told by mail.');
        self::assertNull($held->refresh()->result);
        $this->post(route('scripts.hold', $held), ['let_go' => '1']);
        $this->post(route('release.store', $assignment), ['which' => 'all'])
            ->assertSessionHas('said', '1 result is released; its student is being told by mail.');
        $this->post(route('release.store', $assignment), ['which' => 'all'])->assertSessionHasErrors('refused');
    }

    public function test_a_student_sees_exactly_what_was_released_and_opening_it_is_recorded(): void
    {
        $this->module();
        $assignment = $this->released();
        $result = Result::query()->where('script_id', $this->script($assignment)->id)->sole();
        $page = $this->actingAs($this->students[0])->get(route('results.show', $result))->assertOk();
        $page->assertSee('50.0')
            ->assertSee('Lower second')
            ->assertSee('50 to 59.9')
            ->assertSee('Yours.')
            ->assertSee('Strong.')
            ->assertSee('To reach the next level: Answer an objection.')
            ->assertSee('Comment of the first marker.')
            ->assertSee('the mean of the two marks')
            ->assertDontSee('Comment of the second marker.');
        foreach ($this->tutors as $tutor) {
            $page->assertDontSee($tutor->name);
        }
        self::assertSame(1, $result->refresh()->openings);
        $this->travel(30)->seconds();
        $this->post(route('results.reading', $result))->assertNoContent();
        self::assertSame(30, $result->refresh()->seconds_open);
        $this->travel(3)->hours();
        $this->post(route('results.reading', $result));
        self::assertSame(
            70, $result->refresh()->seconds_open, 'a page left open all night is not three hours of reading',
        );

        $this->actingAs($this->coordinator)->get(route('results.show', $result))->assertOk();
        self::assertSame(1, $result->refresh()->openings, 'a look by staff is not an opening');
        $this->expectException(LogicException::class);
        $result->update(['mark' => '99']);
    }

    public function test_nobody_elses_and_nothing_unreleased(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $this->finishBoth($this->script($assignment));
        $this->actingAs($this->students[0])->get(route('today'))->assertDontSee('Your result');
        $this->get(route('hand-in.show', $assignment))->assertOk()->assertDontSee('50.0');
        $this->get('/results/'.$this->script($assignment)->public_id)->assertNotFound();
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), ['which' => 'all']);
        $result = Result::query()->sole();
        foreach ([$this->students[1], $this->tutors[0]] as $other) {
            $this->actingAs($other)->get(route('results.show', $result))
                ->assertForbidden()
                ->assertSee('This result belongs to someone else');
        }
        $this->get('/results/'.$result->id)->assertNotFound();
    }

    public function test_names_are_revealed_last_confirmed_and_once(): void
    {
        $this->module();
        $assignment = $this->released();
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.index', $assignment))->assertDontSee($this->students[0]->name);
        $this->actingAs($this->coordinator)->post(route('release.reveal', $assignment))->assertSessionHasErrors('sure');
        $this->post(route('release.reveal', $assignment), ['sure' => '1'])->assertSessionHas('said');
        $this->post(route('release.reveal', $assignment), ['sure' => '1'])
            ->assertSessionHasErrors(['refused' => 'Names have been revealed already.']);
        $this->actingAs($mark->marker)->get(route('mark.index', $assignment))->assertSee($this->students[0]->name);
    }

    public function test_the_grade_book_and_its_csv_show_marks_once_they_are_released(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $this->finishBoth($this->script($assignment));
        $this->students[0]->update(['name' => '=HYPERLINK("x")']);
        $this->actingAs($this->coordinator)->get(route('grade-book.show', $this->module))
            ->assertOk()
            ->assertSee('handed in')
            ->assertDontSee('50.0');
        $this->post(route('release.store', $assignment), ['which' => 'all']);
        $this->get(route('grade-book.show', $this->module))->assertSee('50.0')->assertSee('not opened yet');
        $csv = $this->get(route('grade-book.csv', $this->module))->getContent();
        self::assertIsString($csv);
        self::assertStringContainsString(
            "\"'=HYPERLINK(\"\"x\"\")\",{$this->students[0]->number},{$this->students[0]->email},,50.0,Lower second,released\r\n",
            $csv,
        );
        self::assertSame(4, substr_count($csv, "\r\n"));
    }
}
