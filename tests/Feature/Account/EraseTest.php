<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\Keeping\ErasePerson;
use App\Actions\Release\ReleaseResults;
use App\Actions\Screen\ShelveHandin;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Erasure;
use App\Models\Handin;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\Notice;
use App\Models\OverlapSource;
use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\Result;
use App\Models\Review;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Crawl;
use Tests\Feature\Discuss\DiscussWorld;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Text\Words;

/**
 * A student is erased: the name stands nowhere any more, and every mark, figure and the chain stand.
 */
final class EraseTest extends TestCase
{
    use Crawl;
    use DiscussWorld;

    private const NAME = 'Olúwaseun Bräckwater';

    private User $admin;

    private User $student;

    /** @var list<string> */
    private array $before = [];

    protected function setUp(): void
    {
        parent::setUp();
        // What other tests have left behind is none of this one's.
        $this->before = Storage::allFiles();
        $this->admin = User::factory()->create(['is_admin' => true]);
    }

    /** A cohort of three whose results are out, in which one left traces everywhere. */
    private function cohort(): void
    {
        $this->module(2, 3);
        $this->student = $this->students[0];
        $this->student->update(['name' => self::NAME, 'email' => 'o.brackwater@merrow.example', 'number' => 'M777123']);
        $assignment = $this->sharedOut($this->assignment());
        $script = $this->script($assignment);
        $mark = $this->markOf($script, Seat::First);
        $text = (string) $script->currentHandin?->text;
        MarkComment::query()->create([
            'mark_id' => $mark->id, 'kind' => 'remark', 'criterion' => 'c1', 'body' => 'Olúwaseun Bräckwater says this well.',
            'anchor' => [
                'exact' => mb_substr($text, 0, 60), 'prefix' => '', 'suffix' => mb_substr($text, 60, 20), 'start' => 0, 'end' => 60,
            ],
        ]);
        foreach (array_keys($this->students) as $n) {
            $this->finishBoth($this->script($assignment, $n));
        }
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        $result = Result::query()->where('script_id', $script->id)->sole();
        Storage::put("results/{$result->public_id}.pdf", 'Drawn for Olúwaseun Bräckwater.');
        $thread = ReplyThread::query()->create(['script_id' => $script->id, 'about' => 'c1']);
        Storage::put('replies/page', 'A page that Olúwaseun wrote.');
        foreach ([[true, 'I, Olúwaseun Bräckwater, disagree.', 'replies/page'], [false, 'Dear Olúwaseun Bräckwater, read it again.', null]] as [$from, $body, $file]) {
            Reply::query()->create([
                'reply_thread_id' => $thread->id, 'author_id' => $from ? $this->student->id : $this->tutors[0]->id,
                'from_student' => $from, 'body' => $body, 'file_path' => $file, 'file_name' => $file === null ? '' : 'page.txt',
            ]);
        }
        Review::query()->create([
            'script_id' => $script->id, 'result_id' => $result->id, 'ground' => 'arithmetic', 'text' => 'It was added up wrongly.',
            'state' => 'stands', 'answer' => 'Dear Olúwaseun Bräckwater, it was not.', 'decided_at' => now(),
            'decided_by' => $this->coordinator->id, 'answer_by' => now(),
        ]);
        $membership = Membership::query()->where('user_id', $this->student->id)->sole();
        MemberNote::query()->create([
            'membership_id' => $membership->id, 'body' => 'Unwell in May.', 'student_reads' => false, 'author_id' => $this->coordinator->id,
        ]);
        Notice::query()->create([
            'user_id' => $this->coordinator->id, 'kind' => 'reply', 'once' => 'x', 'title' => 'Olúwaseun Bräckwater has written',
            'link' => '/', 'body' => 'from o.brackwater@merrow.example', 'mail' => 'none',
        ]);
        app(Logbook::class)->note(
            Entry::of(LogEvent::ScriptHeld)->on($script)->because('Olúwaseun Bräckwater is ill.')->by($this->coordinator)
        );
        // Somebody else wrote the name into what is no text of theirs.
        DB::table('assignments')->update(['brief' => 'Read what Bräckwater, Olúwaseun (M777123) wrote last year.']);
    }

    /** All that a backup made now would hold. */
    private function everything(): string
    {
        $all = '';
        foreach (DB::select('SHOW TABLES') as $table) {
            foreach (DB::table((string) current((array) $table))->get() as $row) {
                foreach ((array) $row as $value) {
                    $json = is_string($value) && preg_match('/^[\[{]/', $value) === 1 ? json_decode($value, true) : null;
                    $all .= (is_array($json) ? json_encode($json, JSON_UNESCAPED_UNICODE) : $value)."\n";
                }
            }
        }
        foreach (array_diff(Storage::allFiles(), $this->before) as $file) {
            $all .= "{$file}\n".Storage::get($file)."\n";
        }

        return $all;
    }

    public function test_the_name_stands_nowhere_and_every_mark_figure_and_the_chain_stand(): void
    {
        $this->cohort();
        $essay = 'Essay number 0.';
        $before = $this->everything();
        foreach ([self::NAME, 'o.brackwater@merrow.example', 'M777123', $essay, 'Unwell in May.', 'is ill.'] as $there) {
            self::assertStringContainsString($there, $before);
        }
        $figures = fn (): array => [
            DB::table('marks')->orderBy('id')->get(['id', 'total', 'done_at', 'marker_id'])->toJson(),
            DB::table('settlements')->orderBy('id')->pluck('mark')->all(),
            DB::table('results')->orderBy('id')->get(['id', 'mark', 'band', 'released_at'])->toJson(),
            DB::table('handins')->orderBy('id')->get(['id', 'words', 'sha256', 'seal', 'received_at'])->toJson(),
            Script::query()->orderBy('id')->pluck('standing', 'code')->all(),
        ];
        $kept = $figures();
        $texts = fn (): string => DB::table('handins')->where('handed_in_by', '<>', $this->student->id)->orderBy('id')
            ->get(['text', 'html'])->toJson();

        // A source of the same family name, and a comment that calls them by the given name.
        Handin::query()->where('handed_in_by', $this->students[1]->id)->sole()
            ->update(['text' => "Bräckwater\n\nAs argued by Bräckwater (1998), the tide pays."]);
        MarkComment::query()->where('body', 'like', '%says this well%')->sole()
            ->replicate(['public_id'])->fill(['body' => 'Well argued, Olúwaseun, all in all.'])->save();
        $others = $texts();
        $page = $this->actingAs($this->admin)->get(route('institution.erase', $this->student))->assertOk();
        $page->assertSee('What goes')->assertSee('Hand-ins')->assertDontSee('Nothing can be erased now');
        $send = fn (array $fields) => $this->post(route('institution.erase.store', $this->student), $fields);
        $send(['reason' => 'Asked.', 'confirm' => 'Somebody'])->assertSessionHasErrors('confirm');
        $send(['reason' => '', 'confirm' => self::NAME])->assertSessionHasErrors('reason');
        self::assertSame(self::NAME, $this->student->refresh()->name);
        $send(['reason' => 'Olúwaseun Bräckwater asked by letter on 3 March.', 'confirm' => self::NAME])
            ->assertRedirect(route('institution.person', $this->student));

        $after = $this->everything();
        foreach ([
            'Olúwaseun', 'Bräckwater, O', 'brackwater', '777123', $essay, 'Unwell in May.', 'is ill.', ', disagree.',
            'added up wrongly', 'A page that',
        ] as $gone) {
            $at = strpos($after, $gone);
            self::assertFalse($at, "{$gone}: ".substr($after, max(0, (int) $at - 200), 300));
        }
        self::assertStringContainsString('Dear [name hidden], it was not.', $after);
        self::assertStringContainsString('[name hidden] says this well.', $after);
        self::assertStringContainsString('Well argued, [name hidden], all in all.', $after);
        self::assertSame($kept, $figures());
        self::assertSame($others, $texts());
        self::assertSame(0, $this->artisan('logbook:verify')->run());
        $this->get(route('institution.person', $this->student))->assertOk()->assertSee('an erased student')
            ->assertSee('[name hidden] asked by letter on 3 March.')->assertDontSee('Send a link for a new password');
        $line = LogbookLine::query()->where('event', LogEvent::PersonErased)->with('words')->sole();
        self::assertSame('[name hidden] asked by letter on 3 March.', $line->text('reason'));
        self::assertGreaterThan(0, Erasure::query()->sole()->counts['files']);
    }

    public function test_every_page_of_those_who_stay_still_opens(): void
    {
        $this->cohort();
        app(ErasePerson::class)($this->student, 'Asked by letter.', $this->admin);
        foreach ([$this->coordinator, $this->tutors[0], $this->students[1]] as $person) {
            $this->sent = [];
            $this->actingAs($person->fresh() ?? $person);
            $this->crawl('/');
            $this->crawl("/modules/{$this->module->public_id}");
            foreach ($this->sent as $address => $text) {
                self::assertStringNotContainsString('Bräckwater', $text, $address);
                self::assertStringNotContainsString('Something went wrong on our side', $text, $address);
            }
            self::assertGreaterThan(10, count($this->sent));
        }
        $mark = Mark::query()->where('script_id', Script::query()->where('student_id', $this->student->id)->sole()->id)
            ->where('seat', Seat::First)->sole();
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertSee('This text was erased.');
        // Nobody signs in to it, and no link comes to it.
        $this->post(route('sign-out'));
        $this->post(route('sign-in.store'), ['email' => 'o.brackwater@merrow.example', 'password' => 'low-water-mark'])
            ->assertSessionHasErrors('email');
    }

    public function test_nothing_is_erased_while_work_is_marked_a_review_is_open_or_a_hold_stands_and_no_staff(): void
    {
        $this->module(2, 2);
        $this->sharedOut($this->assignment());
        $refused = function (User $who, string $why): void {
            try {
                app(ErasePerson::class)($who, 'Asked.', $this->admin);
                self::fail($why);
            } catch (Refused $e) {
                self::assertStringContainsString($why, $e->getMessage());
            }
        };
        $refused($this->students[0], 'is being marked');
        $refused($this->tutors[0], 'is or was staff');
        $refused($this->admin, 'is or was staff');
        $free = User::factory()->create(['name' => 'Held Person']);
        $this->actingAs($this->admin)->put(route('institution.hold', $free), [])->assertSessionHasErrors('reason');
        $this->put(route('institution.hold', $free), ['reason' => 'A case of misconduct is open.'])->assertSessionHas('said');
        $refused($free->refresh(), 'A case of misconduct is open.');
        $this->get(route('institution.erase', $free))->assertSee('Nothing can be erased now')->assertSee('End the hold');
        $this->put(route('institution.hold', $free), ['end' => '1'])->assertSessionHas('said');
        app(ErasePerson::class)($free->refresh(), 'Asked.', $this->admin);
        $refused($free->refresh(), 'was erased already');
        self::assertSame(1, Erasure::query()->count());
    }

    public function test_what_a_group_handed_in_and_the_name_of_a_namesake_stay(): void
    {
        $this->cohort();
        [, $two, $namesake] = $this->students;
        $namesake->update(['name' => self::NAME, 'email' => 'another@merrow.example']);
        [$lead, $member] = [$this->script($this->assignmentOf()), $this->script($this->assignmentOf(), 1)];
        $lead->forceFill(['group_name' => 'One'])->save();
        $member->forceFill(['group_name' => 'One', 'lead_id' => $lead->id])->save();
        app(ErasePerson::class)($this->student, 'Asked.', $this->admin);
        self::assertStringContainsString('Essay number 0.', (string) Handin::query()->findOrFail($lead->current_handin_id)->text);
        self::assertSame(self::NAME, $namesake->refresh()->name);
        self::assertSame($two->name, $two->refresh()->name);
        self::assertSame(1, Notice::query()->where('title', 'like', '%Bräckwater%')->count(), 'it may be of the other');
        self::assertSame(0, Reply::query()->where('body', 'like', '%Bräckwater%')->where('from_student', true)->count());
    }

    private function assignmentOf(): Assignment
    {
        return Assignment::query()->sole();
    }

    public function test_what_they_wrote_in_a_discussion_goes_and_the_talk_around_it_stays(): void
    {
        $this->discussion(3);
        $this->students[0]->update(['name' => 'Olúwaseun Bräckwater']);
        $post = $this->says(0, 'The dues were mine to pay, I say.');
        $reply = $this->says(1, 'I agree with Olúwaseun Bräckwater.', $post);
        $this->talk->forceFill(['results_out_at' => now()])->save();
        app(ErasePerson::class)($this->students[0]->refresh(), 'Asked.', $this->admin);
        self::assertSame('', $post->refresh()->text);
        self::assertSame('I agree with [name hidden].', $reply->refresh()->text);
        foreach ([$this->students[1], $this->coordinator] as $who) {
            $this->actingAs($who->fresh() ?? $who)->get(route('topics.show', $this->topic))->assertOk()
                ->assertSee('Erased with its writer.')->assertSee('I agree with')->assertDontSee('Bräckwater');
        }
    }

    public function test_what_is_asked_of_an_erased_text_is_answered_in_words(): void
    {
        $this->cohort();
        $assignment = $this->assignmentOf();
        $script = $this->script($assignment);
        app(ErasePerson::class)($this->student, 'Asked.', $this->admin);
        $this->actingAs($this->coordinator->fresh() ?? $this->coordinator)
            ->post(route('scripts.original', $script), ['original_reason' => 'To see it.'])
            ->assertSessionHasErrors(['original_reason' => 'This text was erased. What was marked of it stands.']);
        $this->post(route('screen.rerun', $assignment))->assertRedirect();
        $this->get(route('screen.index', $assignment))->assertOk();
        self::assertStringNotContainsString($script->code, $this->downloaded($this->get(route('collect.zip', $assignment))));
        $mark = $this->markOf($script, Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.file', [$mark, 'docx']))->assertNotFound();
    }

    public function test_prints_of_the_text_go_and_reports_that_named_it_are_worked_out_again(): void
    {
        $this->cohort();
        $own = Handin::query()->where('handed_in_by', $this->student->id)->sole();
        $other = Handin::query()->where('handed_in_by', $this->students[1]->id)->sole();
        foreach ([$own, $other] as $handin) {
            app(ShelveHandin::class)($handin, $handin->script, Words::of($handin->text));
        }
        $source = OverlapSource::query()->where('handin_id', $own->id)->sole();
        self::assertGreaterThan(0, DB::table('overlap_prints')->where('source_id', $source->id)->count());
        app(ErasePerson::class)($this->student, 'Asked.', $this->admin);
        self::assertSame(0, DB::table('overlap_prints')->where('source_id', $source->id)->count());
        self::assertSame(0, OverlapSource::query()->where('handin_id', $own->id)->count());
        self::assertSame(1, OverlapSource::query()->where('handin_id', $other->id)->count());
    }
}
