<?php

declare(strict_types=1);

namespace Tests\Feature\Attacks;

use App\Models\Institution;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Accounts\SignInRules;
use YoungHarbor\Core\Accounts\TimeCode;

/**
 * Ways into somebody's account, or past what the institution asks.
 */
final class AccountsTest extends TestCase
{
    private const SECRET = 'twenty random bytes!';

    public function test_a_password_alone_does_nothing_where_a_second_step_is_set(): void
    {
        $user = User::factory()->create(['second_secret' => self::SECRET, 'second_since' => now()]);
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark']);
        foreach ([
            ['get', route('second-step'), []], ['post', route('second-step.store'), ['code' => '1', 'current_password' => 'low-water-mark']],
            ['delete', route('second-step.destroy'), ['current_password' => 'low-water-mark']],
            ['post', route('second-step.codes'), ['current_password' => 'low-water-mark']],
            ['post', route('kept.download'), ['current_password' => 'low-water-mark']],
            ['put', route('account.password'), ['current_password' => 'low-water-mark']], ['get', route('today'), []],
        ] as [$method, $address, $fields]) {
            $this->call($method, $address, $fields)->assertRedirect(route('sign-in'));
        }
        self::assertTrue($user->refresh()->hasSecondStep());
        self::assertSame(0, DB::table('recovery_codes')->count());
    }

    public function test_a_reset_of_the_password_does_not_go_round_the_second_step(): void
    {
        Mail::fake();
        $user = User::factory()->create(['second_secret' => self::SECRET, 'second_since' => now()]);
        $token = app('auth.password.broker')->createToken($user);
        $this->post(route('password.update'), [
            'email' => $user->email, 'token' => $token, 'password' => 'five pans of brine',
            'password_confirmation' => 'five pans of brine',
        ])->assertRedirect(route('sign-in'));
        $this->assertGuest();
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'five pans of brine'])
            ->assertRedirect(route('sign-in.code'));
        $this->assertGuest();
    }

    public function test_a_code_begun_as_one_person_lets_nobody_else_in(): void
    {
        [$one, $two] = [
            User::factory()->create(['second_secret' => self::SECRET, 'second_since' => now()]),
            User::factory()->create(['second_secret' => 'another secret of 20', 'second_since' => now()]),
        ];
        $this->post(route('sign-in.store'), ['email' => $one->email, 'password' => 'low-water-mark']);
        $code = TimeCode::code('another secret of 20', TimeCode::step(now()->getTimestamp()));
        $this->post(route('sign-in.code.store'), ['code' => $code, 'user' => $two->id, 'email' => $two->email])
            ->assertSessionHasErrors('code');
        $this->assertGuest();
    }

    public function test_nobody_makes_themselves_an_administrator_or_another_person(): void
    {
        $user = User::factory()->create();
        $other = User::factory()->create(['email' => 'other@merrow.example']);
        $this->actingAs($user);
        foreach (['account.theme' => ['theme' => 'dark'], 'account.mail' => ['daily_mail' => '1']] as $route => $fields) {
            $this->put(route($route), [...$fields, 'is_admin' => '1', 'email' => 'x@merrow.example', 'second_since' => '']);
        }
        foreach (['institution.person.administrator', 'institution.person.update', 'institution.person.closed'] as $route) {
            $this->put(route($route, $user), ['is' => '1', 'name' => 'X', 'email' => 'x@merrow.example', 'reason' => 'x'])
                ->assertForbidden();
        }
        $this->post(route('institution.merge.store', $user), ['gone' => $other->public_id, 'reason' => 'Mine.'])
            ->assertForbidden();
        $this->post(route('institution.person.data', $other), ['reason' => 'I want it.'])->assertForbidden();
        $user->refresh();
        self::assertSame([false, null], [$user->is_admin, $other->refresh()->merged_into_id]);
        self::assertNotSame('x@merrow.example', $user->email);
    }

    public function test_who_needs_a_second_step_does_nothing_with_a_fresh_session(): void
    {
        $this->module(1, 1);
        Institution::query()->create(['sign_in' => SignInRules::fromArray(['second_step' => ['coordinators']])]);
        $before = DB::table('memberships')->count();
        $this->anew($this->coordinator)
            ->post(route('people.store', $this->module), ['role' => 'student', 'lines' => 'A New One, new@merrow.example'])
            ->assertRedirect(route('second-step'));
        $this->anew($this->coordinator)->postJson(route('people.store', $this->module), [])->assertForbidden();
        self::assertSame($before, DB::table('memberships')->count());
    }

    public function test_hostile_words_as_codes_links_and_names_are_refused_in_words(): void
    {
        $admin = User::factory()->create(['is_admin' => true]);
        $user = User::factory()->create(['second_secret' => self::SECRET, 'second_since' => now()]);
        $this->get('/sign-in/link/'.str_repeat('x', 2000))->assertRedirect(route('sign-in'));
        $this->get('/sign-in/link/%00%ff')->assertStatus(400);
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark']);
        foreach ([['code' => ['1']], ['code' => str_repeat('9', 5000)], ['code' => "\xff\xfe"], []] as $fields) {
            $this->from(route('sign-in.code'))->post(route('sign-in.code.store'), $fields)
                ->assertRedirect(route('sign-in.code'))->assertSessionHasErrors('code');
        }
        $this->assertGuest();
        $this->actingAs($admin)->put(route('institution.person.update', $user), [
            'name' => '<script>alert(1)</script>', 'email' => $user->email, 'seen' => $user->refresh()->detailsDigest(),
        ])->assertSessionHas('said');
        $this->get(route('institution.person', $user))->assertOk()->assertDontSee('<script>alert(1)', false);
        $this->get(route('institution.people', ['q' => '<script>']))->assertOk()->assertDontSee('<script>alert(1)', false);
        $this->post(route('institution.running.again'), ['job' => ['x']])->assertRedirect();
    }
}
