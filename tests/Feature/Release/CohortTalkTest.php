<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Mark\SyncDesk;
use App\Actions\Release\ReleaseResults;
use App\Documents\ScriptText;
use App\Mail\FromCoordinator;
use App\Models\Assignment;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\MarkComment;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * What the cohort should hear, from results that are out, and the message the coordinator makes of it.
 */
final class CohortTalkTest extends TestCase
{
    private function out(int $students): Assignment
    {
        $this->module(2, $students);
        $assignment = $this->sharedOut($this->assignment(['title' => 'Essay']));
        $set = BankSet::query()->create([
            'module_id' => $this->module->id, 'title' => 'Ours', 'owner_id' => $this->coordinator->id,
        ]);
        $comment = BankComment::query()->create([
            'bank_set_id' => $set->id, 'label' => 'Whose account?', 'text' => 'Say whose account this is.',
            'kind' => 'fix',
            'saved_by' => $this->coordinator->id,
        ]);
        foreach (array_keys($this->students) as $n) {
            $script = $this->script($assignment, $n);
            $mark = $this->markOf($script, Seat::First);
            $word = (preg_split('/\s+/', ScriptText::of($mark->handin)) ?: [])[3];
            $start = (int) mb_strpos(ScriptText::of($mark->handin), $word);
            app(SyncDesk::class)($mark, [['key' => 'note:'.Str::uuid()->toString(), 'was' => null, 'now' => [
                'body' => 'Say whose account this is.', 'kind' => 'fix', 'criterion' => 'c1',
                'anchor' => ['exact' => $word, 'start' => $start, 'end' => $start + mb_strlen($word)],
            ]]]);
            MarkComment::query()->where('mark_id', $mark->id)->update(['bank_comment_id' => $comment->id]);
            $this->finishBoth($script, $n < 3 ? 'l3' : 'l1', 'l2');
        }
        app(ReleaseResults::class)($assignment, null, $this->coordinator);

        return $assignment->refresh();
    }

    public function test_it_says_how_criteria_went_and_becomes_a_message_to_all_whose_result_is_out(): void
    {
        Mail::fake();
        $assignment = $this->out(6);
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee(route('cohort-talk', $assignment));
        // Argument: three of six reached all, three nothing; Evidence: all the half.
        $page = $this->get(route('cohort-talk', $assignment))->assertOk()->assertSee('From the 6 results')
            ->assertSeeInOrder(['Argument', '50.0', '54.8', 'Evidence', '50.0', '0.0'])
            ->assertSee('Say whose account this is.')->assertSee('all, or nearly all');
        foreach ($this->students as $student) {
            $page->assertDontSee($student->name);
        }
        $send = fn (array $more) => $this->post(route('messages.store', [$assignment, 'show' => 'result']), [
            'subject' => 'About your work in {assignment}',
            'body' => 'Dear {first name}, say whose account it is. {link}', ...$more,
        ]);
        $send([])->assertOk()->assertSee('Write to 6 students')->assertSee('About your work in Essay');
        Mail::assertNotQueued(FromCoordinator::class);
        $send(['send' => '1', 'seen' => '6'])->assertSessionHas('said', '6 students were written to.');
        Mail::assertQueued(FromCoordinator::class, 6);
        $this->actingAs($this->tutors[0])->get(route('cohort-talk', $assignment))->assertForbidden();
    }

    public function test_nothing_is_said_of_fewer_than_five(): void
    {
        $assignment = $this->out(4);
        $this->actingAs($this->coordinator)->get(route('cohort-talk', $assignment))->assertOk()
            ->assertSee('Fewer than 5 results are out')->assertDontSee('Say whose account');
    }
}
