<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\ChangeExtension;
use App\Actions\Collect\ChangeMember;
use App\Actions\Collect\SetGroups;
use App\Actions\Collect\TakeHandIn;
use App\Enums\HandInBy;
use App\Enums\Role;
use App\Logbook\LogEvent;
use App\Mail\FromCoordinator;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\LogbookLine;
use App\Models\Membership;
use App\Models\Message;
use App\Models\User;
use App\Queries\Collect\Cohort;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Tables\Delimited;

/**
 * Where is everyone: counts that are filters, writing to those shown, and taking the list away.
 */
final class CohortTest extends TestCase
{
    /** Nine students, each at another place. */
    private function everywhere(): Assignment
    {
        Carbon::setTestNow('2027-01-11 09:00:00');
        $this->module(2, 9);
        $assignment = $this->assignment(['due_at' => now()->addDay(), 'closes_at' => now()->addDays(4)]);
        $who = $this->students;
        foreach ($who as $n => $student) {
            $student->update(
                [
                    'name' => [
                        'Opened Only', 'Not Opened', 'Draft Only', 'In Time', 'Late Alone', 'Late Extended',
                        'Time Left', 'Gone Away', 'Gone With Work',
                    ][$n],
                    'email' => "s{$n}@x.example", 'number' => "N10{$n}",
                ]
            );
            $n === 1 || $this->script($assignment, $n)->update(['brief_opened_at' => now()]);
        }
        DraftCheck::factory()->create(
            [
                'script_id' => $this->script($assignment, 2)->id, 'student_id' => $who[2]->id, 'words' => 3,
                'text' => 'A draft yet.', 'notes' => [],
            ]
        );
        app(TakeHandIn::class)($assignment, $who[3], 'In good time.');
        app(TakeHandIn::class)($assignment, $who[8], 'In, and then gone.');
        app(ChangeExtension::class)($this->script($assignment, 5), now()->addDays(2), 'Ill.', $this->coordinator);
        app(ChangeExtension::class)($this->script($assignment, 6), now()->addDays(20), 'Ill.', $this->coordinator);
        foreach ([7, 8] as $n) {
            app(ChangeMember::class)(
                Membership::query()->where('user_id', $who[$n]->id)->sole(), null, true, $this->coordinator,
            );
        }
        Carbon::setTestNow('2027-01-13 09:30:00');
        app(TakeHandIn::class)($assignment, $who[4], 'Late, and nobody said it might be.');
        app(TakeHandIn::class)($assignment, $who[5], 'Later than the extension too.');

        return $assignment->refresh();
    }

    public function test_the_counts_are_the_filters(): void
    {
        $assignment = $this->everywhere();
        $expected = [
            '' => [
                'Draft Only', 'Gone With Work', 'In Time', 'Late Alone', 'Late Extended', 'Not Opened', 'Opened Only',
                'Time Left',
            ],
            'unopened' => ['Not Opened'], 'draft' => ['Draft Only'],
            'in' => ['Gone With Work', 'In Time', 'Late Alone', 'Late Extended'],
            'late' => ['Late Alone', 'Late Extended'], 'late-own' => ['Late Alone'],
            'out' => ['Draft Only', 'Not Opened', 'Opened Only', 'Time Left'],
            'missing' => ['Draft Only', 'Not Opened', 'Opened Only'], 'time' => ['Late Extended', 'Time Left'],
            'result' => [], 'unread' => [], 'left' => ['Gone Away', 'Gone With Work'],
        ];
        self::assertSame(array_map(count(...), $expected), Cohort::of($assignment, [])->counts());
        foreach ($expected as $key => $names) {
            self::assertSame(
                $names, Cohort::of($assignment, ['show' => $key])->rows()->pluck('name')->all(), (string) $key,
            );
        }
        $page = $this->actingAs($this->coordinator)->get(route('collect.index', [$assignment, 'show' => 'late-own']))
            ->assertOk()->assertSee('Late without more time 1')->assertSee('Write to this one');
        self::assertMatchesRegularExpression('~<b[^>]*>.*Late Alone|Late Alone</a>~', (string) $page->getContent());
        $page->assertDontSee('Late Extended');
        $this->get(route('collect.index', [$assignment, 'q' => 'N103']))->assertSee('In Time')
            ->assertDontSee('Not Opened</a>', false);
        $this->get(route('collect.index', [$assignment, 'q' => '%']))->assertSee('Nobody in this list');
        $this->get(
            route('collect.index', [$assignment, 'show' => "x' OR 1=1", 'sort' => 'password', 'page' => '-3'])
        )->assertOk();
        self::assertSame('Time Left', Cohort::of($assignment, ['sort' => '-name'])->rows()->value('name'));
    }

    public function test_a_group_is_a_row_and_writing_to_it_reaches_its_members(): void
    {
        Mail::fake();
        $this->module(2, 4);
        $assignment = $this->assignment(['handin_by' => HandInBy::GroupOneMark]);
        app(SetGroups::class)(
            $assignment,
            [$this->students[0]->id => 'Red', $this->students[1]->id => 'Red', $this->students[2]->id => 'Blue'],
            'list',
        );
        app(TakeHandIn::class)($assignment, $this->students[0], 'For all of Red.');
        self::assertSame(
            ['' => 3, 'in' => 1, 'out' => 2],
            array_intersect_key(Cohort::of($assignment, [])->counts(), ['' => 1, 'in' => 1, 'out' => 1]),
        );
        self::assertSame(4, Cohort::of($assignment, ['by' => 'person'])->counts()['']);
        self::assertEqualsCanonicalizing(
            [$this->students[0]->id, $this->students[1]->id], Cohort::of($assignment, ['show' => 'in'])->students(),
        );
        $this->actingAs($this->coordinator)->get(route('collect.index', $assignment))->assertSee('by person')
            ->assertSee('Red');
    }

    public function test_those_shown_are_written_to_after_looking_and_it_is_kept(): void
    {
        Mail::fake();
        $assignment = $this->everywhere();
        $write = route('messages.store', [$assignment, 'show' => 'missing']);
        $text = ['subject' => 'Your {assignment}', 'body' => "Dear {first name},\n\nit was due {due}.  \n{link}"];
        $this->actingAs($this->coordinator)->get(route('messages.create', [$assignment, 'show' => 'missing']))
            ->assertOk()->assertSee('Write to 3 students');
        $this->post($write, $text)->assertOk()->assertSee('Dear Draft,')->assertSee('Send to 3 students')
            ->assertSee('s2@x.example');
        Mail::assertNotQueued(FromCoordinator::class);
        $this->post($write, ['send' => '1', 'seen' => '4'] + $text)->assertOk()
            ->assertSee('Nothing was sent: the list changed');
        $this->post($write, ['send' => '1', 'seen' => '3'] + $text)->assertRedirect(
            route('collect.index', [$assignment, 'show' => 'missing'])
        );
        Mail::assertQueued(FromCoordinator::class, 3);
        Mail::assertQueued(
            FromCoordinator::class,
            fn (FromCoordinator $mail) => $mail->hasTo('s1@x.example') && $mail->what === 'Your Salt'
                && str_contains($mail->render(), 'Dear Not,') && str_contains($mail->render(), 'Tue 12 Jan 2027 09:00')
                && $mail->hasReplyTo($this->coordinator->email),
        );
        self::assertSame(
            ['Missing after their due time', 3],
            [Message::query()->sole()->shown, Message::query()->sole()->recipients],
        );
        self::assertSame(
            3, LogbookLine::query()->where('event', LogEvent::StudentsWrittenTo)->sole()->details['students'],
        );
        $this->get(route('messages.create', $assignment))->assertSee('Your {assignment}');
        $this->post($write, ['subject' => 'x', 'body' => 'Dear {nmae}'])->assertSessionHasErrors(
            [
                'body' => '{nmae} is not filled in here; there are {name}, {first name}, {assignment}, {module}, {due}, {link}.',
            ]
        );
        $this->post($write, ['subject' => "x\r\nBcc: all@x.example", 'body' => 'y'])->assertSessionHasErrors('subject');
        $this->post(route('messages.store', [$assignment, 'show' => 'unread']), $text)->assertSessionHasErrors('body');
    }

    public function test_the_list_is_taken_away_as_csv_and_no_spreadsheet_runs_it(): void
    {
        $assignment = $this->everywhere();
        $this->students[0]->update(['name' => '=HYPERLINK("http://evil.example")']);
        $csv = $this->actingAs($this->coordinator)->get(route('collect.csv', [$assignment, 'show' => 'out']))
            ->assertOk()->streamedContent();
        $rows = Delimited::rows($csv);
        self::assertCount(5, $rows);
        self::assertSame(['Name', 'Number', 'Mail'], array_slice($rows[0], 0, 3));
        self::assertSame('\'=HYPERLINK("http://evil.example")', $rows[1][0]);
        self::assertSame(['yes', '2027-01-31 09:00:00'], [$rows[4][9], $rows[4][8]], 'with more time');
    }

    public function test_the_page_asks_the_database_as_often_for_many_as_for_few(): void
    {
        $count = function (int $students): int {
            $this->students = $this->tutors = [];
            $this->module(0, $students);
            $assignment = $this->assignment();
            $this->actingAs(User::query()->findOrFail($this->coordinator->id));
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get(route('collect.index', $assignment))->assertOk();

            return count(DB::getQueryLog());
        };
        self::assertSame($count(3), $count(60));
    }

    public function test_a_tutor_who_left_no_longer_opens_the_scripts_they_had(): void
    {
        $this->module(2, 3);
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk();
        app(ChangeMember::class)(
            Membership::query()->where('user_id', $mark->marker_id)->sole(), null, true, $this->coordinator,
        );
        foreach (
            [
                route('mark.desk', $mark), route('mark.file', [$mark, 'docx']), route('screen.show', $mark->script),
                route('moderate.show', $mark->script), route('mark.index', $mark->script->assignment),
            ] as $address
        ) {
            $this->actingAs($mark->marker->fresh() ?? $mark->marker)->get($address)->assertForbidden();
        }
    }

    public function test_a_leaver_is_not_waited_for_keeps_what_is_theirs_and_can_come_back(): void
    {
        $assignment = $this->everywhere();
        $this->actingAs($this->students[8]->fresh() ?? $this->students[8]);
        $this->get(route('receipts.show', $this->script($assignment, 8)->currentHandin))->assertOk();
        $this->get(route('hand-in.show', $assignment))->assertForbidden();
        $this->get(route('modules.show', $this->module))->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('modules.show', $this->module))->assertSee('4 of 8');
        $member = Membership::query()->where('user_id', $this->students[7]->id)->sole();
        $this->put(route('members.update', $member), ['section' => 'B', 'left' => '0'])->assertSessionHasNoErrors();
        self::assertSame(8, Cohort::of($assignment, [])->counts()[''] - 1);
        $own = Membership::query()->where('user_id', $this->coordinator->id)->sole();
        $this->put(route('members.update', $own), ['left' => '1'])->assertSessionHasErrors('left');
        self::assertNotNull(
            Membership::query()->where('user_id', $this->students[8]->id)->where('role', Role::Student)
                ->value('left_at')
        );
    }
}
