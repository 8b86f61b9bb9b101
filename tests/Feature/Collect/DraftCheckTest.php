<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Screen\CompareDraft as Compare;
use App\Actions\Screen\CompareHandin;
use App\Enums\ReportState;
use App\Jobs\CompareDraftJob;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\Handin;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Files;
use Tests\TestCase;

final class DraftCheckTest extends TestCase
{
    private const SHARED = 'the women who mended the nets sat down along the wall and counted the needles';

    private Assignment $assignment;

    private function begun(int $checks = 2): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 3);
        $this->assignment = $this->assignment(['self_checks' => $checks]);
        $handin = app(TakeHandIn::class)(
            $this->assignment, $this->students[1], 'Before that. '.self::SHARED.'. '.$this->prose(60, 1),
        );
        app(CompareHandin::class)($handin);
    }

    private function check(User $student, string $text): DraftCheck
    {
        $this->actingAs($student)->post(route('drafts.store', $this->assignment), ['draft_text' => $text])
            ->assertSessionHasNoErrors();
        $draft = DraftCheck::query()->latest('id')->firstOrFail();
        if ($draft->state === ReportState::Waiting) {
            app(Compare::class)($draft);
        }

        return $draft->refresh();
    }

    public function test_the_student_sees_which_words_stand_elsewhere_and_not_where(): void
    {
        $this->begun();
        // 15 of 20 words: 75 %.
        $draft = $this->check($this->students[0], 'As I see it, '.self::SHARED.'. Mine.');
        self::assertSame(['75.0', [[[4, 2, 15]]]], [$draft->share, $draft->found['matches'][0][1] ?? null]);
        $this->get(route('drafts.show', $draft))->assertOk()->assertSee('>the women who mended', false)
            ->assertSee('75.0 %')->assertSee('Work that another student has handed in')
            ->assertSee('What to do about a passage')->assertSee('This is not handed in.')->assertSee('one check left')
            ->assertDontSee($this->students[1]->name)->assertDontSee($this->script($this->assignment, 1)->code);
    }

    public function test_a_draft_is_nobody_else_s_and_nothing_is_ever_compared_with_it(): void
    {
        $this->begun();
        $prints = DB::table('overlap_prints')->count();
        $draft = $this->check(
            $this->students[0], 'My very own draft about salt pans and the tax that was laid upon them in the end.',
        );
        foreach ([$this->students[1], $this->coordinator, $this->tutors[0]] as $other) {
            $this->actingAs($other)->get(route('drafts.show', $draft))->assertForbidden();
        }
        self::assertSame(
            [$prints, 1, 0],
            [
                DB::table('overlap_prints')->count(), Handin::query()->count(),
                $this->script($this->assignment, 0)->handins()->count(),
            ],
        );
        $later = app(TakeHandIn::class)(
            $this->assignment, $this->students[2],
            'My very own draft about salt pans and the tax that was laid upon them in the end.',
        );
        app(CompareHandin::class)($later);
        self::assertSame(0, $later->report()->sole()->matches()->count());
        $own = app(TakeHandIn::class)($this->assignment, $this->students[0], $draft->text);
        app(CompareHandin::class)($own);
        self::assertSame(
            '0.0',
            $this->check(
                $this->students[2], 'Nothing here stands anywhere else at all, I should think and hope.',
            )->share,
        );
        self::assertSame(
            '100.0', $this->check($this->students[0], $draft->text)->share,
            'the other student handed in the same words',
        );
    }

    public function test_the_number_of_checks_is_the_coordinator_s(): void
    {
        $this->begun(1);
        $this->check($this->students[0], 'A first draft of some words.');
        $this->post(
            route('drafts.store', $this->assignment), ['draft_text' => 'A second draft.'],
        )->assertSessionHasErrors(
            [
                'refused' => 'You have used your one check for this assignment. You can still hand in, and replace it until the due time.',
            ]
        );
        $this->get(route('hand-in.show', $this->assignment))->assertSee('You have used your 1 check');
        $this->assignment->update(['self_checks' => 0]);
        $this->get(route('hand-in.show', $this->assignment))->assertDontSee('Check a draft first');
    }

    public function test_what_cannot_be_read_or_compared_uses_no_check_up(): void
    {
        $this->begun();
        $this->actingAs($this->students[0])
            ->post(
                route('drafts.store', $this->assignment),
                ['draft' => [Files::upload("PK\x03\x04broken", 'draft.docx')]],
            )
            ->assertSessionHasErrors('draft');
        self::assertStringContainsString('No check was used up.', session('errors')->first('draft'));
        $this->post(route('drafts.store', $this->assignment))->assertSessionHasErrors('draft');
        self::assertSame(0, DraftCheck::query()->count());
        $draft = DraftCheck::factory()->create(
            [
                'script_id' => $this->script($this->assignment)->id, 'student_id' => $this->students[0]->id,
                'words' => 2, 'text' => 'Two words.', 'notes' => [],
            ]
        );
        (new CompareDraftJob($draft->id))->failed(null);
        $this->get(route('drafts.show', $draft))->assertSee('The comparison failed.')->assertSee('2 checks left');
        Carbon::setTestNow(now()->addDays(2));
        $this->post(
            route('drafts.store', $this->assignment), ['draft_text' => 'Too late.'],
        )->assertSessionHasErrors(['refused' => 'Drafts can be checked until the due time.']);
    }
}
