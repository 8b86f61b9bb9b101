<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Screen\CompareHandin;
use App\Documents\ScriptText;
use App\Models\Assignment;
use App\Models\LevelNote;
use App\Models\Mark;
use App\Models\MarkComment;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * What a marker has at hand on the desk, and what not.
 */
final class DeskPageTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $fields
     */
    private function deskOf(string $text, array $fields = []): Mark
    {
        $this->module(2, 1);
        $assignment = $this->assignment($fields);
        app(TakeHandIn::class)($assignment, $this->students[0], $text);
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);

        return $this->markOf($this->script($assignment), Seat::First);
    }

    public function test_text_from_right_to_left_keeps_its_direction_and_its_places(): void
    {
        $mark = $this->deskOf("كانت الملاحة على الشاطئ.\n\nA line in English, and ‏שתי‏ words within. 😀 Then more.");
        $text = ScriptText::of($mark->handin);
        foreach (['الملاحة', 'שתי', 'Then more'] as $words) {
            $start = (int) mb_strpos($text, $words);
            $id = Str::uuid()->toString();
            $this->actingAs($mark->marker)->patchJson(
                route('mark.sync', $mark),
                [
                    'changes' => [
                        [
                            'key' => "note:{$id}", 'was' => null,
                            'now' => [
                                'body' => 'תודה',
                                'anchor' => ['exact' => $words, 'start' => $start, 'end' => $start + mb_strlen($words)],
                            ],
                        ],
                    ],
                ],
            )
                ->assertJsonPath("outcomes.note:{$id}.state", 'saved');
            $this->getJson(route('mark.news', [$mark, 'version' => 0]))->assertJsonPath(
                "notes.{$id}.place", [$start, $start + mb_strlen($words)],
            );
        }
        $this->get(route('mark.desk', $mark))->assertOk()->assertSee('<article class="text" dir="auto">', false)
            ->assertSee('الملاحة');
    }

    public function test_what_screening_found_is_at_hand_only_when_the_assignment_lets_markers_see_it(): void
    {
        $mark = $this->deskOf($this->prose(60, 3), ['screening' => Screening::fromArray(['seen' => 'after'])]);
        app(CompareHandin::class)($mark->handin);
        $overlap = route('screen.show', $mark->script);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertDontSee($overlap);
        $this->finish($mark, 'l2', 'l2');
        $this->get(route('mark.desk', $mark))->assertSee($overlap);
        $this->screenOtherwise(Assignment::query()->sole(), ['seen' => 'never']);
        $this->get(route('mark.desk', $mark->fresh() ?? $mark))->assertDontSee($overlap);
    }

    public function test_brief_agreed_levels_and_the_marks_of_nobody_else_are_at_hand(): void
    {
        $mark = $this->deskOf('An essay.', ['brief' => 'Write about salt, and about who carried it.']);
        LevelNote::factory()->create(
            [
                'assignment_id' => $mark->assignment_id, 'criterion' => 'c1', 'text' => 'High: an objection is met.',
                'saved_by' => $this->coordinator->id,
            ]
        );
        $second = $this->markOf($mark->script, Seat::Second);
        MarkComment::factory()->create(
            [
                'mark_id' => $second->id, 'kind' => 'fix', 'body' => 'Of the second marker alone.',
                'anchor' => [
                    'exact' => 'essay', 'prefix' => '', 'suffix' => '', 'start' => 3, 'end' => 8, 'version' => '',
                ],
            ]
        );
        $page = $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk();
        $page->assertSee('who carried it')->assertSee('High: an objection is met.')->assertSee('2 words')
            ->assertDontSee('Of the second marker alone.');
        $this->getJson(route('mark.news', [$mark, 'version' => 0]))->assertJsonPath('notes', []);
        $this->get(route('mark.annotations', $second))->assertForbidden();
        $this->get(route('mark.rubric', $mark))->assertOk()->assertSee('Strong.')->assertDontSee('reached');
        $this->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'l3']);
        $this->get(route('mark.rubric', $mark))->assertSee('reached');
    }

    public function test_points_by_hand_work_without_a_page_script_and_need_their_reason(): void
    {
        $mark = $this->deskOf('An essay.');
        $this->actingAs($mark->marker)
            ->put(route('mark.choose', [$mark, 'c1']), ['own_points' => '6.5', 'own_reason' => ''])
            ->assertSessionHasErrors('refused');
        self::assertSame([], $mark->refresh()->choices->toArray());
        $this->put(
            route('mark.choose', [$mark, 'c1']),
            [
                'stop' => 'l2', 'own_points' => '6.5', 'own_reason' => 'Between, nearer to the middle.',
                'comment' => 'Good.',
            ],
        )->assertSessionHasNoErrors();
        self::assertSame(
            ['points' => '6.5', 'reason' => 'Between, nearer to the middle.', 'comment' => 'Good.'],
            $mark->refresh()->choices->on('c1')->toArray(),
        );
        $this->put(
            route('mark.choose', [$mark, 'c1']), ['own_points' => '10.5', 'own_reason' => 'Too good.'],
        )->assertSessionHasErrors('refused');
        $this->get(route('mark.desk', $mark))->assertSee('6.5 points, set by hand')->assertSee('6.5 of 10 × 60 %');
    }
}
