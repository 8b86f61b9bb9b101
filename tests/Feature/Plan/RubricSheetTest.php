<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Enums\Role;
use App\Models\Rubric;
use LogicException;
use Tests\TestCase;

final class RubricSheetTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function sent(Rubric $rubric, array $fields = []): array
    {
        return ['whole' => '1', 'seen' => $rubric->lock_version, 'title' => $rubric->title, ...$fields];
    }

    public function test_a_rubric_is_begun_saved_and_made_ready(): void
    {
        $this->module();
        $this->actingAs($this->coordinator)->post(
            route('rubrics.store'), ['title' => 'Essay', 'to' => $this->module->public_id],
        );
        $rubric = Rubric::query()->sole();
        $this->get(route('rubrics.show', $rubric))->assertOk()->assertSee('0 of 100');
        $this->put(
            route('rubrics.update', $rubric),
            $this->sent(
                $rubric,
                [
                    'criteria' => [
                        'c1' => ['title' => 'Argument', 'weight' => '100', 'descriptors' => ['l1' => 'None.']],
                    ],
                ],
            ),
        )
            ->assertRedirect();
        $rubric->refresh();
        $this->post(route('rubrics.ready', $rubric), ['seen' => $rubric->lock_version])
            ->assertSessionHas('said', 'Version 1 is ready. It can be used in assignments and no longer changes.');
        $version = $rubric->latestVersion()->sole();
        self::assertSame(hash('sha256', json_encode($version->document, JSON_THROW_ON_ERROR)), $version->hash);
        $this->expectException(LogicException::class);
        $version->update(['number' => 9]);
    }

    public function test_at_99_5_it_is_refused_with_the_difference_and_kept_as_it_is(): void
    {
        $this->module();
        $rubric = $this->workingCopy('39.5');
        $this->actingAs($this->coordinator)->post(route('rubrics.ready', $rubric), ['seen' => 1])
            ->assertSessionHasErrors(['ready' => 'The weights total 99.5 %, 0.5 short of 100']);
        self::assertSame(
            ['working-copy', '39.5'], [$rubric->refresh()->state->value, $rubric->document['criteria'][1]['weight']],
        );
        $this->get(route('rubrics.show', $rubric))->assertSee('99.5 of 100')->assertSee('0.5 to place');
        $this->put(route('rubrics.update', $rubric), $this->sent($rubric, ['do' => 'spread']));
        self::assertSame(['60.25', '39.75'], array_column($rubric->refresh()->document['criteria'], 'weight'));
    }

    public function test_faults_are_named_by_the_criterions_title_and_bad_numbers_are_kept(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->actingAs($this->coordinator)->put(
            route('rubrics.update', $rubric), $this->sent($rubric, ['criteria' => ['c2' => ['weight' => '33,33,3']]]),
        );
        $this->post(route('rubrics.ready', $rubric), ['seen' => 2])->assertSessionHasErrors('ready');
        self::assertStringContainsString(
            'Criterion “Evidence”, weight: must be a number such as "12.5"',
            implode(' ', session('errors')->get('ready')),
        );
        $this->get(route('rubrics.show', $rubric))->assertSee('33,33,3');
    }

    public function test_two_people_saving_one_rubric_lose_nothing(): void
    {
        $this->module();
        $other = $this->member(Role::Coordinator);
        $rubric = $this->workingCopy();
        $this->actingAs($other)->put(
            route('rubrics.update', $rubric), $this->sent($rubric, ['criteria' => ['c1' => ['title' => 'Theirs']]]),
        )
            ->assertRedirect();

        // Without a page script the whole sheet is sent: both versions are shown, place by place.
        $this->actingAs($this->coordinator)->put(
            route('rubrics.update', $rubric), $this->sent($rubric, ['criteria' => ['c1' => ['title' => 'Mine']]]),
        )
            ->assertStatus(409)
            ->assertSee("{$other->name} saved this rubric")
            ->assertSee('criterion “Mine”, title')
            ->assertSee('Theirs');
        self::assertSame('Theirs', $rubric->refresh()->document['criteria'][0]['title'], 'nothing was overwritten');

        $this->put(
            route('rubrics.update', $rubric),
            ['seen' => 2] + $this->sent($rubric, ['criteria' => ['c1' => ['title' => 'Mine']]]),
        )->assertRedirect();
        self::assertSame(
            'Mine', $rubric->refresh()->document['criteria'][0]['title'], 'and one can say whose words stand',
        );
    }

    public function test_what_was_cut_off_on_its_way_is_not_saved(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->actingAs($this->coordinator)->put(route('rubrics.update', $rubric), ['seen' => 1, 'title' => 'Half'])
            ->assertSessionHasErrors('refused');
        self::assertSame('Two criteria', $rubric->refresh()->title);
    }

    public function test_a_ready_rubric_changes_only_as_a_new_version_and_assignments_keep_theirs(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $rubric = $assignment->rubricVersion?->rubric;
        self::assertNotNull($rubric);
        $this->actingAs($this->coordinator)->put(
            route('rubrics.update', $rubric), $this->sent($rubric, ['criteria' => ['c1' => ['title' => 'Changed']]]),
        )
            ->assertSessionHasErrors('refused');
        $this->post(route('rubrics.state', $rubric), ['state' => 'working-copy']);
        $this->put(
            route('rubrics.update', $rubric),
            $this->sent($rubric->refresh(), ['criteria' => ['c1' => ['title' => 'Changed']]]),
        );
        $this->post(route('rubrics.ready', $rubric), ['seen' => $rubric->refresh()->lock_version]);

        self::assertSame(2, $rubric->versions()->count());
        self::assertSame('Argument', $assignment->refresh()->rubricVersion?->document['criteria'][0]['title']);
    }

    public function test_what_is_typed_is_shown_never_run(): void
    {
        $this->module();
        $rubric = $this->workingCopy();
        $this->actingAs($this->coordinator)->put(
            route('rubrics.update', $rubric),
            $this->sent(
                $rubric,
                [
                    'criteria' => [
                        'c1' => [
                            'title' => '<script>alert(1)</script>',
                            'descriptors' => ['l1' => '"><img src=x onerror=alert(1)>'],
                        ],
                    ],
                ],
            ),
        );
        $page = (string) $this->get(route('rubrics.show', $rubric))->getContent();
        self::assertStringNotContainsString('<script>alert', $page);
        self::assertStringNotContainsString('<img', $page);
        self::assertStringContainsString('&lt;script&gt;alert', $page);
    }
}
