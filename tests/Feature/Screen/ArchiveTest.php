<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\CheckDraft;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Screen\CompareDraft;
use App\Enums\Role;
use App\Enums\SourceKind;
use App\Models\Module;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Script;
use Illuminate\Support\Facades\DB;
use Tests\Files;
use Tests\TestCase;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * The archive of earlier cohorts: what joins it, what never does, and how a text is taken out.
 */
final class ArchiveTest extends TestCase
{
    private function report(Script $script): OverlapReport
    {
        return OverlapReport::query()->where('handin_id', $script->refresh()->current_handin_id)->sole();
    }

    private function archived(): int
    {
        return OverlapSource::query()->where('kind', SourceKind::Archive)->whereNull('taken_out_at')->count();
    }

    public function test_a_script_joins_only_when_its_assignment_says_so_and_a_draft_never(): void
    {
        $this->module(1, 3);
        $this->actingAs($this->coordinator);
        $kept = $this->assignment(['screening' => Screening::fromArray(['joins_archive' => true])]);
        app(TakeHandIn::class)($kept, $this->students[0], $this->prose(40, 1));
        app(TakeHandIn::class)($this->assignment(), $this->students[1], $this->prose(40, 2));
        app(CompareDraft::class)(app(CheckDraft::class)($kept, $this->students[2], [$this->prose(40, 3)]));
        self::assertSame(1, $this->archived());
        // A later attempt takes the place of the one before.
        app(TakeHandIn::class)($kept, $this->students[0], $this->prose(40, 4));
        self::assertSame(
            [1, $this->script($kept)->current_handin_id],
            [$this->archived(), OverlapSource::query()->where('kind', SourceKind::Archive)->sole()->handin_id],
        );
        app(SaveAssignment::class)(
            $this->module, $kept, ['screening' => Screening::fromArray(['joins_archive' => false])],
            $kept->refresh()->lock_version,
        );
        self::assertSame([0, 0], [$this->archived(), DB::table('overlap_prints')->where('shelf', 0)->count()]);
    }

    public function test_another_module_s_archive_is_found_and_named_without_code_or_name(): void
    {
        $this->module(1, 2);
        $first = $this->assignment(
            ['screening' => Screening::fromArray(['joins_archive' => true]), 'title' => 'Tides of last year']
        );
        app(TakeHandIn::class)($first, $this->students[0], $this->prose(40, 1));
        $code = $this->script($first)->code;
        $before = $this->students[0];
        [$this->tutors, $this->students] = [[], []];
        $this->module(1, 2);
        $second = $this->assignment();
        app(TakeHandIn::class)($second, $this->students[0], $this->prose(40, 1).' '.$this->prose(20, 9));
        self::assertSame(40, $this->report($this->script($second))->matched);
        $this->actingAs($this->coordinator)->get(route('screen.show', $this->script($second)))
            ->assertSee('Tides of last year')->assertSee('archive, an earlier cohort')->assertDontSee($code)
            ->assertDontSee($before->name);
        $this->screenOtherwise($second, ['archive' => false]);
        $this->post(route('screen.rerun', $second), ['which' => 'all']);
        self::assertSame(0, $this->report($this->script($second))->matched);
    }

    public function test_texts_of_earlier_years_are_added_as_files_once_each(): void
    {
        $this->module(1, 1);
        $this->actingAs($this->coordinator)->get(route('archive.index', $this->module))->assertOk()
            ->assertSee('No text of this module is in the archive');
        $add = fn (array $files) => $this->post(
            route('archive.store', $this->module),
            ['title' => 'Essay on bells', 'cohort' => '2024/25', 'texts' => $files],
        );
        $add(
            [
                Files::upload($this->prose(40, 1), 'one.txt'), Files::upload($this->prose(40, 2), 'two.md'),
                Files::upload("PK\x03\x04broken", 'three.docx'),
            ]
        )->assertSessionHas('said', '2 added.');
        self::assertStringContainsString('Not added: three.docx: ', (string) session('errors')->first('texts'));
        $add(
            [Files::upload($this->prose(40, 1), 'again.txt')]
        )->assertSessionHas('said', '0 added, 1 were there already.');
        $this->get(route('archive.index', $this->module))->assertSee('Essay on bells')->assertDontSee('one.txt');
        $this->post(route('archive.store', $this->module), [])->assertSessionHasErrors(['title', 'cohort', 'texts']);
        // As the page sends many files, a few at a time.
        $files = fn (int $from) => array_map(
            fn (int $n) => Files::upload(
                $n % 4 === 3
                    ? ''
                    : "Essay 1\n\nText {$n} begins by saying that the pans were drawn twice a day in summer. "
                        .$this->prose(20, $n),
                "{$n}.txt",
            ),
            range($from, $from + 9),
        );
        $all = array_map(
            fn (int $from): array => (array) $this->postJson(
                route('archive.store', $this->module),
                ['title' => 'Essay 1', 'cohort' => '2024', 'texts' => $files($from)],
            )->assertOk()->json(),
            [100, 110, 120, 130],
        );
        self::assertSame(
            [30, 0, 10],
            [
                array_sum(array_column($all, 'added')), array_sum(array_column($all, 'already')),
                count(array_merge(...array_column($all, 'refused'))),
            ],
        );
        self::assertStringStartsWith('103.txt: This file is empty', $all[0]['refused'][0]);
        $this->get(route('archive.index', $this->module))
            ->assertSee('Text 100 begins by saying that the pans were drawn twice a day in …')
            ->assertSee('Text 130 begins');
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(40, 2));
        self::assertSame('100.0', $this->report($this->script($assignment))->share);
    }

    public function test_a_text_taken_out_while_a_report_shows_it(): void
    {
        $this->module(1, 2);
        $this->actingAs($this->coordinator)->post(
            route('archive.store', $this->module),
            [
                'title' => 'Essay on bells', 'cohort' => '2024/25',
                'texts' => [Files::upload($this->prose(40, 1), 'one.txt')],
            ],
        );
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(40, 1).' '.$this->prose(40, 2));
        $script = $this->script($assignment);
        self::assertSame('50.0', $this->report($script)->share);
        $source = OverlapSource::query()->where('kind', SourceKind::Archive)->sole();
        $this->post(route('archive.take-out', $source), ['reason' => ''])->assertSessionHasErrors('reason');
        $this->post(
            route('archive.take-out', $source), ['reason' => 'Its author asked for it'],
        )->assertSessionHas('said', 'Taken out of the archive. One report was worked out without it.');
        self::assertSame(['0.0', 80], [$this->report($script)->share, $this->report($script)->counted]);
        $this->get(route('screen.show', $script))->assertOk()->assertSee('A source was taken out')
            ->assertSee('Essay on bells')->assertDontSee('The whole source');
        $this->get(route('archive.index', $this->module))->assertSee('Its author asked for it');
        self::assertSame(['', 0], [$source->refresh()->text, DB::table('overlap_prints')->where('shelf', 0)->count()]);
        app(TakeHandIn::class)($assignment, $this->students[1], $this->prose(40, 1));
        self::assertSame(
            '50.0', $this->report($script)->share, 'the other hand-in has the words; what was taken out has not',
        );
        $this->get(route('logbook', $this->module))->assertSee('took a text out of the archive');
    }

    public function test_who_may_not_touch_the_archive(): void
    {
        $this->module(1, 1);
        $this->actingAs($this->coordinator)->post(
            route('archive.store', $this->module),
            ['title' => 'Bells', 'cohort' => '2024', 'texts' => [Files::upload($this->prose(40, 1), 'one.txt')]],
        );
        $source = OverlapSource::query()->sole();
        foreach (
            [
                $this->tutors[0], $this->students[0], $this->member(Role::Examiner),
                $this->member(Role::Coordinator, Module::factory()->create()),
            ] as $person
        ) {
            $this->actingAs($person)->post(route('archive.take-out', $source), ['reason' => 'x'])->assertForbidden();
            $this->get(route('archive.index', $this->module))->assertForbidden();
        }
        self::assertSame(1, $this->archived());
    }
}
