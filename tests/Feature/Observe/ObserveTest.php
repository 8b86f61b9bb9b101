<?php

declare(strict_types=1);

namespace Tests\Feature\Observe;

use App\Actions\Collect\ChangeAllowance;
use App\Actions\Collect\SetGroups;
use App\Actions\Observe\DrawSlots;
use App\Actions\Observe\PublishSlots;
use App\Actions\Observe\SaveGround;
use App\Actions\Peers\OpenRound;
use App\Actions\Peers\PlanReviews;
use App\Actions\Peers\SaveRound;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Enums\HandInBy;
use App\Enums\WorkForm;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\Conflict;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Notice;
use App\Models\ObservationEvent;
use App\Models\ObservationFile;
use App\Models\PeerReview;
use App\Models\Slot;
use App\Models\SlotSwap;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Observing\Course;
use YoungHarbor\Core\Observing\Settings;
use YoungHarbor\Core\Peers\RoundSettings;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Observed work: slots drawn, known and changed; what devices record, kept and marked; what students see of it.
 */
final class ObserveTest extends TestCase
{
    private Assignment $viva;

    private Carbon $morning;

    public function test_slots_are_drawn_around_conflicts_and_allowances_published_and_on_desks(): void
    {
        $this->observed(4, second: true);
        app(ChangeAllowance::class)($this->membership(0), 0, 25, 'Dyslexia.', $this->coordinator);
        Conflict::query()->create([
            'module_id' => $this->module->id, 'marker_id' => $this->tutors[0]->id, 'student_id' => $this->students[1]->id, 'reason' => 'x',
            'made_by' => $this->coordinator->id,
        ]);
        $this->actingAs($this->coordinator)->post(route('slots.draw', $this->viva))->assertSessionHasErrors();
        $this->ground('Hall', 0, 180, [0, 1]);
        $left = app(DrawSlots::class)($this->viva, $this->coordinator);
        self::assertSame([$this->script($this->viva, 1)->id => 'kept'], $left);
        $this->ground('Room 2', 0, 60, [2]);
        $this->post(route('slots.draw', $this->viva))->assertSessionHasNoErrors();
        self::assertSame(4, Slot::query()->count());
        self::assertSame(
            [25], $this->slot(0)->refresh()->starts_at->diffInMinutes($this->slot(0)->ends_at) === 25.0 ? [25] : [],
        );
        self::assertSame('Room 2', $this->slot(1)->room);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $this->viva))->assertSee(__('observe.student.none'));
        $this->actingAs($this->coordinator)->post(route('slots.publish', $this->viva))->assertSessionHasNoErrors();
        $this->get(route('slots.index', $this->viva))->assertSee('3 markers'); // who makes second marks too
        $mark = $this->markOf($this->script($this->viva), Seat::First);
        self::assertSame($this->tutors[0]->id, $mark->marker_id);
        self::assertSame($this->tutors[1]->id, $this->markOf($this->script($this->viva), Seat::Second)->marker_id);
        self::assertSame(Standing::WithMarker, $this->script($this->viva)->refresh()->standing);
        self::assertSame(4, Notice::query()->where('kind', 'slot')->count());
        $page = $this->actingAs($this->students[0])->get(
            route('hand-in.show', $this->viva),
        )->assertSee('Hall')->assertSee($this->tutors[0]->name);
        $page->assertDontSee('name="files');
        $file = (string) $this->get(route('slots.calendar', $this->viva))->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        self::assertSame(1, substr_count($file, 'BEGIN:VEVENT'), 'their own alone');
        self::assertStringContainsString('DTSTART:'.$this->slot(0)->starts_at->utc()->format('Ymd\THis\Z'), $file);
        self::assertSame(3, substr_count((string) $this->actingAs($this->tutors[1])->get(
            route('slots.calendar', $this->viva),
        )->getContent(), 'BEGIN:VEVENT'));
        $this->post(route('slots.draw', $this->viva))->assertForbidden();
    }

    public function test_a_slot_is_moved_where_room_and_observers_are_free_and_never_given_twice(): void
    {
        $this->observed(3);
        $this->ground('Hall', 0, 90, [0]);
        $this->ground('Attic', 120, 180, [1]);
        $this->drawn();
        [$one, $other] = [$this->slot(0), $this->slot(1)];
        $this->actingAs($this->coordinator);
        $move = fn (Slot $slot, string $room, Carbon $at) => $this->put(route('slots.move', $slot), [
            'ground' => $this->viva->grounds()->where('room', $room)->sole()->public_id,
            'at' => $at->copy()->setTimezone('Europe/London')->format('Y-m-d\TH:i'),
        ]);
        $move($one, 'Hall', $other->starts_at)->assertSessionHasErrors('at');
        $move($one, 'Hall', $this->morning->copy()->addMinutes(80))->assertSessionHasErrors('at');
        $move($one, 'Attic', $this->morning->copy()->addMinutes(130))->assertSessionHasNoErrors();
        self::assertSame(1, $one->refresh()->sequence);
        self::assertSame($this->tutors[1]->id, $this->markOf($this->script($this->viva), Seat::First)->marker_id, 'with who observes there');
        self::assertStringContainsString('SEQUENCE:1', (string) $this->actingAs($this->students[0])->get(
            route('slots.calendar', $this->viva),
        )->getContent());
        // Once observing has begun, it does not change hands by a move.
        $this->record(0, [['start', '', '']]);
        $this->actingAs($this->coordinator);
        $move($one, 'Hall', $this->morning->copy()->addMinutes(70))->assertSessionHasErrors('at');
        $this->ground('Cellar', 300, 400, [1], fails: false);
        self::assertSame(3, $this->viva->grounds()->count());
        $this->expectException(Refused::class);
        $this->ground('Hall', 30, 60, [2]);
    }

    public function test_students_swap_when_both_agree_and_the_coordinator_lets_them(): void
    {
        $this->observed(2);
        $this->ground('Hall', 0, 90, [0]);
        $this->drawn();
        [$one, $other] = [$this->slot(0), $this->slot(1)];
        [$before, $after] = [$one->starts_at, $other->starts_at];
        $this->actingAs($this->students[0])->post(route('swaps.store', $other), ['other' => $one->public_id])->assertForbidden();
        $this->post(route('swaps.store', $one), ['other' => $other->public_id, 'words' => 'A train.'])->assertSessionHasNoErrors();
        $this->post(route('swaps.store', $one), ['other' => $other->public_id])->assertSessionHasErrors();
        $swap = SlotSwap::query()->sole();
        $this->put(route('swaps.update', $swap), ['yes' => '1'])->assertForbidden();
        $this->actingAs($this->coordinator)->put(route('swaps.update', $swap), ['yes' => '1'])->assertSessionHasErrors();
        $this->actingAs($this->students[1])->get(route('hand-in.show', $this->viva))->assertSee('A train.');
        $this->put(route('swaps.update', $swap), ['yes' => '1'])->assertSessionHasNoErrors();
        $this->actingAs($this->coordinator)->get(route('slots.index', $this->viva))->assertSee('both agree');
        $this->put(route('swaps.update', $swap), ['yes' => '1'])->assertSessionHasNoErrors();
        self::assertEquals([$after, $before], [$one->refresh()->starts_at, $other->refresh()->starts_at]);
        self::assertSame([1, 1], [$one->sequence, $other->sequence]);
        self::assertSame(1, Mark::counting()->where('script_id', $one->script_id)->count());
    }

    public function test_what_devices_record_comes_in_any_order_and_twice_and_is_one_mark(): void
    {
        $this->observed(1, second: true);
        $this->ground('Hall', 0, 60, [0, 1]);
        $this->drawn();
        $mark = $this->markOf($this->script($this->viva), Seat::First);
        $events = [
            $this->event('start', '', '', 0), $this->event('step', 'c1/s1', 'done', 10), $this->event('step', 'c1/s2', 'unseen', 20),
            $this->event('step', 'c1/s2', 'partly', 30), $this->event('level', 'c2', 'l2', 40), $this->event('note', 'student', 'Well timed.', 50),
        ];
        $send = fn (array $some, int $now = 0) => $this->actingAs($this->tutors[0])->postJson(route('observe.events', $mark), [
            'now' => (int) now()->getPreciseTimestamp(3) + $now, 'events' => $some,
        ]);
        self::assertCount(3, $send(array_slice(array_reverse($events), 0, 3))->assertOk()->json('taken'));
        self::assertCount(6, $send($events)->assertOk()->json('taken'));
        self::assertSame(6, ObservationEvent::query()->where('mark_id', $mark->id)->count());
        // A tablet that died; another, whose clock is an hour ahead, goes on.
        $later = [...$this->event('step', 'c1/s2', 'done', 60), 'id' => Str::uuid()->toString()];
        $later['at'] += 3_600_000;
        $send([$later, ['id' => 'x', 'kind' => 'dance']], 3_600_000)->assertOk()->assertJsonCount(1, 'taken')->assertJsonCount(1, 'refused');
        $kept = ObservationEvent::query()->where('event', $later['id'])->sole();
        self::assertLessThan(
            2.0, abs($this->morning->copy()->addSeconds(60)->diffInSeconds(Carbon::parse($kept->at, 'UTC'))),
        );
        $choices = $mark->refresh()->choices;
        self::assertSame(['s1', 's2'], $choices->on('c1')->done);
        self::assertSame('l2', $choices->on('c2')->level);
        self::assertNull($this->markOf($this->script($this->viva), Seat::Second)->begun_at, 'each their own');
        $this->actingAs($this->tutors[1])->postJson(
            route('observe.events', $mark), ['now' => 1, 'events' => [$this->event('start', '', '', 0)]],
        )->assertForbidden();
        // Done: nothing more is taken, and what is there is still answered as there.
        $this->actingAs($this->tutors[0])->post(route('observe.done', $mark))->assertSessionHasNoErrors();
        self::assertNotNull($mark->refresh()->done_at);
        $send([$events[0]])->assertOk()->assertJsonCount(1, 'taken');
        $send([$this->event('step', 'c1/s1', 'not', 90)])->assertConflict();
    }

    public function test_two_observers_settle_and_the_student_reads_what_was_meant_for_them(): void
    {
        $this->observed(1, second: true);
        $this->ground('Hall', 0, 60, [0, 1]);
        $this->drawn();
        $file = Str::uuid()->toString();
        $this->actingAs($this->tutors[0])->post(route('observe.files', $this->markOf($this->script($this->viva), Seat::First)), [
            'id' => $file, 'file' => $this->photo(),
        ], ['Accept' => 'application/json'])->assertOk();
        $this->record(0, [
            ['start', '', ''], ['step', 'c1/s1', 'done'], ['step', 'c1/s2', 'not'], ['level', 'c2', 'l2'], ['note', 'student', 'A steady hand.'],
            ['note', 'staff', 'Was nervous at first.'], ['evidence', 'student', $file], ['course', '', 'late'],
        ]);
        $this->record(0, [['step', 'c1/s1', 'done'], ['step', 'c1/s2', 'not'], ['level', 'c2', 'l2']], Seat::Second);
        $kept = ObservationFile::query()->sole();
        $this->actingAs($this->students[0])->get(route('observation-files.show', $kept->public_id))->assertForbidden();
        foreach ([Seat::First, Seat::Second] as $seat) {
            $mark = $this->markOf($this->script($this->viva), $seat);
            $this->actingAs($mark->marker)->post(route('observe.done', $mark))->assertSessionHasNoErrors();
        }
        self::assertSame(Standing::Agreed, $this->script($this->viva)->refresh()->standing);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $this->viva))->assertDontSee('A steady hand.');
        $this->actingAs($this->coordinator)->post(
            route('release.store', $this->viva), ['which' => 'all', 'when' => 'now'],
        )->assertSessionHasNoErrors();
        $result = $this->script($this->viva)->refresh()->result;
        $page = $this->actingAs($this->students[0])->get(route('results.show', $result))->assertOk();
        $page->assertSee('A steady hand.')->assertDontSee('Was nervous')->assertSee('came late')->assertSee(__('observe.record.title'));
        $this->get(route('observation-files.show', $kept->public_id))->assertOk();
    }

    public function test_who_does_not_come_has_handed_in_nothing_and_what_was_recorded_stays(): void
    {
        $this->observed(2);
        $this->ground('Hall', 0, 60, [0]);
        $this->drawn();
        $this->record(0, [['course', '', 'no-show']]);
        self::assertSame(Course::NoShow, $this->slot(0)->course);
        $this->actingAs($this->coordinator)->get(route('slots.index', $this->viva))->assertSee('did not come');
        $this->post(route('slots.no-shows', $this->viva))->assertSessionHasNoErrors();
        self::assertSame(Standing::Expected, $this->script($this->viva)->refresh()->standing);
        self::assertSame(1, ObservationEvent::query()->count());
        $this->post(route('slots.no-shows', $this->viva))->assertSessionHasErrors();
    }

    public function test_evidence_of_kinds_that_cannot_be_kept_is_refused_in_words(): void
    {
        $this->observed(1);
        $this->ground('Hall', 0, 60, [0]);
        $this->drawn();
        $mark = $this->markOf($this->script($this->viva), Seat::First);
        $send = fn (UploadedFile $file): TestResponse => $this->actingAs($this->tutors[0])->post(
            route('observe.files', $mark), ['id' => Str::uuid()->toString(), 'file' => $file], ['Accept' => 'application/json'],
        );
        $made = function (string $name, string $bytes): UploadedFile {
            $path = (string) tempnam(sys_get_temp_dir(), 'seen');
            file_put_contents($path, $bytes);

            return new UploadedFile($path, $name, null, null, true);
        };
        $send($made('IMG.HEIC', "\0\0\0\x18ftypheic\0\0\0\0mif1heic".random_bytes(99)))->assertConflict()->assertSee('HEIC');
        $send($made('run.sh', "#!/bin/sh\nrm -rf x"))->assertConflict();
        $send($made('big.txt', str_repeat('x', 33_000_000)))->assertConflict()->assertSee('33 MB');
        $send($made('notes.txt', 'Seen at the quay.'))->assertOk();
        self::assertSame(1, ObservationFile::query()->count());
    }

    public function test_the_observers_page_holds_nothing_of_other_observers_and_names_show(): void
    {
        $this->observed(2, second: true);
        $this->ground('Hall', 0, 90, [0, 1]);
        $this->drawn();
        $this->record(0, [['note', 'staff', 'Mine alone to read.']]);
        $this->actingAs($this->tutors[0])->get(
            route('observe.show', $this->viva),
        )->assertSee('Mine alone to read.')->assertSee($this->students[0]->name);
        $this->actingAs($this->tutors[1])->get(
            route('observe.show', $this->viva),
        )->assertDontSee('Mine alone to read.')->assertSee($this->students[0]->name);
        $this->actingAs($this->students[0])->get(route('observe.show', $this->viva))->assertForbidden();
        $this->get(route('observe.worker'))->assertOk()->assertHeader('Service-Worker-Allowed', '/observe/');
        $this->actingAs($this->coordinator)->get(route('plan.edit', $this->viva))->assertSee(__('observe.names'));
    }

    public function test_three_observe_as_a_panel_where_no_third_mark_decides_alone(): void
    {
        $this->observed(1, second: true);
        $fields = [
            'room' => 'Hall', 'from' => LocalTime::field($this->morning), 'to' => LocalTime::field($this->morning->copy()->addHour()),
            'first' => $this->tutors[0]->public_id, 'second' => $this->tutors[1]->public_id, 'third' => $this->tutors[2]->public_id,
        ];
        $this->post(route('grounds.store', $this->viva), $fields)->assertSessionHasErrors('third');
        $this->viva->update(['scheme' => $this->scheme(['second' => 'every', 'third_rule' => 'median', 'tolerance' => '100'])]);
        $this->post(route('grounds.store', $this->viva), ['second' => ''] + $fields)->assertSessionHasErrors('second');
        $this->post(route('grounds.store', $this->viva), ['third' => $this->tutors[1]->public_id] + $fields)->assertSessionHasErrors('third');
        $this->post(route('grounds.store', $this->viva), $fields)->assertSessionHasNoErrors();
        $this->drawn();
        foreach ([[Seat::First, 'l2'], [Seat::Second, 'l1'], [Seat::Third, 'l3']] as [$seat, $level]) {
            self::assertNotSame(Standing::Agreed, $this->script($this->viva)->refresh()->standing, 'not before all three');
            $this->record(0, [['step', 'c1/s1', 'done'], ['step', 'c1/s2', 'done'], ['level', 'c2', $level]], $seat);
            $this->post(route('observe.done', $this->markOf($this->script($this->viva), $seat)))->assertSessionHasNoErrors();
        }
        $script = $this->script($this->viva)->refresh();
        self::assertSame(Standing::Agreed, $script->standing);
        self::assertSame(
            $this->markOf($script, Seat::First)->total, number_format(
                (float) (string) $script->settlement->mark, 3, '.', '',
            ), 'the median of three',
        );
    }

    public function test_a_scale_is_set_while_watching_and_a_number_off_its_steps_is_no_mark(): void
    {
        $this->observed(1, scale: true);
        $this->ground('Hall', 0, 60, [0]);
        $this->drawn();
        $mark = $this->markOf($this->script($this->viva), Seat::First);
        $this->record(0, [['level', 'c2', '7.5'], ['level', 'c2', '7.3']]);
        self::assertNull($mark->refresh()->choices->on('c2')->points);
        $this->record(0, [['level', 'c2', '8']]);
        self::assertNull($mark->refresh()->choices->on('c2')->points, 'an earlier time of another device changes nothing');
        $this->actingAs($mark->marker)->postJson(route('observe.events', $mark), [
            'now' => (int) now()->getPreciseTimestamp(3), 'events' => [$this->event('level', 'c2', '8.5', 99)],
        ])->assertOk();
        self::assertSame('8.5', $mark->refresh()->choices->on('c2')->points);
    }

    public function test_whoever_is_observed_rates_themselves_by_the_same_rubric(): void
    {
        $this->observed(1);
        $this->ground('Hall', 0, 60, [0]);
        $this->drawn();
        $round = app(SaveRound::class)(
            $this->viva->refresh(), null, 'Yourself', RoundSettings::fromArray(['each' => 1, 'self' => true, 'peers' => false]),
            ['begins_at' => now(), 'due_at' => now()->addDays(7), 'answers_due_at' => now()->addDays(9)], $this->coordinator,
        );
        app(OpenRound::class)($round, $this->coordinator);
        app(PlanReviews::class)($round->refresh(), null);
        $own = PeerReview::query()->where('round_id', $round->id)->where('own', true)->sole();
        $this->actingAs($this->students[0])->get(route('peer-reviews.desk', $own))->assertOk()->assertSee('Says who is there');
        $this->actingAs($this->tutors[0])->get(
            route('observe.show', $this->viva),
        )->assertOk()->assertDontSee($own->mark->public_id);
        self::assertSame(1, Mark::counting()->where('script_id', $this->script($this->viva)->id)->count(), 'their rating is no mark of the panel');
    }

    public function test_slides_come_before_the_slot_begins_and_stand_on_the_desk(): void
    {
        $this->observed(2);
        $this->ground('Hall', 0, 60, [0]);
        $send = fn (string $text) => $this->actingAs($this->students[0])->post(route('hand-in.store', $this->viva), [
            'file' => UploadedFile::fake()->createWithContent('slides.txt', $text),
        ]);
        $send('One.')->assertForbidden();
        $this->viva->update(['observing' => Settings::fromArray(['minutes' => 20, 'gap' => 5, 'slides' => true])]);
        $send('The first slides, before slots are known. '.$this->prose(40, 1))->assertSessionHasNoErrors();
        $this->drawn();
        $mark = $this->markOf($this->script($this->viva), Seat::First);
        $this->actingAs($this->tutors[0])->get(route('mark.desk', $mark))->assertOk()->assertSee('The first slides');
        $send('Better slides, the evening before. '.$this->prose(40, 2))->assertSessionHasNoErrors();
        $this->actingAs($this->tutors[0])->get(route('mark.desk', $mark))->assertOk()->assertSee('Better slides');
        $this->actingAs($this->students[0])->get(route('hand-in.show', $this->viva))->assertSee('slides.txt')->assertSee('name="file"', false);
        // Without slides, what is marked is the slot; and it is no text to compare.
        self::assertTrue($this->script($this->viva, 1)->currentHandin?->isSlot());
        $this->record(0, [['start', '', '']]);
        $send('While it goes on. '.$this->prose(40, 3))->assertSessionHasErrors();
        Carbon::setTestNow($this->slot(1)->starts_at);
        $this->actingAs($this->students[1])->get(route('hand-in.show', $this->viva))->assertDontSee('name="file"', false);
    }

    public function test_a_group_has_one_slot_that_all_of_it_see(): void
    {
        $this->observed(3);
        $this->viva->update(['handin_by' => HandInBy::GroupOneMark]);
        app(SetGroups::class)($this->viva, [$this->students[0]->id => 'Red', $this->students[1]->id => 'Red'], 'list');
        app(ChangeAllowance::class)($this->membership(1), 0, 50, 'Dyslexia.', $this->coordinator);
        $this->ground('Hall', 0, 60, [0]);
        $this->drawn();
        self::assertSame(2, Slot::query()->count(), 'one for the group, one for who is in none');
        $slot = Slot::query()->whereRelation('script', 'group_name', 'Red')->sole();
        self::assertSame(30, $slot->minutes(), 'as long as whoever is allowed most');
        foreach ([0, 1] as $n) {
            $this->actingAs($this->students[$n])->get(route('hand-in.show', $this->viva))->assertSee('30 minutes, Hall');
            self::assertSame(1, Notice::query()->where('kind', 'slot')->where('user_id', $this->students[$n]->id)->count());
        }
        $this->actingAs($this->tutors[0])->get(route('observe.show', $this->viva))
            ->assertSee($this->students[0]->name)->assertSee($this->students[1]->name);
        self::assertSame(2, Mark::counting()->where('assignment_id', $this->viva->id)->count());
    }

    public function test_evidence_is_only_for_whom_it_is_meant_and_hostile_times_are_refused(): void
    {
        $this->observed(2);
        $this->viva->update(['handin_by' => HandInBy::GroupOneMark]);
        app(SetGroups::class)($this->viva, [$this->students[0]->id => 'Red', $this->students[1]->id => 'Red'], 'list');
        $this->ground('Hall', 0, 60, [0]);
        $this->drawn();
        $mark = Mark::counting()->where('assignment_id', $this->viva->id)->sole();
        $send = fn (array $events) => $this->actingAs($this->tutors[0])->postJson(route('observe.events', $mark), [
            'now' => (int) now()->getPreciseTimestamp(3), 'events' => $events,
        ]);
        $files = $events = [];
        foreach (['student', 'staff', 'student'] as $n => $about) {
            $id = Str::uuid()->toString();
            $this->actingAs($this->tutors[0])->post(route('observe.files', $mark), ['id' => $id, 'file' => $this->photo()])->assertOk();
            $events[] = $this->event('evidence', $about, $id, 10 + $n);
            $files[] = ObservationFile::query()->where('public_id', $id)->sole();
        }
        // The third was meant for them, and taken back.
        $send([...$events, $this->event('undo', $events[2]['id'], '', 20)])->assertOk()->assertJsonCount(4, 'taken');
        // A clock of another age is refused by name, and nothing falls over.
        $answer = $send([['at' => 9_000_000_000_000_000] + $this->event('start', '', '', 0)]);
        $answer->assertOk()->assertJsonCount(0, 'taken')->assertJsonCount(1, 'refused');
        $this->postJson(route('observe.events', $mark), ['now' => 9_000_000_000_000_000_000, 'events' => [$this->event('start', '', '', 0)]])
            ->assertStatus(422);
        $send([$this->event('step', 'c1/s1', 'done', 30), $this->event('step', 'c1/s2', 'done', 31), $this->event('level', 'c2', 'l2', 32)]);
        $see = fn (User $who): array => array_map(
            fn (ObservationFile $file) => $this->actingAs($who)->get(route('observation-files.show', $file))->getStatusCode(), $files,
        );
        foreach ($this->students as $student) {
            self::assertSame([403, 403, 403], $see($student), 'nothing before the result is out');
        }
        $this->actingAs($this->tutors[0])->post(route('observe.done', $mark))->assertSessionHasNoErrors();
        // Nothing is added to a mark that is done.
        $this->postJson(route('observe.files', $mark), ['id' => Str::uuid()->toString(), 'file' => $this->photo()])->assertStatus(409);
        $this->actingAs($this->coordinator)->post(
            route('release.store', $this->viva), ['which' => 'all', 'when' => 'now'],
        )->assertSessionHasNoErrors();
        foreach ($this->students as $student) {
            self::assertSame([200, 403, 403], $see($student), 'each of the group, what is meant for them alone');
        }
        self::assertSame([403, 403, 403], $see($this->tutors[1]));
    }

    public function test_nobody_observes_in_two_assignments_at_once(): void
    {
        $this->observed(1);
        $this->ground('Hall', 0, 60, [0, 1]);
        $other = $this->assignment(['form' => WorkForm::Observed, 'scheme' => $this->oneMark()]);
        $at = fn (int $minutes) => LocalTime::field($this->morning->copy()->addMinutes($minutes));
        $fields = ['room' => 'Cellar', 'first' => $this->tutors[1]->public_id];
        $this->post(route('grounds.store', $other), $fields + ['from' => $at(30), 'to' => $at(90)])->assertSessionHasErrors('from');
        self::assertSame(0, $other->grounds()->count());
        $this->post(route('grounds.store', $other), $fields + ['from' => $at(60), 'to' => $at(90)])->assertSessionHasNoErrors();
    }

    public function test_whoever_leaves_leaves_their_time_to_others(): void
    {
        $this->observed(2);
        $this->ground('Hall', 0, 20, [0]);
        self::assertSame(['full'], array_values(app(DrawSlots::class)($this->viva, $this->coordinator)));
        app(PublishSlots::class)($this->viva, $this->coordinator);
        self::assertSame(['full'], array_values(app(DrawSlots::class)($this->viva, $this->coordinator)));
        Slot::query()->sole()->script->update(['left_at' => now()]);
        self::assertSame([], app(DrawSlots::class)($this->viva, $this->coordinator));
    }

    private function observed(int $students, bool $second = false, bool $scale = false): void
    {
        $this->module(3, $students);
        $rubric = $this->rubricDocument();
        $rubric['criteria'][0] = [
            'id' => 'c1', 'title' => 'Steps', 'purpose' => '', 'weight' => '60', 'kind' => 'checklist', 'optional' => false, 'items' => [
                ['id' => 's1', 'title' => 'Says who is there', 'points' => '1'], ['id' => 's2', 'title' => 'Ties the knot', 'points' => '2'],
            ],
        ];
        if ($scale) {
            $rubric['criteria'][1] = [
                'id' => 'c2', 'title' => 'Pace', 'purpose' => '', 'weight' => '40', 'kind' => 'scale', 'min' => '0', 'max' => '10',
                'step' => '0.5', 'optional' => false,
            ];
        }
        $version = app(MakeRubricReady::class)(
            app(AddRubric::class)(Draft::of($rubric), $this->coordinator, $this->module), 1, $this->coordinator
        );
        $this->viva = $this->assignment([
            'form' => WorkForm::Observed, 'observing' => Settings::fromArray(['minutes' => 20, 'gap' => 5]),
            'scheme' => $second ? $this->scheme(['second' => 'every']) : $this->oneMark(), 'rubric_version_id' => $version->id,
            'due_at' => now()->addDays(9), 'closes_at' => null,
        ]);
        $this->morning = now()->addDays(2)->startOfDay()->addHours(9);
        $this->actingAs($this->coordinator);
    }

    /**
     * @param  list<int>  $tutors
     */
    private function ground(string $room, int $from, int $to, array $tutors, bool $fails = false): void
    {
        app(SaveGround::class)(
            $this->viva, $room, $this->morning->copy()->addMinutes($from), $this->morning->copy()->addMinutes($to),
            array_map(fn (int $n) => $this->tutors[$n]->id, $tutors),
        );
    }

    private function drawn(): void
    {
        self::assertSame([], app(DrawSlots::class)($this->viva, $this->coordinator));
        app(PublishSlots::class)($this->viva, $this->coordinator);
    }

    private function slot(int $student): Slot
    {
        return Slot::query()->where('script_id', $this->script($this->viva, $student)->id)->sole();
    }

    /**
     * @return array<string, mixed>
     */
    private function event(string $kind, string $about, string $value, int $seconds): array
    {
        return [
            'id' => Str::uuid()->toString(), 'kind' => $kind,
            'at' => (int) $this->morning->copy()->addSeconds($seconds)->getPreciseTimestamp(3),
            'number' => $seconds, 'about' => $about, 'value' => $value,
        ];
    }

    /**
     * @param  list<array{string, string, string}>  $events
     */
    private function record(int $student, array $events, Seat $seat = Seat::First): void
    {
        $mark = $this->markOf($this->script($this->viva, $student), $seat);
        $all = [];
        foreach ($events as $n => [$kind, $about, $value]) {
            $all[] = $this->event($kind, $about, $value, 10 * $n);
        }
        $this->actingAs($mark->marker)->postJson(route('observe.events', $mark), [
            'now' => (int) now()->getPreciseTimestamp(3), 'events' => $all,
        ])->assertOk()->assertJsonCount(count($all), 'taken');
    }

    private function membership(int $student): Membership
    {
        return Membership::query()->where('user_id', $this->students[$student]->id)->sole();
    }

    private function photo(): UploadedFile
    {
        $picture = imagecreatetruecolor(30, 20);
        $path = tempnam(sys_get_temp_dir(), 'seen').'.jpg';
        imagejpeg($picture, $path);

        return new UploadedFile($path, 'quay.jpg', 'image/jpeg', null, true);
    }
}
