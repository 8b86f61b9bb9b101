<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Actions\Plan\AddRubric;
use App\Actions\Plan\AddStarterSet;
use App\Enums\Role;
use App\Enums\RubricScope;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\User;
use Tests\Files;
use Tests\TestCase;
use YoungHarbor\Core\Formats\RubricJson;
use YoungHarbor\Core\Rubric\Draft;

final class LibraryTest extends TestCase
{
    private function starter(): void
    {
        app(AddStarterSet::class)(User::factory()->create(['is_admin' => true]));
    }

    public function test_the_starter_set_is_ready_for_everyone_and_added_once(): void
    {
        $this->module();
        $this->starter();
        self::assertSame(
            8, Rubric::query()->where('scope', RubricScope::Institution)->where('state', 'ready')->count(),
        );
        $this->artisan('rubric:starter-set', ['mail' => 'nobody@merrow.example'])->assertFailed();
        $this->artisan('rubric:starter-set', ['mail' => User::query()->where('is_admin', true)->value('email')])
            ->expectsOutputToContain('0 rubrics were added')->assertSuccessful();
        $this->actingAs($this->tutors[0])
            ->get(route('rubrics.show', Rubric::query()->where('title', 'Portfolio')->sole()))->assertOk()
            ->assertDontSee('Open it for changes');
    }

    public function test_it_is_searched_by_words_kind_number_and_shelf(): void
    {
        $this->module();
        $this->starter();
        $this->workingCopy();
        app(AddRubric::class)(Draft::blank('Órgano’s 100%_rubric'), $this->member(Role::Coordinator), null);
        $find = fn (array $wanted) => $this->actingAs($this->coordinator)->get(route('rubrics.index', $wanted))
            ->assertOk();
        $find(['q' => 'sharps waste'])->assertSee('Observed procedure')->assertDontSee('Portfolio');
        $find(['kind' => 'holistic'])->assertSee('Reflection, as a whole')->assertDontSee('Argued essay');
        $find(['kind' => 'scale'])->assertSee('Lab notebook')->assertDontSee('Argued essay');
        $find(['least' => 2, 'most' => 2])->assertSee('Two criteria')->assertDontSee('Portfolio');
        $find(['shelf' => $this->module->public_id])->assertSee('Two criteria')->assertDontSee('Portfolio');
        $find(['q' => '100%_'])->assertSee('Nothing fits', false)->assertDontSee('Órgano');
        $find(['q' => '<script>'])->assertSee('Nothing fits');
    }

    public function test_a_copy_says_where_it_came_from_and_a_personal_one_is_its_owner_s(): void
    {
        $this->module();
        $this->starter();
        $essay = Rubric::query()->where('title', 'Argued essay')->sole();
        $this->actingAs($this->coordinator)->post(route('rubrics.copy', $essay), ['to' => 'own'])->assertRedirect();
        $copy = Rubric::query()->where('scope', RubricScope::Person)->sole();
        self::assertSame(['Argued essay (copy)', $this->coordinator->id], [$copy->title, $copy->owner_id]);
        self::assertStringContainsString('copied from “Argued essay”, version 1', $copy->provenance);
        $this->actingAs($this->member(Role::Coordinator))->get(route('rubrics.show', $copy))->assertForbidden();
        $elsewhere = Module::factory()->create();
        $this->actingAs($this->coordinator)->post(route('rubrics.copy', $essay), ['to' => $elsewhere->public_id])
            ->assertSessionHasErrors('to');
        $this->actingAs($this->tutors[0])->post(route('rubrics.copy', $essay), ['to' => 'own'])->assertForbidden();
    }

    public function test_each_form_is_taken_out_and_brought_in(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->actingAs($this->coordinator);
        foreach (
            [
                'json' => 'two-criteria.json', 'case' => 'two-criteria.case.json', 'csv' => 'two-criteria.csv',
            ] as $form => $name
        ) {
            $answer = $this->get(route('rubrics.file', [$rubric, $form]))->assertOk()->assertDownload($name);
            $this->post(
                route('rubrics.import'),
                ['file' => Files::upload((string) $answer->getContent(), $name), 'to' => $this->module->public_id],
            )->assertSessionHasNoErrors();
            $back = Rubric::query()->latest('id')->firstOrFail();
            self::assertNotSame($rubric->id, $back->id);
            self::assertSame("imported from {$name}", $back->provenance);
            self::assertSame([], $back->draft()->faults());
            self::assertSame(['Argument', 'Evidence'], array_column($back->draft()->criteria(), 'title'));
        }
        $again = fn (): string => (string) $this->get(route('rubrics.file', [$rubric, 'case']))->getContent();
        self::assertSame($again(), $again(), 'identifiers last');
        $pdf = (string) $this->get(route('rubrics.file', [$rubric, 'pdf']))->assertOk()->getContent();
        $path = (string) tempnam(sys_get_temp_dir(), 'pdf');
        file_put_contents($path, $pdf);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($path).' -');
        self::assertMatchesRegularExpression(
            '/Argument\s+60 % of the mark, out of 10 points.*Strong\.\s.*Evidence/s', $text,
        );
        $half = $this->workingCopy('39');
        $this->get(route('rubrics.file', [$half, 'pdf']))->assertSessionHasErrors('refused');
        $this->get(route('rubrics.file', [$half, 'case']))->assertSessionHasErrors('refused');
        $this->get(route('rubrics.file', [$half, 'json']))->assertOk();
        $this->get(route('rubrics.files', $half))->assertSee('When nothing is left to mend')
            ->assertDontSee('Download the CASE file');
        $this->get(route('rubrics.files', $rubric))->assertSee('guidance to the next level: “Argument”');
    }

    public function test_a_faulty_file_is_listed_by_place_and_nothing_is_taken(): void
    {
        $this->module();
        $this->actingAs($this->coordinator);
        $package = json_encode(
            [
                'CFRubrics' => [
                    ['identifier' => 'r', 'title' => 'Good', 'CFRubricCriteria' => []],
                    [
                        'identifier' => '', 'title' => 'Bad',
                        'CFRubricCriteria' => [
                            [
                                'identifier' => 'k', 'rubricId' => 'other', 'weight' => -1,
                                'CFRubricCriterionLevels' => [],
                            ],
                        ],
                    ],
                ],
            ],
            JSON_THROW_ON_ERROR,
        );
        $this->post(
            route('rubrics.import'), ['file' => Files::upload($package, 'two.json'), 'to' => 'own'],
        )->assertSessionHasErrors('file');
        $said = implode("\n", session('errors')->get('file'));
        foreach (
            [
                'Nothing was taken from two.json', 'CFRubrics[1].identifier: is missing',
                'CFRubricCriteria[0].rubricId', 'weight: must be a number',
            ] as $part
        ) {
            self::assertStringContainsString($part, $said);
        }
        $this->post(
            route('rubrics.import'),
            ['file' => Files::upload(str_repeat(' ', RubricJson::MOST_BYTES).'{}', 'big.json'), 'to' => 'own'],
        )->assertSessionHasErrors('file');
        $this->post(
            route('rubrics.import'), ['file' => Files::upload("PK\x03\x04\xff", 'rubric.xlsx'), 'to' => 'own'],
        )->assertSessionHasErrors('file');
        $this->post(route('rubrics.import'), ['to' => 'own'])->assertSessionHasErrors(['file' => 'Choose a file.']);
        self::assertSame(0, Rubric::query()->count());
    }

    public function test_ready_rubrics_of_the_library_can_be_planned_with(): void
    {
        $this->module();
        $this->starter();
        $this->actingAs($this->coordinator)->get(route('plan.create', $this->module))
            ->assertSee('Argued essay, version 1');
        $mine = app(AddRubric::class)(Draft::holistic('Mine'), $this->coordinator, null);
        $this->get(route('plan.create', $this->module))->assertDontSee('Mine, version');
        $this->post(route('rubrics.ready', $mine), ['seen' => 1])->assertSessionHas('said');
        $this->get(route('plan.create', $this->module))->assertSee('Mine, version 1');
    }
}
