<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Collect\DecideAlone;
use App\Actions\Collect\TakeHandIn;
use App\Desk\DeskQueue;
use App\Documents\HandinCopies;
use App\Exceptions\Refused;
use App\Extraction\Cage;
use App\Extraction\CopyKind;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\OverlapReport;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use ZipArchive;

/**
 * What is no name and still could tell whose script it is: times, orders, small sections, other work of the same
 * student, lists that put together names and codes.
 */
final class SideChannelsTest extends TestCase
{
    public function test_the_desk_tells_nothing_of_an_attempt_that_came_after_the_one_to_mark(): void
    {
        $this->module(2, 1);
        $assignment = $this->assignment();
        foreach (['In time, the first. ', 'In time, the second. '] as $n => $text) {
            app(TakeHandIn::class)($assignment, $this->students[0], $text.$this->prose(50, $n));
        }
        Carbon::setTestNow(now()->addDays(1)->addHour());
        app(TakeHandIn::class)($assignment, $this->students[0], 'Late, the third. '.$this->prose(50, 3));
        Carbon::setTestNow(now()->addDay());
        $this->shareOut($assignment);
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertSee('attempt 2 of 2')
            ->assertDontSee('Attempt 3');
        $this->get(route('mark.desk', [$mark, 'attempt' => 1]))->assertOk()->assertSee('In time, the first.');
        $this->get(route('mark.desk', [$mark, 'attempt' => 3]))->assertNotFound();
    }

    public function test_a_marker_cannot_choose_a_section_of_one_or_two(): void
    {
        $this->module(1, 9);
        foreach ($this->students as $n => $student) {
            Membership::query()->where('user_id', $student->id)->update(['section' => match (true) {
                $n < 4 => 'A', $n < 8 => 'B', default => 'C'
            }]);
        }
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->oneMark()]));
        $alone = $this->script($assignment, 8)->code;
        $page = $this->actingAs($this->tutors[0])->get(route('mark.index', $assignment))->assertOk();
        self::assertSame(
            ['A, C', 'B'], array_keys(app(DeskQueue::class)->sections($assignment->id, $this->tutors[0]->id)),
        );
        $page->assertSee('>A, C</a>', false)->assertDontSee('>C</a>', false);
        // The address alone gives no way round.
        foreach (['C', 'A', 'A, B'] as $section) {
            self::assertSame(
                9,
                substr_count(
                    (string) $this->get(route('mark.index', [$assignment, 'section' => $section]))->getContent(),
                    'class="code" href',
                ),
                $section,
            );
        }
        self::assertSame(
            5,
            substr_count(
                (string) $this->get(route('mark.index', [$assignment, 'section' => 'A, C']))->assertSee($alone)
                    ->getContent(),
                'class="code" href',
            ),
        );
    }

    public function test_a_report_joins_no_other_work_of_the_student_to_a_script(): void
    {
        $this->module(2, 3);
        $earlier = $this->assignment(['title' => 'Earlier essay']);
        $shared = 'The pans at the mouth of the river were drawn twice a day in every dry summer that the ledgers know of, and once in wet ones.';
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)(
                $earlier, $student,
                (
                    $n === 0 ? "{$shared} A secret of the earlier essay stands right here. " : ''
                ).$this->prose(60, $n + 50),
            );
        }
        $now = $this->assignment(['title' => 'Salt now']);
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)($now, $student, ($n < 2 ? "{$shared} " : '').$this->prose(60, $n));
        }
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($now);
        $script = $this->script($now, 0);
        $report = OverlapReport::query()->where('handin_id', $script->current_handin_id)->sole();
        $own = $report->matches->first(fn ($match) => $match->source->handin?->script->assignment_id === $earlier->id);
        self::assertNotNull($own, 'the earlier essay is a source');
        $marker = $this->markOf($script, Seat::First)->marker;
        $pages = fn (): string => implode(
            "\n",
            array_map(
                fn (array $query) => (string) $this->get(route('screen.show', [$script, ...$query]))->assertOk()
                    ->getContent(),
                [[], ['run' => 1], ['run' => 2], ['run' => 1, 'whole' => 1], ['run' => 2, 'whole' => 1]],
            ),
        );
        $seen = html_entity_decode(
            $this->actingAs($marker)->get(route('screen.show', $script))->assertOk()->getContent() ?: ''
        ).$pages();
        foreach (['Earlier essay', 'same student', 'A secret of the earlier essay'] as $joined) {
            self::assertStringNotContainsString($joined, $seen);
        }
        self::assertStringContainsString('A hand-in of another assignment', $seen);
        $path = (string) tempnam(sys_get_temp_dir(), 'report');
        file_put_contents($path, (string) $this->get(route('screen.pdf', $script))->assertOk()->getContent());
        $text = (string) preg_replace(
            '/\s+/', ' ', (new \Symfony\Component\Process\Process(['pdftotext', $path, '-']))->mustRun()->getOutput(),
        );
        self::assertStringNotContainsString('Earlier essay', $text);
        self::assertStringNotContainsString('A secret of the earlier', $text);
        // The coordinator knows; and does not while marking it.
        $this->actingAs($this->coordinator);
        self::assertStringContainsString('The same student’s own', html_entity_decode($pages()));
        Mark::query()->where('script_id', $script->id)->where('seat', 'first')
            ->update(['marker_id' => $this->coordinator->id]);
        self::assertStringNotContainsString('same student', html_entity_decode($pages()));
    }

    public function test_a_marker_reads_another_script_around_a_passage_and_not_the_whole_of_it(): void
    {
        $this->module(2, 4);
        $assignment = $this->assignment(['scheme' => $this->oneMark()]);
        $shared = 'The pans at the mouth of the river were drawn twice a day in every dry summer that the ledgers know of, and once in wet ones.';
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)(
                $assignment, $student, ($n < 2 ? "{$shared} " : '').$this->prose(400, $n)." The end of number {$n}.",
            );
        }
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $mark = $this->markOf($this->script($assignment, 0), Seat::First);
        $other = $this->markOf($this->script($assignment, 1), Seat::First);
        $other->update(
            [
                'marker_id' => array_values(
                    array_filter($this->tutors, fn (User $tutor) => $tutor->id !== $mark->marker_id)
                )[0]->id,
            ]
        );
        $whole = fn (): string => html_entity_decode(
            (string) $this->actingAs($mark->marker)
                ->get(route('screen.show', [$mark->script, 'run' => 1, 'whole' => 1]))->assertOk()->getContent()
        );
        self::assertStringNotContainsString('The end of number 1.', $whole());
        self::assertStringNotContainsString('the whole source', $whole());
        $other->update(['marker_id' => $mark->marker_id]);
        self::assertStringContainsString('The end of number 1.', $whole(), 'one’s own scripts are read whole');
    }

    public function test_lists_and_archives_that_leave_are_in_the_logbook_and_dated_alike(): void
    {
        $this->module(2, 2);
        $assignment = $this->sharedOut($this->assignment());
        $this->actingAs($this->coordinator);
        foreach (
            [
                route('collect.csv', $assignment), route('grade-book.csv', $this->module),
                route('rosters.export', [$this->module, 'csv']),
            ] as $address
        ) {
            $this->get($address)->assertOk();
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $this->get(route('collect.zip', $assignment))->assertOk()->streamedContent());
        self::assertEqualsCanonicalizing(
            [LogEvent::GradeBookTaken, LogEvent::CohortListTaken, LogEvent::ListOfPeopleTaken, LogEvent::ScriptsTaken],
            LogbookLine::query()->where('actor', $this->coordinator->public_id)->where('event', 'LIKE', '%taken')->get()
                ->pluck('event')->all(),
        );
        $zip = new ZipArchive;
        $zip->open($path);
        $times = array_map(fn (int $n) => $zip->statIndex($n)['mtime'] ?? null, range(0, $zip->count() - 1));
        self::assertSame([mktime(0, 0, 0, 1, 1, 1980)], array_values(array_unique($times)));
        self::assertSame(3, $zip->count(), 'the scripts and the list, no folder');
    }

    public function test_signing_out_leaves_nothing_in_the_browser(): void
    {
        $this->module(1, 1);
        $this->actingAs($this->tutors[0])->post(route('sign-out'))->assertRedirect(route('sign-in'))
            ->assertHeader('Clear-Site-Data', '"cache", "storage"');
    }

    public function test_a_family_name_alone_is_the_coordinators_to_judge_and_shown_without_the_name(): void
    {
        $this->module(2, 2);
        $this->students[0]->update(['name' => 'Layla Haddad', 'number' => null, 'email' => 'lh1@merrow.example']);
        $assignment = $this->assignment();
        $text = implode(
            "\n\n",
            [
                ...array_map(fn (int $n) => $this->prose(20, $n), range(1, 9)),
                'The best account is that of Haddad, who walked the roads.',
                ...array_map(fn (int $n) => $this->prose(20, $n), range(10, 15)),
            ],
        );
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], $text);
        $copy = app(HandinCopies::class)->path($handin, CopyKind::Html);
        self::assertStringContainsString('that of Haddad', (string) Storage::get($copy));
        self::assertStringContainsString('that of Haddad, who', $handin->text);
        $script = $this->script($assignment);
        $this->actingAs($this->coordinator)->get(route('share-out.index', $assignment))
            ->assertSee('1 script has a family name that may be its author’s or a source’s');
        $page = $this->get(route('names.index', $assignment))->assertOk()->assertSee($script->code)
            ->assertSee('that of ______, who walked');
        self::assertStringNotContainsString('Haddad', (string) $page->getContent());
        $this->post(route('names.decide', $script), ['what' => 'neither'])->assertSessionHasErrors('what');

        $this->post(
            route('names.decide', $script), ['what' => 'hide'],
        )->assertRedirect(route('names.index', $assignment));
        $handin->refresh();
        self::assertStringNotContainsString('Haddad', $handin->text.$handin->html);
        self::assertStringContainsString('that of [name hidden], who walked the roads.', $handin->text);
        self::assertStringNotContainsString(
            'Haddad', (string) Storage::get(app(HandinCopies::class)->path($handin, CopyKind::Html)),
            'nor in a file that was made before',
        );
        $line = LogbookLine::query()->where('event', LogEvent::NameHidden)->sole();
        self::assertSame($script->code, $line->subject);
        self::assertStringNotContainsString('Haddad', (string) json_encode($line->details));
        $this->get(route('names.index', $assignment))->assertSee('No name needs a decision');

        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        DB::table('marks')->where('script_id', $script->id)->update(['begun_at' => now()]);
        $this->expectException(Refused::class);
        $this->expectExceptionMessage("A marker has begun {$script->code}");
        app(DecideAlone::class)($script, true, $this->coordinator);
    }

    public function test_health_says_how_files_are_read_and_needs_no_sign_in(): void
    {
        $answer = $this->get('/up')->assertOk();
        self::assertStringStartsWith(
            "up\ndatabase: works\nfiles: works\napplication: works\n", (string) $answer->getContent(),
        );
        self::assertStringContainsString(
            "\nreaders: ".(
                Cage::holds()
                    ? 'caged (bubblewrap)'
                    : 'look: without a cage: bubblewrap is not installed or the kernel refuses it'
            )."\npictures: looked through for names",
            (string) $answer->getContent(),
        );
        \Illuminate\Support\Facades\Event::listen(
            \Illuminate\Foundation\Events\DiagnosingHealth::class,
            fn () => throw new \RuntimeException('the queue stands still'),
        );
        $this->get('/up')->assertStatus(503)->assertSee('application: does not work')->assertDontSee('stands still');
    }

    public function test_a_recording_that_names_its_marker_is_not_kept(): void
    {
        $this->module(2, 1);
        $this->tutors[0]->update(['name' => 'Tomasz Wiśniewski']);
        $this->tutors[1]->update(['name' => 'Tomasz Wiśniewski']);
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        // The head of a WebM file (Matroska, EBML), with a title in it.
        $webm = "\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01\x42\xF7\x81\x01\x42\xF2\x81\x04\x42\xF3\x81\x08\x42\x82\x84webm\x42\x87\x81\x04\x42\x85\x81\x02\x18\x53\x80\x67";
        $send = fn (
            string $bytes, string $name = 'voice.webm', string $kind = 'voice',
        ) => $this->actingAs($mark->marker)->postJson(
            route('attachments.store', $mark),
            [
                'kind' => $kind, $kind === 'file' ? 'file' : 'recording' => Files::upload($bytes, $name),
                'seconds' => '5',
            ],
        );
        $send($webm.'Title Feedback by Tomasz Wisniewski'."\0".str_repeat('x', 200))->assertStatus(409)
            ->assertSee('names you in its properties');
        $send($webm.str_repeat('x', 200))->assertOk();
        $send('Notes on salt.', 'wisniewski notes.txt', 'file')->assertOk();
        self::assertEqualsCanonicalizing(['', 'feedback.txt'], $mark->attachments()->pluck('name')->all());
    }
}
