<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Actions\Plan\EditRubric;
use App\Enums\Role;
use App\Models\Rubric;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/**
 * The sheet as its page script uses it: fields one by one, shape changes, undo, a second editor, a pasted table.
 */
final class RubricEditingTest extends TestCase
{
    /**
     * @param  array<string, array{string, string}>  $changes  place => [was, to]
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function send(Rubric $rubric, array $changes = [], string $do = '', ?User $as = null): TestResponse
    {
        $list = array_map(
            fn (string $place, array $change) => ['place' => $place, 'was' => $change[0], 'to' => $change[1]],
            array_keys($changes), $changes,
        );

        return $this->actingAs($as ?? $this->coordinator)->withHeader('HX-Request', 'true')
            ->put(
                route('rubrics.update', $rubric),
                ['changes' => json_encode($list, JSON_THROW_ON_ERROR), 'do' => $do, 'cells' => 'descriptors'],
            );
    }

    public function test_a_field_is_saved_by_itself_and_the_side_answers(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->send($rubric, ['criteria.c1.weight' => ['60', '59,5']])->assertOk()->assertSee('99.5 of 100')
            ->assertDontSee('rubric-title');
        self::assertSame(
            ['59.5', 'Argument'],
            [$rubric->refresh()->draft()->get('criteria.c1.weight'), $rubric->draft()->get('criteria.c1.title')],
        );
    }

    public function test_the_shape_changes_and_the_whole_sheet_answers(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->send($rubric, ['criteria.c2.title' => ['Evidence', 'Sources']], 'add-criterion:c1')
            ->assertHeader('HX-Retarget', '#sheet')->assertSee('Sources');
        self::assertSame(['c1', 'c3', 'c2'], array_column($rubric->refresh()->draft()->criteria(), 'id'));
    }

    public function test_two_people_in_different_fields_both_keep_their_words_and_in_the_same_field_choose(): void
    {
        $this->module();
        $other = $this->member(Role::Coordinator);
        $rubric = $this->workingCopy();
        $this->send(
            $rubric, ['criteria.c1.title' => ['Argument', 'Theirs'], 'criteria.c1.purpose' => ['', 'Their purpose']],
            as: $other,
        );
        $this->send(
            $rubric,
            ['criteria.c2.title' => ['Evidence', 'Mine elsewhere'], 'criteria.c1.title' => ['Argument', 'Mine']],
        )
            ->assertStatus(409)->assertHeader('HX-Retarget', '#clashes')->assertSee($other->name)->assertSee('Mine')
            ->assertSee('Theirs')->assertSee('data-clash="criteria.c1.title"', false);
        $draft = $rubric->refresh()->draft();
        self::assertSame(
            ['Theirs', 'Mine elsewhere', 'Their purpose'],
            [$draft->get('criteria.c1.title'), $draft->get('criteria.c2.title'), $draft->get('criteria.c1.purpose')],
        );

        $this->send($rubric, ['criteria.c1.title' => ['Theirs', 'Mine']])->assertOk();
        self::assertSame('Mine', $rubric->refresh()->draft()->get('criteria.c1.title'));
    }

    public function test_one_is_told_who_else_is_here_and_what_they_wrote(): void
    {
        $this->module();
        $other = $this->member(Role::Coordinator);
        $rubric = $this->workingCopy();
        $this->actingAs($other)->get(route('rubrics.news', [$rubric, 'seen' => 1]))
            ->assertJson(['version' => 1, 'others' => [], 'fields' => null]);
        $this->send($rubric, ['criteria.c1.title' => ['Argument', 'Theirs']], as: $other);
        $this->actingAs($this->coordinator)->get(route('rubrics.news', [$rubric, 'seen' => 1]))
            ->assertJson(['version' => 2, 'others' => [$other->name], 'by' => $other->name])
            ->assertJsonPath('fields', fn (array $fields) => $fields['criteria.c1.title'] === 'Theirs');
        Carbon::setTestNow(now()->addMinute());
        $this->get(route('rubrics.news', [$rubric, 'seen' => 2]))->assertJson(['others' => []]);
    }

    public function test_steps_are_undone_and_done_again_also_later(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->send($rubric, do: 'remove-criterion:c2');
        $this->send($rubric, ['criteria.c1.weight' => ['60', '100']]);
        $this->get(route('rubrics.show', $rubric))->assertOk();
        $this->send($rubric, do: 'undo')->assertSee('undo: removed criterion “Evidence”');
        $this->send($rubric, do: 'undo');
        self::assertSame($this->rubricDocument(), $rubric->refresh()->document);
        $this->send($rubric, do: 'undo')->assertSee('nothing to undo');
        $this->send($rubric, do: 'redo');
        $this->send($rubric, do: 'redo');
        self::assertSame(['100'], array_column($rubric->refresh()->draft()->criteria(), 'weight'));

        $this->send($rubric, do: 'undo');
        $this->send($rubric, ['title' => ['Two criteria', 'Another way']]);
        $this->send($rubric, do: 'redo');
        self::assertSame(
            '60', $rubric->refresh()->draft()->get('criteria.c1.weight'), 'a new step takes the place of those undone',
        );
    }

    public function test_fifty_steps_are_kept_and_writing_on_in_a_field_is_one(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        foreach (range(1, 60) as $n) {
            $this->send($rubric, do: 'duplicate-criterion:c1');
        }
        self::assertSame(EditRubric::STEPS + 1, $rubric->steps()->count());
        $steps = $rubric->refresh()->step;
        $this->send($rubric, ['criteria.c1.title' => ['Argument', 'Arg']]);
        $this->send($rubric, ['criteria.c1.title' => ['Arg', 'Argued']]);
        self::assertSame($steps + 1, $rubric->refresh()->step);
        Carbon::setTestNow(now()->addMinutes(2));
        $this->send($rubric, ['criteria.c1.title' => ['Argued', 'Argued well']]);
        self::assertSame($steps + 2, $rubric->refresh()->step);
    }

    public function test_a_table_is_shown_before_it_changes_anything_and_can_be_undone(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $table = "\tLow (1)\tHigh (9)\tWeight\nVoice\tFlat\tAlive\t70\nPace\tSlow\tQuick\t30";
        $this->actingAs($this->coordinator)->withHeader('HX-Request', 'true')
            ->post(route('rubrics.paste', $rubric), ['pasted' => $table])
            ->assertSee('2 criteria by 2 levels')->assertSee('Column 4 gives the weights');
        self::assertSame(1, $rubric->refresh()->lock_version);
        $this->post(route('rubrics.paste', $rubric), ['pasted' => 'no'.chr(0xFF)])->assertSessionHasErrors('pasted');

        $this->withHeader('HX-Request', '')
            ->post(route('rubrics.paste.apply', $rubric), ['pasted' => $table, 'how' => 'replace'])
            ->assertRedirect(route('rubrics.show', $rubric));
        self::assertSame([], $rubric->refresh()->draft()->faults());
        self::assertSame(['Voice', 'Pace'], array_column($rubric->draft()->criteria(), 'title'));
        $this->send($rubric, do: 'undo');
        self::assertSame($this->rubricDocument(), $rubric->refresh()->document);
    }

    public function test_every_kind_is_drawn_in_every_view_of_the_cells(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $rubric->update(['document' => (require database_path('demo/rubrics.php'))['walk']]);
        foreach (
            [
                'descriptors' => 'Seen, measured and placed', 'guidance' => 'find the place where the map is wrong',
                'points' => 'not used',
            ] as $cells => $seen
        ) {
            $this->actingAs($this->coordinator)->get(route('rubrics.show', [$rubric, 'cells' => $cells]))->assertOk()
                ->assertSee($seen)->assertSee('Noted tide and time')->assertSee('6–8');
        }
        $this->get(route('rubrics.try', $rubric))->assertOk()->assertSee('does not apply')
            ->assertSee('none of it was done');
        // 40 × 8/10, 20 × 7/8, 20 × 3/5 and the photographs left out: 61.5 of 80 is 76.875.
        $this->post(
            route('rubrics.try', $rubric),
            [
                'marks' => [
                    'c1' => ['stop' => 'l4'], 'c2' => ['stop' => 'l3', 'points' => '7'],
                    'c3' => ['done' => ['s1' => '1', 's3' => '1']], 'c4' => ['na' => '1'],
                ],
            ],
        )
            ->assertOk()->assertSee('76.9')->assertSee('does not apply to this script');
        $this->post(route('rubrics.try', $rubric), ['marks' => ['c4' => ['points' => '99']]])->assertOk()
            ->assertSee('must lie from 0 to 10, not 99');
        $this->get(route('rubrics.students', $rubric))->assertOk()->assertSee('6 to 8')
            ->assertSee('Asked the harbour office');
        $this->send($rubric, ['points_shown' => ['1', '']]);
        $this->withHeader('HX-Request', '')->get(route('rubrics.students', $rubric))->assertDontSee('6 to 8')
            ->assertSee('Points are hidden');
    }

    public function test_versions_say_what_changed_between_them_and_where_each_is_used(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $rubric = $assignment->rubricVersion?->rubric;
        self::assertInstanceOf(Rubric::class, $rubric);
        $this->actingAs($this->coordinator)->post(route('rubrics.state', $rubric), ['state' => 'working-copy']);
        $this->send(
            $rubric,
            ['criteria.c2.weight' => ['40', '30'], 'criteria.c1.descriptors.l2' => ['Some.', 'Some, in part.']],
            'duplicate-criterion:c1',
        );
        $this->send(
            $rubric, ['criteria.c3.title' => ['Argument (copy)', 'Answering'], 'criteria.c3.weight' => ['0', '10']],
            'place-criterion:c2:0',
        );
        $this->withHeader('HX-Request', '')->get(route('rubrics.versions', $rubric))->assertOk()
            ->assertSee('Being changed now, since version 1')
            ->assertSee('Criterion “Evidence”, weight')->assertSee('Some, in part.')->assertSee('(not there)')
            ->assertSee('Answering')->assertSee('Order of the criteria')->assertSee('Evidence, Argument')
            ->assertSee('Used by')->assertSee($assignment->title);
        $this->post(
            route('rubrics.ready', $rubric), ['seen' => $rubric->refresh()->lock_version],
        )->assertSessionHasNoErrors();
        $this->actingAs($this->tutors[0])->get(route('rubrics.versions', $rubric))->assertOk()->assertSee('Version 2')
            ->assertSee('Used by no assignment');
    }

    public function test_a_form_that_was_cut_off_or_made_up_changes_nothing(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $put = fn (string $changes) => $this->actingAs($this->coordinator)->withHeader('HX-Request', 'true')
            ->put(route('rubrics.update', $rubric), ['changes' => $changes]);
        foreach (['[{"place":"title","was":"Two cri', '"title"', '[{"place":"title"}]', '[5]'] as $broken) {
            $put($broken)->assertStatus(422)->assertSee('cut off on its way');
        }
        $put(
            '[{"place":"criteria.c9.title","was":"","to":"x"},{"place":"lock_version","was":"","to":"9"},{"place":"criteria.c1.id","was":"","to":"x"}]'
        )->assertOk();
        self::assertSame([$this->rubricDocument(), 1], [$rubric->refresh()->document, $rubric->lock_version]);
        $this->send($rubric, do: 'remove-criterion:c9');
        $this->send($rubric, do: 'place-criterion:c1:999999');
        $this->send($rubric, do: 'nonsense:c1');
        self::assertSame(['c2', 'c1'], array_column($rubric->refresh()->draft()->criteria(), 'id'));
    }

    public function test_too_much_text_is_refused_and_nothing_changes(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->send($rubric, ['criteria.c1.descriptors.l1' => ['None.', str_repeat('word ', 900_000)]])
            ->assertStatus(422)->assertSee('more text than a rubric can hold');
        $this->send($rubric, ['criteria.c1.title' => ['Argument', str_repeat('x', 10_000)]])->assertOk()
            ->assertSee('has 10000 characters; at most 200 are kept');
        self::assertSame('None.', $rubric->refresh()->draft()->get('criteria.c1.descriptors.l1'));
    }
}
