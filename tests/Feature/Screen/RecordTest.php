<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Enums\ConversationFinding;
use App\Mail\WroteToYou;
use App\Models\Assignment;
use App\Models\ConversationEntry;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * What people make of a report: the conversation record, a result held back, and what students see.
 */
final class RecordTest extends TestCase
{
    private Assignment $work;

    private function begun(): void
    {
        $this->module(2, 3);
        $this->work = $this->assignment();
        $this->work = $this->sharedOut($this->work);
        app(\App\Actions\Screen\RerunScreening::class)($this->work, 'all');
    }

    public function test_an_entry_keeps_the_figures_as_they_stood(): void
    {
        $this->module(1, 2);
        $this->work = $this->assignment();
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($this->work, $this->students[$n], $this->prose(30, 3).' '.$this->prose(20, 50 + $n));
        }
        $script = $this->script($this->work);
        $this->actingAs($this->coordinator)
            ->post(
                route('screen.record', $script),
                ['found' => 'talk', 'why' => 'The first half is the other’s.', 'run' => 1],
            )
            ->assertRedirect()->assertSessionHasNoErrors();
        $this->post(
            route('screen.leave-out', $script), ['what' => 'passage', 'from' => 0, 'to' => 30, 'reason' => 'Quoted'],
        );
        $entry = ConversationEntry::query()->sole();
        self::assertSame([ConversationFinding::Talk, false], [$entry->found, $entry->held]);
        self::assertStringContainsString('60.0 %: 30 of 50 counted words', $entry->seen['sum']);
        self::assertStringContainsString($this->script($this->work, 1)->code, $entry->seen['sources'][0]);
        self::assertSame(30, str_word_count((string) $entry->seen['passage'], 0, '0123456789'));
        $this->get(route('screen.show', $script))->assertSee('The first half is the other’s.')
            ->assertSee('0 of 20 counted words');
        self::assertSame(0, ConversationEntry::query()->where('script_id', $this->script($this->work, 1)->id)->count());
    }

    public function test_a_student_is_told_of_an_entry_for_them_and_staff_see_when_it_was_read(): void
    {
        $this->begun();
        Mail::fake();
        $script = $this->script($this->work);
        $this->actingAs($this->coordinator)->post(
            route('screen.record', $script), ['found' => 'note', 'why' => 'Between us.'],
        );
        Mail::assertNothingQueued();
        $this->actingAs($this->students[0])->get('/')->assertDontSee('Your coordinator wrote to you');
        $this->actingAs($this->coordinator)->post(
            route('screen.record', $script),
            ['found' => 'talk', 'why' => 'Please come and see me.', 'student_sees' => '1'],
        );
        Mail::assertQueued(
            WroteToYou::class,
            fn (WroteToYou $mail) => $mail->hasTo($this->students[0]->email)
                && str_contains($mail->render(), route('screen.own-record', $script))
                && ! str_contains($mail->render(), 'come and see me'),
        );
        $this->get(route('screen.show', $script))->assertSee('the student may read it and has not yet');
        $this->actingAs($this->students[0])->get('/')->assertSee('Your coordinator wrote to you about your work');
        $this->get(route('screen.own-record', $script))->assertSee('Please come and see me.')
            ->assertDontSee('Between us.');
        $this->get('/')->assertDontSee('Your coordinator wrote to you about your work');
        $this->actingAs($this->coordinator)->get(route('screen.show', $script))->assertSee('the student read it');
    }

    public function test_what_is_missing_is_said_and_what_was_written_stays(): void
    {
        $this->begun();
        $script = $this->script($this->work);
        $this->actingAs($this->coordinator)->from(route('screen.show', $script))
            ->post(route('screen.record', $script), ['found' => '', 'why' => 'Half a thought'])
            ->assertSessionHasErrors(['found' => 'Choose what you found. Nothing was written yet.'])
            ->assertSessionHasInput('why', 'Half a thought');
        $this->post(route('screen.record', $script), ['found' => 'talk', 'why' => ''])->assertSessionHasErrors('why');
        $this->get(route('screen.show', $this->script($this->work, 1)))->assertOk();
        self::assertSame(0, ConversationEntry::query()->count());
    }

    public function test_a_held_script_stands_in_the_ready_check_and_no_mark_changes(): void
    {
        $this->begun();
        $script = $this->script($this->work);
        $marks = $script->marks->map(fn ($mark) => $mark->toJson())->all();
        $this->actingAs($this->coordinator)
            ->post(
                route('screen.record', $script),
                ['found' => 'referred', 'why' => 'To the office, as the rules say.', 'hold' => '1'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame('Conversation record: referred.', $script->refresh()->held_reason);
        self::assertSame($marks, $script->load('marks')->marks->map(fn ($mark) => $mark->toJson())->all());
        $this->get(route('release.index', $this->work))->assertSee('1 script is held');
        $this->get(route('logbook', $this->module))->assertSee('wrote in the conversation record')
            ->assertSee('held a script');
    }

    public function test_the_record_is_for_coordinators_and_those_who_are_named_in_it(): void
    {
        $this->begun();
        $script = $this->script($this->work)->load('marks');
        $this->actingAs($this->coordinator)->post(
            route('screen.record', $script), ['found' => 'note', 'why' => 'Between us.'],
        );
        [$marker, $other] = [$script->marks[0]->marker, $script->marks[1]->marker];
        $this->actingAs($marker)->get(route('screen.show', $script))->assertOk()->assertDontSee('Between us.')
            ->assertSee('for those named in the record');
        $this->post(route('screen.name', $script), ['who' => $marker->public_id])->assertForbidden();
        $this->post(
            route('screen.record', $script), ['found' => 'note', 'why' => 'I saw it too.', 'student_sees' => '1'],
        )->assertForbidden();
        $this->post(
            route('screen.record', $script), ['found' => 'note', 'why' => 'I saw it too.'],
        )->assertSessionHasNoErrors();
        $this->get(route('screen.show', $script))->assertSee('Between us.')->assertSee('I saw it too.');
        $this->actingAs($other)->get(route('screen.show', $script))->assertDontSee('Between us.');
        $this->actingAs($this->coordinator)->post(route('screen.name', $script), ['who' => $other->public_id])
            ->assertSessionHasNoErrors();
        $this->post(route('screen.name', $script), ['who' => $this->students[0]->public_id])->assertNotFound();
        $this->actingAs($other)->get(route('screen.show', $script))->assertSee('Between us.');
        $this->actingAs($this->students[0]);
        foreach (['hand-in.show', 'assignments.show'] as $route) {
            $this->followingRedirects()->get(route($route, $this->work))->assertDontSee('Between us.');
        }
        $this->screenOtherwise($this->work, ['students' => true]);
        $this->get(route('screen.own', $script))->assertOk()->assertDontSee('Between us.')
            ->assertDontSee('Conversation record');
        $this->get(route('screen.own-record', $script))->assertForbidden();
        $this->actingAs($this->coordinator)->post(
            route('screen.record', $script),
            ['found' => 'nothing', 'why' => 'Thank you for the talk.', 'questions' => 'None.', 'student_sees' => '1'],
        );
        $this->actingAs($this->students[0])->get(route('hand-in.show', $this->work))
            ->assertSee('Your coordinator wrote to you about it');
        $this->get(route('screen.own-record', $script))->assertOk()->assertSee('Nothing further')
            ->assertSee('Thank you for the talk.')->assertDontSee('Between us.')->assertDontSee($script->code);
        $this->actingAs($this->students[1])->get(route('screen.own-record', $script))->assertForbidden();
    }

    public function test_students_see_their_own_report_after_the_due_time_only_and_never_what_others_wrote(): void
    {
        $this->module(1, 2);
        $this->work = $this->assignment(['screening' => Screening::fromArray(['students' => true])]);
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)(
                $this->work, $this->students[$n],
                $this->prose(30, 3).' '.(
                    $n === 0 ? 'My own last words.' : 'Secretly the other one wrote quite otherwise.'
                ),
            );
        }
        $script = $this->script($this->work);
        $this->actingAs($this->students[0])->get(route('screen.own', $script))->assertForbidden();
        $this->travel(2)->days();
        $this->get(route('hand-in.show', $this->work))->assertSee('Where your words also stand');
        $page = $this->get(route('screen.own', $script))->assertOk()->assertSee('30 of 34 counted words')
            ->assertSee('What is normal')->assertSee('Work that another student has handed in');
        foreach (
            [
                'Secretly', 'otherwise', $this->script($this->work, 1)->code, $script->code, 'look closely',
                'Leave this passage out',
            ] as $private
        ) {
            $page->assertDontSee($private);
        }
        $this->get(route('screen.own', [$script, 'whole' => '1']))->assertDontSee('Secretly');
        $this->actingAs($this->students[1])->get(route('screen.own', $script))->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('screen.own', $script))->assertForbidden();
        $this->screenOtherwise($this->work, ['students' => false]);
        $this->actingAs($this->students[0])->get(route('screen.own', $script))->assertForbidden();
    }
}
