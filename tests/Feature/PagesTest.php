<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\Role;
use App\Mail\AddedToModule;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use App\Queries\AssignmentCounts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * What stands on pages for whom: the module page, the fairway, settings, errors, and queries that do not grow.
 */
final class PagesTest extends TestCase
{
    public function test_an_administrator_makes_a_module_and_its_coordinator_is_written_to(): void
    {
        Mail::fake();
        $admin = User::factory()->create(['is_admin' => true]);
        $this->actingAs($admin)
            ->post(
                route('modules.store'),
                [
                    'code' => 'AB1', 'title' => 'Tides', 'coordinator_name' => 'Zoë Ng',
                    'coordinator_email' => 'ZOE@merrow.example',
                ],
            )
            ->assertSessionHas('said');
        $module = Module::query()->sole();
        $coordinator = User::query()->where('email', 'zoe@merrow.example')->sole();
        self::assertTrue($coordinator->coordinates($module->id));
        Mail::assertQueued(\App\Mail\Welcome::class);
        $this->post(route('modules.store'), ['code' => '', 'title' => 'X'])
            ->assertSessionHasErrors(['code', 'coordinator_name', 'coordinator_email']);
        self::assertSame(1, Module::query()->count());
    }

    public function test_someone_with_an_account_joins_a_second_module_without_a_new_one(): void
    {
        Mail::fake();
        $this->module(0, 1);
        $other = Module::factory()->create();
        $coordinator = $this->member(Role::Coordinator, $other);
        $this->actingAs($coordinator)
            ->post(
                route('people.store', $other), ['role' => 'tutor', 'lines' => "Any Name, {$this->students[0]->email}"],
            )
            ->assertSessionHas('said', '1 person was added.');
        Mail::assertQueued(
            AddedToModule::class,
            fn (AddedToModule $mail) => $mail->hasTo($this->students[0]->email)
                && str_contains($mail->render(), 'as tutor'),
        );
        Mail::assertQueuedCount(1);
        $roles = $this->students[0]->memberships()->orderBy('id')->get()->map(fn (Membership $m) => $m->role)->all();
        self::assertSame([Role::Student, Role::Tutor], $roles);
        $this->post(
            route('people.store', $other), ['role' => 'tutor', 'lines' => "Any Name, {$this->students[0]->email}"],
        )
            ->assertSessionHas('said', '0 people were added; 1 was here already.');
    }

    public function test_a_students_module_page_shows_no_counts_and_nothing_that_is_not_open(): void
    {
        $this->module();
        $this->assignment(['title' => 'Open to all']);
        $this->assignment(
            [
                'title' => 'Opens next week', 'opens_at' => now()->addWeek(), 'due_at' => now()->addWeeks(2),
                'closes_at' => null,
            ]
        );
        $this->actingAs($this->students[0])->get(route('modules.show', $this->module))
            ->assertOk()
            ->assertSee('Open to all')
            ->assertDontSee('Opens next week')
            ->assertDontSee('Handed in')
            ->assertDontSee('Rubrics')
            ->assertSee($this->tutors[0]->name)
            ->assertDontSee($this->students[1]->name);
        $this->actingAs($this->coordinator)->get(route('modules.show', $this->module))
            ->assertSee('Opens next week')
            ->assertSee('0 of 3');
    }

    public function test_the_fairway_leads_each_role_only_where_it_may_go(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $links = function (User $person, string $page) use ($assignment): array {
            $html = (string) $this->actingAs($person)->get(route($page, $assignment))->assertOk()->getContent();
            preg_match('/aria-label="Stages.*?<\/nav>/s', $html, $nav);
            preg_match_all('~/assignments/[^/"]+/([a-z-]+)"~', $nav[0] ?? '', $found);

            return $found[1];
        };
        $every = ['plan', 'collect', 'screen', 'share-out', 'mark', 'moderate', 'release'];
        self::assertSame($every, $links($this->coordinator, 'collect.index'));
        self::assertSame(['mark', 'moderate'], $links($this->tutors[0], 'mark.index'));
        self::assertSame(['moderate'], $links($this->member(Role::Examiner), 'moderate.index'));
    }

    public function test_the_fairway_counts_agree_with_the_scripts(): void
    {
        $this->module(2, 4);
        $assignment = $this->sharedOut($this->assignment());
        $this->finishBoth($this->script($assignment, 0));
        $this->finish($this->markOf($this->script($assignment, 1), Seat::First), 'l3', 'l3');
        $this->finish($this->markOf($this->script($assignment, 1), Seat::Second), 'l1', 'l1');
        $this->finish($this->markOf($this->script($assignment, 2), Seat::First), 'l3', 'l3');
        $counts = app(AssignmentCounts::class)->of($assignment);
        self::assertSame(
            [4, 4, 4, 4, 2, 3, 2, 1, 1, 0],
            [
                $counts->expected, $counts->handedIn, $counts->screened, $counts->sharedOut, $counts->tutors,
                $counts->firstDone, $counts->secondDone, $counts->toSettle, $counts->agreed, $counts->released,
            ],
        );
    }

    public function test_each_person_is_led_to_their_own_place_in_an_assignment(): void
    {
        $this->module();
        $assignment = $this->assignment();
        foreach ([
            [$this->coordinator, 'collect.index'], [$this->tutors[0], 'mark.index'],
            [$this->member(Role::Examiner), 'moderate.index'], [$this->students[0], 'hand-in.show'],
        ] as [$person, $page]) {
            $this->actingAs($person)->get(route('assignments.show', $assignment))
                ->assertRedirect(route($page, $assignment));
        }
    }

    public function test_pages_with_many_scripts_ask_the_database_no_more_than_with_few(): void
    {
        $pages = ['collect.index', 'screen.index', 'share-out.index', 'mark.index', 'moderate.index', 'release.index'];
        $queries = [];
        foreach ([3, 15] as $students) {
            $this->tutors = $this->students = [];
            $this->module(2, $students);
            $assignment = $this->sharedOut($this->assignment());
            foreach (array_keys($this->students) as $n) {
                $this->finishBoth($this->script($assignment, $n));
            }
            foreach ([...$pages, 'grade-book.show'] as $page) {
                $person = $this->coordinator->fresh() ?? $this->coordinator;
                DB::flushQueryLog();
                DB::enableQueryLog();
                $this->actingAs($person)->get(route($page, $page === 'grade-book.show' ? $this->module : $assignment))
                    ->assertOk();
                $queries[$page][] = count(DB::getQueryLog());
                DB::disableQueryLog();
            }
        }
        foreach ($queries as $page => [$few, $many]) {
            self::assertSame($few, $many, $page);
        }
    }

    public function test_a_person_changes_how_pages_look_and_their_password(): void
    {
        $user = User::factory()->create();
        $this->actingAs($user)->put(route('account.theme'), ['theme' => 'dark'])->assertSessionHas('said');
        $this->get(route('account'))->assertSee('data-theme="dark"', false);
        $this->put(route('account.theme'), ['theme' => 'pink'])->assertSessionHasErrors('theme');

        $new = ['password' => 'a much longer one', 'password_confirmation' => 'a much longer one'];
        $this->put(route('account.password'), ['current_password' => 'wrong'] + $new)
            ->assertSessionHasErrors('current_password');
        $this->put(route('account.password'), ['current_password' => 'low-water-mark'] + $new)
            ->assertSessionHas('said');
        $this->app['auth']->forgetGuards();
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'a much longer one'])
            ->assertRedirect(route('today'));
    }

    public function test_signing_out_ends_the_session(): void
    {
        $this->actingAs(User::factory()->create())->post(route('sign-out'))->assertRedirect(route('sign-in'));
        $this->assertGuest();
        $this->get(route('today'))->assertRedirect(route('sign-in'));
    }

    /** As the first thing a process is asked, without a session. */
    public function test_an_address_that_leads_nowhere_has_a_page_of_ours(): void
    {
        $this->get('/no/such/place')->assertNotFound()->assertSee('There is nothing here')->assertSee('Go to Today');
    }

    public function test_errors_say_what_happened_in_plain_words(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $this->actingAs($this->tutors[0])->get(route('release.index', $assignment))
            ->assertForbidden()
            ->assertSee('Not yours to open')
            ->assertSee('belongs to another role');
        $this->get('/no/such/place')->assertNotFound()->assertSee('There is nothing here');
        $this->get(route('collect.index', 'not-a-uuid'))->assertNotFound();
    }

    public function test_the_mail_reader_shows_what_the_sink_kept(): void
    {
        $folder = (string) config('harbor.mail');
        File::ensureDirectoryExists($folder);
        File::put(
            "{$folder}/9999999999999999-00001.eml",
            "To: zoe@merrow.example\r\nSubject: =?utf-8?Q?Tide_&_=C3=89gg?=\r\nContent-Transfer-Encoding: quoted-printable\r\n\r\n<b>caf=C3=A9</b>\r\n",
        );
        $this->get(route('demo.mail'))->assertOk()
            ->assertSee('Tide & Égg')
            ->assertSee('zoe@merrow.example')
            ->assertSee('<b>café</b>');
        File::delete("{$folder}/9999999999999999-00001.eml");
        $this->module(1, 1);
        $this->get(route('demo'))
            ->assertOk()
            ->assertSee($this->students[0]->email)
            ->assertSee($this->coordinator->name);
    }

    public function test_the_rubric_list_shows_a_persons_own_modules_only(): void
    {
        $this->module();
        $this->readyRubric();
        $elsewhere = $this->member(Role::Coordinator, Module::factory()->create());
        $this->actingAs($this->coordinator)->get(route('rubrics.index'))
            ->assertSee('Two criteria')
            ->assertSee('ready, version 1');
        $this->actingAs($this->tutors[0])->get(route('rubrics.index'))
            ->assertSee('Two criteria')
            ->assertDontSee('>Create<', false);
        $this->actingAs($elsewhere)->get(route('rubrics.index'))
            ->assertDontSee('Two criteria')
            ->assertSee('No rubric yet');
    }

    public function test_students_of_a_large_module_stand_on_pages_and_are_found(): void
    {
        $this->module(1, 0);
        foreach (range(1, 101) as $n) {
            $this->member(Role::Student)->update(['name' => sprintf('Student %03d', $n), 'number' => "P{$n}"]);
        }
        $this->actingAs($this->coordinator)->get(route('people.index', $this->module))->assertSee('Student 100')
            ->assertDontSee('Student 101')->assertSee('1 to 100 of 101');
        $this->get(route('people.index', [$this->module, 'page' => 2]))->assertSee('Student 101')
            ->assertSee($this->tutors[0]->name);
        $this->get(route('people.index', [$this->module, 'q' => 'P101']))->assertSee('Student 101')
            ->assertDontSee('Student 100');
        $this->get(route('people.index', [$this->module, 'q' => '%']))->assertSee('Nobody matches.');
    }

    public function test_help_opens_at_the_part_of_the_page_someone_is_on(): void
    {
        $this->module();
        $assignment = $this->assignment();
        foreach ([
            [$this->coordinator, route('modules.show', $this->module), 'coordinator'],
            [$this->coordinator, route('screen.index', $assignment), 'screening'],
            [$this->coordinator, route('names.index', $assignment), 'names'],
            [$this->tutors[0], route('today'), 'marking'],
            [$this->member(Role::Examiner), route('today'), 'examiner'],
            [$this->students[0], route('today'), 'student'],
        ] as [$person, $page, $part]) {
            $this->actingAs($person)->get($page)->assertOk()->assertSee(route('help')."#{$part}", false);
            $this->actingAs($person)->get(route('help'))->assertOk()->assertSee("id=\"{$part}\"", false);
        }
    }
}
