<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Actions\Peers\AddTrialScript;
use App\Actions\Peers\SaveContribution;
use App\Actions\Peers\SaveRound;
use App\Actions\Reflect\SaveSheet;
use App\Enums\HandInBy;
use App\Models\Assignment;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Membership;
use App\Models\Module;
use App\Models\ReflectionSheet;
use App\Models\Round;
use App\Models\Script;
use App\Models\WritingBaseline;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Peers\ContributionSettings;
use YoungHarbor\Core\Peers\RoundSettings;
use YoungHarbor\Core\Release\ModulePlan;
use YoungHarbor\Core\Release\SheetSettings;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * A module copied for another year: everything that was planned, nobody and nothing that came of it.
 */
final class CopyModuleTest extends TestCase
{
    private function copied(string $weeks = '52'): Module
    {
        $this->actingAs($this->coordinator)->post(route('modules.copy.store', $this->module), [
            'code' => 'HT211', 'title' => 'Another year', 'weeks' => $weeks,
        ])->assertSessionHasNoErrors();

        $this->actingAs($this->coordinator->fresh() ?? $this->coordinator);

        return Module::query()->where('code', 'HT211')->sole();
    }

    public function test_what_was_planned_is_copied_with_dates_moved_and_nobody_s_work_or_marks(): void
    {
        Carbon::setTestNow('2026-10-20 08:00:00');
        $this->module(2, 3);
        $assignment = $this->released();
        $second = $this->assignment(['title' => 'Exam', 'due_at' => '2026-10-26 12:00:00', 'closes_at' => '2026-10-27 12:00:00']);
        $set = BankSet::query()->create(['module_id' => $this->module->id, 'title' => 'Ours', 'owner_id' => $this->coordinator->id]);
        BankComment::query()->create([
            'bank_set_id' => $set->id, 'label' => 'Whose?', 'text' => 'Say whose.', 'kind' => 'fix', 'used' => 9,
            'saved_by' => $this->coordinator->id,
        ]);
        $baseline = WritingBaseline::query()->create(['module_id' => $this->module->id, 'name' => 'Trusted', 'language' => 'English']);
        $baseline->texts()->create([
            'title' => 'One', 'text' => 'x', 'sha256' => str_repeat('0', 64), 'words' => 1, 'added_version' => 1,
            'added_by' => $this->coordinator->id,
        ]);
        $assignment->update(['writing_baseline_id' => $baseline->id]);
        $this->module->update(['mark_plan' => ModulePlan::fromArray(['parts' => [
            ['id' => $assignment->public_id, 'title' => 'Salt', 'weight' => '60', 'of' => [$assignment->public_id],
                'resit' => ['of' => $second->public_id, 'cap' => '40']],
            ['id' => 'p2', 'title' => 'x', 'weight' => '40', 'of' => ['gone']],
        ]])]);
        $round = app(SaveRound::class)($second, null, 'Peers', RoundSettings::fromArray(['each' => 2]), [
            'begins_at' => Carbon::parse('2026-10-26 09:00:00'), 'due_at' => Carbon::parse('2026-10-28 12:00:00'),
            'answers_due_at' => null,
        ], $this->coordinator);
        $choices = CriterionMarks::usual()->with('c1', CriterionMark::fromArray(['level' => 'l2'], 'c'))
            ->with('c2', CriterionMark::fromArray(['level' => 'l2'], 'c'));
        app(AddTrialScript::class)($round, 'A wall', 'The wall is old.', $choices, $this->coordinator);
        $second->update(['handin_by' => HandInBy::GroupOneMark]);
        app(SaveContribution::class)(
            $second->refresh(), ContributionSettings::fromArray(['weight' => 30]), Carbon::parse('2026-10-27 12:00:00'), $this->coordinator,
        );
        app(SaveSheet::class)(
            $this->module, null, 'A week', SheetSettings::usual(), Carbon::parse('2026-10-26 18:00:00'), $this->coordinator,
        );
        $new = $this->copied();
        $sheet = ReflectionSheet::query()->where('module_id', $new->id)->sole();
        self::assertSame(['A week', null, 'Mon 25 Oct 2027 18:00'], [$sheet->title, $sheet->opened_at, LocalTime::shown($sheet->due_at)]);
        $parts = $new->assignments()->where('title', 'Exam')->sole()->contribution;
        self::assertSame([30, null], [$parts?->settings->weight, $parts?->opened_at]);
        self::assertSame($this->module->id, $new->copied_from_id);
        $copied = Round::query()->whereIn('assignment_id', $new->assignments()->select('id'))->with('trials')->sole();
        self::assertSame(['Peers', null, 'Mon 25 Oct 2027 09:00'], [$copied->title, $copied->opened_at, LocalTime::shown($copied->begins_at)]);
        self::assertSame('The wall is old.', $copied->trials->sole()->text);
        self::assertNotSame($round->seed, $copied->seed);
        self::assertSame(['Salt', 'Exam'], $new->assignments()->orderBy('due_at')->pluck('title')->all());
        $copy = $new->assignments()->where('title', 'Exam')->sole();
        // 12:00 in London stays 12:00 there: a year later the clocks have changed a day sooner.
        self::assertSame('Mon 25 Oct 2027 12:00', LocalTime::shown($copy->due_at));
        self::assertSame(
            [null, null, null], [$copy->published_at, $copy->results_out_at, $copy->names_revealed_at],
        );
        self::assertSame(0, Script::query()->whereIn('assignment_id', $new->assignments()->select('id'))->count());
        self::assertSame([$this->coordinator->id], Membership::query()->where('module_id', $new->id)->pluck('user_id')->all());
        // Its own rubrics, ready, and the assignments use them.
        self::assertSame($this->module->rubrics()->count(), $new->rubrics()->count());
        self::assertSame($new->id, $copy->rubricVersion?->rubric->module_id);
        self::assertEquals($second->rubricVersion?->document, $copy->rubricVersion->document);
        $bank = BankComment::query()->whereIn('bank_set_id', BankSet::query()->where('module_id', $new->id)->select('id'))->sole();
        self::assertSame(['Say whose.', 0], [$bank->text, $bank->refresh()->used]);
        $salt = $new->assignments()->where('title', 'Salt')->sole();
        self::assertSame($new->id, $salt->writingBaseline?->module_id);
        self::assertSame(1, $salt->writingBaseline->texts()->count());
        $part = $new->mark_plan->parts[0];
        self::assertSame([[$salt->public_id], $copy->public_id], [$part->of, $part->resitOf]);
        $this->get(route('modules.show', $new))->assertOk()->assertSee('To decide in this copy')->assertSee('no students yet')
            ->assertSee('Exam: not open to students yet')->assertSee('no closure days yet');
        self::assertSame(0, $this->artisan('logbook:verify')->run());
    }

    public function test_dates_that_fall_badly_are_listed_until_they_are_settled(): void
    {
        Carbon::setTestNow('2026-10-20 08:00:00');
        $this->module(1, 1);
        $this->assignment(['title' => 'Exam', 'due_at' => '2026-10-30 12:00:00', 'closes_at' => '2026-10-31 12:00:00']);
        $new = $this->copied('10');
        $page = fn () => $this->get(route('modules.show', $new))->assertOk();
        $page()->assertSee('it closes on a weekend, Sat 9 Jan 2027');
        Carbon::setTestNow('2027-02-01 08:00:00');
        $page()->assertSee('its due time is past, Fri 8 Jan 2027');
        Assignment::query()->where('module_id', $new->id)->update([
            'due_at' => '2027-03-01 12:00:00', 'closes_at' => '2027-03-02 12:00:00', 'published_at' => now(),
        ]);
        $page()->assertDontSee('Exam: ');
        // The module it was copied from says nothing of the kind.
        $this->get(route('modules.show', $this->module))->assertDontSee('To decide in this copy');
    }

    public function test_only_a_coordinator_copies_and_what_is_wrong_is_said(): void
    {
        $this->module(1, 1);
        $this->actingAs($this->tutors[0])->get(route('modules.copy', $this->module))->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('modules.copy', $this->module))->assertOk()->assertSee('What is not');
        $this->post(route('modules.copy.store', $this->module), ['code' => '', 'title' => 'x', 'weeks' => '0'])
            ->assertSessionHasErrors(['code', 'weeks']);
        self::assertSame(1, Module::query()->count());
    }
}
