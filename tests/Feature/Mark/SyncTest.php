<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Actions\Release\ReleaseResults;
use App\Documents\ScriptText;
use App\Models\Mark;
use App\Models\MarkComment;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * What the page of the desk and the server tell each other.
 */
final class SyncTest extends TestCase
{
    private Mark $mark;

    protected function setUp(): void
    {
        parent::setUp();
        $this->module();
        $this->mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($this->mark->marker);
    }

    /**
     * @param  list<array<string, mixed>>  $changes
     * @param  array<string, mixed>  $more
     */
    private function send(array $changes, array $more = []): TestResponse
    {
        return $this->patchJson(route('mark.sync', $this->mark), ['changes' => $changes, ...$more]);
    }

    /**
     * @return array<string, mixed>
     */
    private function anchor(int $start, int $end): array
    {
        $text = ScriptText::of($this->mark->handin);

        return [
            'exact' => mb_substr($text, $start, $end - $start), 'prefix' => '', 'suffix' => '', 'start' => $start,
            'end' => $end,
        ];
    }

    public function test_what_a_page_sends_by_itself_takes_no_message_away_and_keeps_its_person_signed_in(): void
    {
        $mark = $this->mark;
        $this->post(route('mark.aside', $mark), ['reason' => 'The third page is missing.'])->assertSessionHas('said');
        $said = (string) session('said');
        foreach (range(1, 3) as $n) { // saves that were under way
            $this->getJson(route('mark.news', [$mark, 'version' => 0]))->assertOk();
        }
        $this->get(route('mark.desk', $mark))->assertSee($said);
        $this->get(route('mark.desk', $mark))->assertDontSee($said);
        $kept = (int) session('kept_at');
        Carbon::setTestNow(now()->addMinutes(4));
        $this->getJson(route('mark.news', [$mark, 'version' => 0]));
        self::assertSame($kept, (int) session('kept_at'));
        Carbon::setTestNow(now()->addMinutes(2));
        $this->getJson(route('mark.news', [$mark, 'version' => 0]));
        self::assertGreaterThan($kept, (int) session('kept_at'), 'a marker who only saves for hours stays signed in');
    }

    public function test_changes_are_saved_just_as_typed_and_the_total_comes_back(): void
    {
        $this->send([
            ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l2~l3']],
            ['key' => 'words:c1', 'was' => '', 'now' => ' Nearly, '],
            ['key' => 'general', 'was' => '', 'now' => "Two\nlines, and a space "],
            ['key' => 'private', 'was' => '', 'now' => 'Ask Lin.'],
        ])->assertOk()->assertJsonPath('outcomes.mark:c1.state', 'saved')->assertSee('45.0');
        $this->mark->refresh();
        self::assertSame(
            ['between' => ['l2', 'l3'], 'points' => '7.5', 'comment' => ' Nearly, '],
            $this->mark->choices->on('c1')->toArray(),
        );
        self::assertSame(
            ["Two\nlines, and a space ", 'Ask Lin.'], [$this->mark->general_comment, $this->mark->private_note],
        );
        $this->send(
            [['key' => 'mark:c1', 'was' => ['stop' => 'l2~l3'], 'now' => []]]
        )->assertJsonPath('outcomes.mark:c1.state', 'saved');
        self::assertSame(['comment' => ' Nearly, '], $this->mark->refresh()->choices->on('c1')->toArray());
    }

    public function test_the_same_change_sent_twice_is_the_same(): void
    {
        $change = [
            ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l3']],
            ['key' => 'general', 'was' => '', 'now' => 'Good.'],
            [
                'key' => 'note:'.$id = Str::uuid()->toString(), 'was' => null,
                'now' => ['body' => 'Once.', 'kind' => 'praise', 'anchor' => $this->anchor(0, 5)],
            ],
        ];
        foreach ([1, 2] as $ignored) {
            $this->send($change)->assertOk()->assertJsonPath('outcomes.mark:c1.state', 'saved')
                ->assertJsonPath('outcomes.general.state', 'saved')
                ->assertJsonPath("outcomes.note:{$id}.state", 'saved');
        }
        self::assertSame(1, MarkComment::query()->count());
    }

    public function test_what_another_tab_changed_meanwhile_is_not_overwritten_and_all_else_is_saved(): void
    {
        $this->send(
            [
                ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l3']],
                ['key' => 'general', 'was' => '', 'now' => 'From the first tab.'],
            ]
        );
        $this->send(
            [
                ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l1']],
                ['key' => 'general', 'was' => '', 'now' => 'From the second.'],
                ['key' => 'mark:c2', 'was' => [], 'now' => ['stop' => 'l2']],
            ]
        )
            ->assertOk()
            ->assertJsonPath('outcomes.mark:c1', ['state' => 'clash', 'theirs' => ['stop' => 'l3'], 'words' => 'High'])
            ->assertJsonPath('outcomes.general', ['state' => 'clash', 'theirs' => 'From the first tab.'])
            ->assertJsonPath('outcomes.mark:c2.state', 'saved');
        self::assertSame(
            [['level' => 'l3'], ['level' => 'l2']], array_values($this->mark->refresh()->choices->toArray()),
        );
        // Whoever has seen the other version may put theirs in its place.
        $this->send(
            [['key' => 'general', 'was' => 'From the first tab.', 'now' => "From the first tab.\n\nFrom the second."]]
        )->assertJsonPath('outcomes.general.state', 'saved');
    }

    public function test_a_clock_that_runs_ahead_or_behind_decides_nothing(): void
    {
        $this->send([['key' => 'general', 'was' => '', 'now' => 'Now.']], ['active' => 86_000])->assertOk();
        self::assertLessThanOrEqual(120, $this->mark->refresh()->seconds);
        Carbon::setTestNow(now()->subYears(3));
        $this->send(
            [['key' => 'general', 'was' => 'Now.', 'now' => 'Now, later.']], ['active' => 30],
        )->assertJsonPath('outcomes.general.state', 'saved');
        self::assertSame('Now, later.', $this->mark->refresh()->general_comment);
    }

    public function test_a_comment_of_a_hundred_thousand_characters_is_told_and_the_rest_is_saved(): void
    {
        $this->send(
            [
                ['key' => 'general', 'was' => '', 'now' => str_repeat('x', 100_000)],
                ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l3']],
                ['key' => 'mark:c2', 'was' => [], 'now' => ['own_points' => '4', 'own_reason' => '']],
                ['key' => 'nonsense', 'now' => 1], ['key' => 'mark:zz', 'was' => [], 'now' => []],
            ]
        )
            ->assertOk()
            ->assertJsonPath(
                'outcomes.general',
                [
                    'state' => 'refused',
                    'why' => 'Is not saved: it has 100,000 characters, and 20,000 are kept at most. It stays in this browser; shorten it, or put the rest into another comment.',
                ],
            )
            ->assertJsonPath('outcomes.mark:c1.state', 'saved')
            ->assertJsonPath('outcomes.mark:c2', ['state' => 'refused', 'why' => 'Points set by hand need a reason.'])
            ->assertJsonPath('outcomes.nonsense.state', 'refused')
            ->assertJsonPath('outcomes.mark:zz.state', 'refused');
        $this->send(
            [
                [
                    'key' => 'mark:c2', 'was' => [],
                    'now' => ['own_points' => '4,5', 'own_reason' => 'Between the levels, and the table is very good.'],
                ],
            ]
        )->assertJsonPath('outcomes.mark:c2.state', 'saved')->assertSee('78.0');
    }

    public function test_a_mark_that_is_done_moved_or_released_takes_nothing_more_and_says_so(): void
    {
        $this->finish($this->mark, 'l2', 'l2');
        $this->send([['key' => 'general', 'was' => '', 'now' => 'Late.']])->assertStatus(409)
            ->assertJsonPath(
                'message', 'This mark is done. Open it again to change it; what you wrote last was not saved.',
            );
        $second = $this->markOf($this->mark->script, Seat::Second);
        $this->finish($second, 'l2', 'l2');
        app(ReleaseResults::class)($this->mark->script->assignment, null, $this->coordinator);
        $this->send([['key' => 'general', 'was' => '', 'now' => 'Later.']])->assertStatus(409)
            ->assertSee('has been released');
        $this->actingAs($second->marker)->patchJson(route('mark.sync', $this->mark), ['changes' => []])
            ->assertForbidden()->assertSee('This script is with another marker');
        $this->mark->comments()->delete();
        self::assertSame('', $this->mark->refresh()->general_comment);
    }

    public function test_who_is_signed_out_gets_a_token_only_as_themselves(): void
    {
        $this->getJson(route('mark.token', $this->mark))->assertOk()
            ->assertJsonPath('person', $this->mark->marker->public_id);
        $this->actingAs($this->coordinator)->getJson(route('mark.token', $this->mark))->assertForbidden();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->getJson(route('mark.token', $this->mark))->assertUnauthorized();
        $this->patchJson(route('mark.sync', $this->mark), ['changes' => []])->assertUnauthorized();
    }

    public function test_comments_stand_at_words_are_changed_moved_taken_away_and_brought_back(): void
    {
        $id = Str::uuid()->toString();
        $note = fn (array $change): array => [
            'body' => 'Whose account?', 'kind' => 'question', 'criterion' => 'c2', 'anchor' => $this->anchor(0, 5),
            'gone' => false, ...$change,
        ];
        $this->send(
            [['key' => "note:{$id}", 'was' => null, 'now' => $note([])]]
        )->assertJsonPath("outcomes.note:{$id}.state", 'saved');
        $stored = MarkComment::query()->sole();
        self::assertSame([$id, 'Essay', 'c2'], [$stored->public_id, $stored->anchor['exact'], $stored->criterion]);
        self::assertSame(
            ' number 0. ', mb_substr((string) $stored->anchor['suffix'], 0, 11),
            'what stands around it is taken from the script, not from the page',
        );

        $moved = $this->anchor(6, 12);
        $this->send(
            [
                [
                    'key' => "note:{$id}", 'was' => $note([]),
                    'now' => $note(['anchor' => $moved, 'criterion' => 'no-such']),
                ],
            ]
        )->assertJsonPath("outcomes.note:{$id}.state", 'saved');
        self::assertSame(['number', null], [$stored->refresh()->anchor['exact'], $stored->criterion]);
        $this->send(
            [['key' => "note:{$id}", 'was' => $note([]), 'now' => $note(['body' => 'Written in another tab.'])]]
        )->assertJsonPath("outcomes.note:{$id}.state", 'clash')
            ->assertJsonPath("outcomes.note:{$id}.theirs.body", 'Whose account?');
        $known = $stored->content();
        $this->send(
            [['key' => "note:{$id}", 'was' => $known, 'now' => [...$known, 'gone' => true]]]
        )->assertJsonPath("outcomes.note:{$id}.state", 'saved');
        $this->getJson(route('mark.news', [$this->mark, 'version' => 0]))->assertOk()->assertJsonPath('notes', []);
        $this->send(
            [['key' => "note:{$id}", 'was' => [...$known, 'gone' => true], 'now' => $known]]
        )->assertJsonPath("outcomes.note:{$id}.state", 'saved');
        $this->getJson(route('mark.news', [$this->mark, 'version' => 0]))->assertJsonPath("notes.{$id}.place", [6, 12]);
        $this->getJson(
            route('mark.news', [$this->mark, 'version' => $this->mark->refresh()->lock_version])
        )->assertNoContent();
    }

    public function test_words_that_are_not_in_the_script_and_ids_of_other_scripts_are_refused(): void
    {
        $id = Str::uuid()->toString();
        $this->send(
            [
                [
                    'key' => "note:{$id}", 'was' => null,
                    'now' => ['body' => 'x', 'anchor' => ['exact' => 'not in it', 'start' => 3, 'end' => 12]],
                ],
            ]
        )->assertJsonPath("outcomes.note:{$id}.why", 'Quotes words that are not in this script.');
        $this->send(
            [['key' => 'note:1', 'was' => null, 'now' => []]]
        )->assertJsonPath('outcomes.note:1.state', 'refused');
        foreach (
            [
                ['page' => 0, 'file' => 1, 'shape' => 'point', 'points' => [[1, 1]]],
                ['page' => 1, 'file' => 1, 'shape' => 'box', 'points' => [[1, 1], [120, 1]]],
                ['page' => 1, 'file' => 1, 'shape' => 'star', 'points' => [[1, 1]]],
            ] as $anchor
        ) {
            $this->send(
                [['key' => "note:{$id}", 'was' => null, 'now' => ['body' => 'x', 'anchor' => $anchor]]]
            )->assertJsonPath("outcomes.note:{$id}.state", 'refused');
        }
        $this->send(
            [
                [
                    'key' => "note:{$id}", 'was' => null,
                    'now' => [
                        'body' => 'x',
                        'anchor' => [
                            'page' => 2, 'file' => 1, 'shape' => 'freehand', 'points' => [[1, 1], [2.125, 3], [4, 9]],
                        ],
                    ],
                ],
            ]
        )->assertJsonPath("outcomes.note:{$id}.state", 'saved');
        $other = $this->markOf($this->mark->script, Seat::Second);
        $this->actingAs($other->marker)->patchJson(
            route('mark.sync', $other),
            [
                'changes' => [
                    [
                        'key' => "note:{$id}", 'was' => null,
                        'now' => [
                            'body' => 'mine',
                            'anchor' => ['page' => 2, 'file' => 1, 'shape' => 'point', 'points' => [[1, 1]]],
                        ],
                    ],
                ],
            ],
        )
            ->assertJsonPath("outcomes.note:{$id}.why", 'Belongs to another script.');
    }

    public function test_comments_find_their_words_in_a_new_extraction_or_are_listed_without_a_place(): void
    {
        $text = ScriptText::of($this->mark->handin);
        $first = Str::uuid()->toString();
        $gone = Str::uuid()->toString();
        $this->send(
            [
                [
                    'key' => "note:{$first}", 'was' => null,
                    'now' => ['body' => 'Here.', 'anchor' => $this->anchor(6, 40)],
                ],
                [
                    'key' => "note:{$gone}", 'was' => null,
                    'now' => ['body' => 'There.', 'anchor' => $this->anchor(mb_strlen($text) - 20, mb_strlen($text))],
                ],
            ]
        );
        $this->mark->handin->update(['html' => '<h1>A title read now</h1> <p>'.e(mb_substr($text, 0, 200)).'</p>']);
        $notes = $this->getJson(route('mark.news', [$this->mark->refresh(), 'version' => 0]))->json('notes');
        self::assertSame(
            mb_substr($text, 6, 34),
            mb_substr(ScriptText::of($this->mark->handin->refresh()), $notes[$first]['place'][0], 34),
        );
        self::assertNull($notes[$gone]['place']);
        self::assertSame('There.', $notes[$gone]['body'], 'an orphan is listed, not lost');
    }

    public function test_annotations_go_out_as_linked_data_with_the_text_they_count_in(): void
    {
        $id = Str::uuid()->toString();
        $this->send(
            [
                [
                    'key' => "note:{$id}", 'was' => null,
                    'now' => [
                        'body' => 'Whose?', 'kind' => 'question', 'criterion' => 'c2', 'anchor' => $this->anchor(0, 5),
                    ],
                ],
                [
                    'key' => 'note:'.$page = Str::uuid()->toString(), 'was' => null,
                    'now' => [
                        'body' => 'This line.',
                        'anchor' => ['page' => 3, 'file' => 1, 'shape' => 'line', 'points' => [[10, 20], [30, 20.5]]],
                    ],
                ],
            ]
        );
        $document = $this->get(route('mark.annotations', $this->mark))->assertOk()
            ->assertHeader('Content-Type', 'application/ld+json; profile="http://www.w3.org/ns/anno.jsonld"')->json();
        self::assertSame(
            ['http://www.w3.org/ns/anno.jsonld', 'AnnotationCollection', 2],
            [$document['@context'], $document['type'], $document['total']],
        );
        [$words, $drawn] = $document['first']['items'];
        self::assertSame(["urn:uuid:{$id}", 'questioning'], [$words['id'], $words['motivation']]);
        self::assertSame(['type' => 'TextPositionSelector', 'start' => 0, 'end' => 5], $words['target']['selector'][1]);
        self::assertSame(
            $words['target']['selector'][0]['exact'], mb_substr($document['dcterms:source']['value'], 0, 5),
        );
        self::assertSame('page=3&viewrect=10,20,20,0.5', $drawn['target']['selector']['value']);
        self::assertStringContainsString('M10 20 L30 20.5', $drawn['target']['selector']['refinedBy']['value']);
        self::assertStringNotContainsString($this->students[0]->name, (string) json_encode($document));
        self::assertSame("urn:uuid:{$page}", $drawn['id']);
    }

    public function test_where_one_left_off_is_kept_without_beginning_the_mark(): void
    {
        $this->send([], ['place' => ['y' => 412_345], 'active' => 40])->assertOk();
        $this->mark->refresh();
        self::assertSame(
            [['y' => 412_345], null, 40], [$this->mark->place, $this->mark->begun_at, $this->mark->seconds],
        );
        $this->send([], ['active' => 60]);
        self::assertLessThanOrEqual(41, $this->mark->refresh()->seconds, 'two pages at once count no second twice');
        $this->get(route('mark.desk', $this->mark))->assertSee('412345');
        $this->get(route('mark.index', $this->mark->script->assignment))->assertSee('Go on at the desk');
    }

    public function test_the_private_note_reaches_no_student(): void
    {
        $this->send([['key' => 'private', 'was' => '', 'now' => 'SECRET-AMONG-STAFF']]);
        $this->finishBoth($this->mark->script);
        app(ReleaseResults::class)($this->mark->script->assignment, null, $this->coordinator);
        $result = $this->mark->script->refresh()->result;
        self::assertNotNull($result);
        self::assertStringNotContainsString('SECRET-AMONG-STAFF', (string) json_encode($result->toArray()));
        $this->actingAs($this->mark->script->student)->get(route('results.show', $result))->assertOk()
            ->assertDontSee('SECRET-AMONG-STAFF');
    }
}
