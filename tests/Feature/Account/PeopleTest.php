<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\Collect\TakeHandIn;
use App\Enums\MailState;
use App\Enums\Role;
use App\Logbook\LogEvent;
use App\Mail\AddressChanged;
use App\Mail\NewPassword;
use App\Mail\SecondStepChanged;
use App\Models\Institution;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Notice;
use App\Models\Script;
use App\Models\User;
use App\Notices\SendNotices;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Accounts\SignInRules;

/**
 * An administrator's pages of people: found, renamed, let in again, closed, merged.
 */
final class PeopleTest extends TestCase
{
    private User $admin;

    protected function setUp(): void
    {
        parent::setUp();
        $this->admin = User::factory()->create(['is_admin' => true, 'name' => 'Ada Quill']);
    }

    public function test_people_are_found_over_all_modules_and_by_what_is_to_be_done(): void
    {
        $this->module(1, 2);
        $this->tutors[0]->update(['name' => 'Wren Halloran']);
        $closed = User::factory()->create(['closed_at' => now(), 'name' => 'Gone Goose']);
        User::factory()->create(['joined_at' => null, 'name' => 'Not Come']);
        $page = fn (array $query) => $this->actingAs($this->admin)->get(route('institution.people', $query))->assertOk();
        $page([])->assertSee('Wren Halloran')->assertSee("{$this->module->code} tutor")->assertDontSee('Gone Goose');
        $page(['q' => 'halloran'])->assertSee('Wren Halloran')->assertDontSee('Not Come');
        $page(['q' => '%'])->assertSee('Nobody matches');
        $page(['q' => $this->students[0]->number])->assertSee($this->students[0]->email);
        $page(['show' => 'closed'])->assertSee('Gone Goose')->assertDontSee('Wren Halloran');
        $page(['show' => 'not-come'])->assertSee('Not Come')->assertDontSee('Wren Halloran');
        $page(['show' => 'staff'])->assertSee('Wren Halloran')->assertDontSee($this->students[0]->email);
        $page(['show' => 'without-second-step'])->assertDontSee('Wren Halloran');
        Institution::query()->create(['sign_in' => SignInRules::fromArray(['second_step' => ['tutors', 'administrators']])]);
        $this->admin->forceFill(['second_secret' => 'x', 'second_since' => now()])->save();
        $page(['show' => 'without-second-step'])->assertSee('Wren Halloran')->assertDontSee($this->coordinator->email);
        $page(['q' => ['list'], 'show' => 'everything'])->assertSee('Wren Halloran');
        $this->get(route('institution.person', $closed))->assertSee('Open it again');
        $this->actingAs($this->coordinator->refresh())->get(route('institution.people'))->assertForbidden();
    }

    public function test_the_list_asks_no_more_of_the_database_with_more_people(): void
    {
        $this->module(2, 2);
        $count = function (): int {
            DB::enableQueryLog();
            $this->actingAs($this->admin)->get(route('institution.people'))->assertOk();
            $made = count(DB::getQueryLog());
            DB::flushQueryLog();
            DB::disableQueryLog();

            return $made;
        };
        $count();
        $few = $count();
        for ($n = 0; $n < 20; $n++) {
            $this->member(Role::Student);
        }
        self::assertSame($few, $count());
    }

    public function test_someone_is_renamed_everywhere_and_both_addresses_hear_of_a_new_one(): void
    {
        Mail::fake();
        $user = User::factory()->create(['name' => 'Mara Okafor', 'email' => 'mara@merrow.example', 'number' => 'M1']);
        $other = User::factory()->create(['number' => 'M2']);
        $fields = ['name' => 'Mara Lindqvist', 'given_name' => 'Mara', 'family_name' => 'Lindqvist', 'number' => 'M1'];
        $send = fn (array $with) => $this->actingAs($this->admin)->put(route('institution.person.update', $user), [
            ...$fields, 'email' => 'mara@merrow.example', 'seen' => $user->refresh()->detailsDigest(), ...$with,
        ]);
        $send(['email' => strtoupper($other->email)])->assertSessionHasErrors(['email']);
        $send(['number' => 'M2'])->assertSessionHasErrors(['number']);
        $send(['email' => 'no address'])->assertSessionHasErrors(['email']);
        $send(['name' => ' '])->assertSessionHasErrors(['name']);
        self::assertSame('Mara Okafor', $user->refresh()->name);
        $send([])->assertSessionHas('said', 'Saved.');
        Mail::assertNothingQueued();
        DB::table('password_reset_tokens')->insert(['email' => 'mara@merrow.example', 'token' => 'x']);
        $send(['email' => 'Mara.Lindqvist@merrow.example'])->assertSessionHas('said', 'Saved.');
        self::assertSame(['Mara Lindqvist', 'mara.lindqvist@merrow.example'], [$user->refresh()->name, $user->email]);
        self::assertSame(0, DB::table('password_reset_tokens')->count(), 'a link to the old address holds no more');
        foreach (['mara@merrow.example', 'mara.lindqvist@merrow.example'] as $address) {
            Mail::assertQueued(AddressChanged::class, fn (AddressChanged $mail) => $mail->hasTo($address));
        }
        $line = LogbookLine::query()->where('event', LogEvent::AccountChanged)->latest('number')->firstOrFail();
        self::assertSame(['email'], $line->details['changed']);
        self::assertStringNotContainsString('okafor', strtolower($line->toJson()));
        $send(['email' => 'mara.lindqvist@merrow.example'])->assertSessionHas('said', 'Nothing was different, so nothing was changed.');
    }

    public function test_of_two_who_change_an_account_at_once_the_second_is_told_and_loses_nothing(): void
    {
        $user = User::factory()->create(['name' => 'Mara Okafor', 'email' => 'mara@merrow.example', 'number' => 'M1']);
        $seen = $user->detailsDigest();
        $send = fn (string $name, string $seen) => $this->actingAs($this->admin)
            ->from(route('institution.person', $user))->put(route('institution.person.update', $user), [
                'name' => $name, 'email' => $user->email, 'number' => 'M1', 'seen' => $seen,
            ]);
        $send('Mara Lindqvist', $seen)->assertSessionHas('said', 'Saved.');
        $send('Mara Okafor-Lindqvist', $seen)->assertSessionHasErrors('refused');
        self::assertSame('Mara Lindqvist', $user->refresh()->name);
        $this->get(route('institution.person', $user))->assertSee('it is Mara Lindqvist, mara@merrow.example, M1 now')
            ->assertSee('value="Mara Okafor-Lindqvist"', false)->assertSee($user->detailsDigest());
        $send('Mara Okafor-Lindqvist', $user->detailsDigest())->assertSessionHas('said', 'Saved.');
        $this->put(route('institution.person.update', $user), ['name' => 'X', 'email' => $user->email])
            ->assertSessionHasErrors('seen');
    }

    public function test_someone_who_lost_phone_and_codes_is_let_in_again_for_a_reason(): void
    {
        Mail::fake();
        $user = User::factory()->create(['second_secret' => 'x', 'second_since' => now()]);
        DB::table('sessions')->insert(
            ['id' => 'elsewhere', 'user_id' => $user->id, 'payload' => '', 'last_activity' => now()->getTimestamp()],
        );
        $this->actingAs($this->admin)->delete(route('institution.person.second-step', $user), ['reason' => ' '])
            ->assertSessionHasErrors('reason');
        self::assertTrue($user->refresh()->hasSecondStep());
        $this->delete(route('institution.person.second-step', $user), ['reason' => 'Called her at her office.'])
            ->assertSessionHas('said');
        self::assertFalse($user->refresh()->hasSecondStep());
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        Mail::assertQueued(SecondStepChanged::class, fn (SecondStepChanged $mail) => $mail->what === 'taken_off');
        $this->get(route('institution.person', $user))->assertSee('took someone’s second step of signing in off')
            ->assertSee('Called her at her office.');
        $this->post(route('institution.person.link', $user))->assertSessionHas('said');
        Mail::assertQueued(NewPassword::class);
    }

    public function test_nobody_signs_in_to_a_closed_account_or_goes_on_in_it(): void
    {
        Mail::fake();
        $this->module(0, 1);
        $user = $this->students[0];
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark']);
        $this->get(route('today'))->assertOk();
        $user->forceFill(['closed_at' => now()])->save();
        $this->app['auth']->forgetGuards();
        $this->get(route('today'))->assertRedirect(route('sign-in'))->assertSessionHasErrors('expired');
        $this->assertGuest();
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'wrong'])
            ->assertSessionHasErrors(['email' => 'That e-mail address and password do not go together.']);
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark'])
            ->assertSessionHasErrors(['email' => __('accounts.closed.sign_in')]);
        $this->post(route('forgotten.store'), ['email' => $user->email]);
        Mail::assertNothingQueued();

        $this->actingAs($this->admin)
            ->put(route('institution.person.closed', $user), ['close' => '0', 'reason' => 'Back from leave.'])
            ->assertSessionHas('said');
        self::assertNull($user->refresh()->closed_at);
        $this->put(route('institution.person.closed', $user), ['close' => '1'])->assertSessionHasErrors('reason');
        $this->put(route('institution.person.closed', $user), ['close' => '1', 'reason' => 'Has left the college.']);
        self::assertNotNull($user->refresh()->closed_at);
        self::assertSame(
            [LogEvent::AccountOpened, LogEvent::AccountClosed],
            LogbookLine::query()->where('subject', $user->public_id)->orderBy('number')->get()->pluck('event')->all(),
        );
        Notice::query()->create([
            'user_id' => $user->id, 'kind' => 'reply', 'once' => 'x', 'title' => 'x', 'link' => '/', 'subject' => 'x',
            'mail' => MailState::Waiting, 'mail_from' => now()->subMinute(),
        ]);
        app(SendNotices::class)();
        Mail::assertNothingSent();
        self::assertSame(MailState::None, Notice::query()->where('once', 'x')->sole()->mail);
        $this->put(route('institution.person.closed', $this->admin), ['close' => '1', 'reason' => 'Me.'])
            ->assertSessionHasErrors('refused');
    }

    public function test_there_is_always_an_administrator_left(): void
    {
        $this->actingAs($this->admin)->put(route('institution.person.administrator', $this->admin), ['is' => '0'])
            ->assertSessionHasErrors('refused');
        $two = User::factory()->create();
        $closed = User::factory()->create(['closed_at' => now()]);
        $this->put(route('institution.person.administrator', $closed), ['is' => '1'])->assertSessionHasErrors('refused');
        $this->put(route('institution.person.administrator', $two), ['is' => '1'])->assertSessionHas('said');
        $this->put(route('institution.person.administrator', $this->admin), ['is' => '0'])->assertRedirect(route('today'));
        self::assertFalse($this->admin->refresh()->is_admin);
        $this->actingAs($this->admin)->get(route('institution.people'))->assertForbidden();
    }

    public function test_a_student_who_came_twice_becomes_one_with_all_they_had(): void
    {
        $this->module(2, 2);
        $assignment = $this->released();
        $keep = User::factory()->create(['number' => null]);
        $gone = $this->students[0];
        $number = $gone->number;
        $other = Module::factory()->create();
        Membership::factory()->create(['module_id' => $other->id, 'user_id' => $keep->id, 'role' => Role::Student]);
        $script = Script::query()->where('student_id', $gone->id)->firstOrFail();
        $this->actingAs($this->admin)->get(route('institution.merge', [$keep, 'with' => 'nobody@merrow.example']))
            ->assertSessionHasErrors('with');
        $this->get(route('institution.merge', [$keep, 'with' => $gone->email]))->assertOk()
            ->assertSee("It comes newly into {$this->module->code}")->assertSee('This cannot be undone');
        self::assertSame($gone->id, $script->refresh()->student_id, 'a look changes nothing');
        $this->post(route('institution.merge.store', $keep), ['gone' => $gone->public_id, 'reason' => ''])
            ->assertSessionHasErrors('reason');
        $this->post(route('institution.merge.store', $keep), ['gone' => $gone->public_id, 'reason' => 'Two addresses.'])
            ->assertRedirect(route('institution.person', $keep));

        self::assertSame($keep->id, $script->refresh()->student_id);
        self::assertSame($number, $keep->refresh()->number);
        self::assertEqualsCanonicalizing(
            [$other->id, $this->module->id], $keep->memberships()->pluck('module_id')->all(),
        );
        $gone->refresh();
        self::assertSame([$keep->id, null], [$gone->merged_into_id, $gone->password]);
        self::assertNotNull($gone->closed_at);
        $this->actingAs($keep->fresh() ?? $keep)->get(route('hand-in.show', $assignment))->assertOk();
        self::assertSame(0, $this->artisan('logbook:verify')->run());
        $this->actingAs($this->admin)->post(
            route('institution.merge.store', $this->students[1]), ['gone' => $gone->public_id, 'reason' => 'Again.'],
        )->assertSessionHasErrors('refused');
    }

    public function test_a_tutor_who_came_twice_keeps_their_marks_and_who_has_marked_one_script_twice_stays_two(): void
    {
        $this->module(2, 2);
        $this->released();
        $marks = Mark::query()->where('marker_id', $this->tutors[0]->id)->count();
        self::assertGreaterThan(0, $marks);
        $keep = User::factory()->create();
        $this->actingAs($this->admin)->post(
            route('institution.merge.store', $keep), ['gone' => $this->tutors[0]->public_id, 'reason' => 'Two.'],
        )->assertRedirect(route('institution.person', $keep));
        self::assertSame($marks, Mark::query()->where('marker_id', $keep->id)->count());
        // The other tutor was the other marker of the same scripts.
        $this->get(route('institution.merge', [$keep, 'with' => $this->tutors[1]->email]))
            ->assertSee('They cannot be merged as they are')->assertSee('a mark of the same script');
        $this->post(
            route('institution.merge.store', $keep), ['gone' => $this->tutors[1]->public_id, 'reason' => 'Two.'],
        )->assertSessionHasErrors('refused');
        self::assertNull($this->tutors[1]->refresh()->merged_into_id);
    }

    public function test_two_places_in_one_module_become_one_only_when_one_is_empty(): void
    {
        $this->module(1, 3);
        $assignment = $this->assignment();
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($assignment, $this->students[$n], "Essay number {$n}. ".$this->prose(80, $n));
        }
        [$one, $two, $empty] = $this->students;
        $this->actingAs($this->admin)->get(route('institution.merge', [$one, 'with' => $two->email]))
            ->assertSee("both have something in “{$assignment->title}”");
        $this->get(route('institution.merge', [$one, 'with' => $this->tutors[0]->email]))
            ->assertSee('A person has one role in a module');
        $this->get(route('institution.merge', [$empty, 'with' => $one->email]))
            ->assertSee("Both are in “{$assignment->title}”");
        $this->post(
            route('institution.merge.store', $empty), ['gone' => $one->public_id, 'reason' => 'The roster had both.'],
        )->assertSessionHas('said');
        $script = Script::query()->where('student_id', $empty->id)->sole();
        self::assertNotNull($script->current_handin_id);
        self::assertSame(2, Script::query()->where('assignment_id', $assignment->id)->count());
        self::assertSame(1, Membership::query()->where('user_id', $empty->id)->count());
    }
}
