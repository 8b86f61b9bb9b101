<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\Account\MakeRecoveryCodes;
use App\Actions\Account\SetSignInRules;
use App\Enums\Role;
use App\Logbook\LogEvent;
use App\Mail\RecoveryCodeUsed;
use App\Mail\SecondStepChanged;
use App\Models\LogbookLine;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;
use YoungHarbor\Core\Accounts\Base32;
use YoungHarbor\Core\Accounts\SignInRules;
use YoungHarbor\Core\Accounts\TimeCode;

/**
 * A code from a phone besides the password: set, asked for, lost, required.
 */
final class SecondStepTest extends TestCase
{
    private const SECRET = 'twenty random bytes!';

    private function withPhone(): User
    {
        return User::factory()->create(['second_secret' => self::SECRET, 'second_since' => now()]);
    }

    private function code(int $away = 0): string
    {
        return TimeCode::code(self::SECRET, TimeCode::step(now()->getTimestamp()) + $away);
    }

    private function password(User $user): TestResponse
    {
        return $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark']);
    }

    private function gives(string $code): TestResponse
    {
        return $this->from(route('sign-in.code'))->post(route('sign-in.code.store'), ['code' => $code]);
    }

    public function test_someone_sets_it_with_their_phone_and_is_signed_out_everywhere_else(): void
    {
        Mail::fake();
        $user = User::factory()->create();
        DB::table('sessions')->insert(
            ['id' => 'elsewhere', 'user_id' => $user->id, 'payload' => '', 'last_activity' => now()->getTimestamp()],
        );
        $page = $this->actingAs($user)->get(route('second-step'))->assertOk();
        self::assertSame(1, preg_match('/secret=([A-Z2-7]+)&amp;issuer=Merrow%20Coast%20College/', (string) $page->getContent(), $found));
        self::assertStringContainsString(trim(chunk_split($found[1], 4, ' ')), (string) $page->getContent());
        $secret = (string) Base32::decode($found[1]);
        $code = TimeCode::code($secret, TimeCode::step(now()->getTimestamp()));

        $this->post(route('second-step.store'), ['code' => $code, 'current_password' => 'wrong'])
            ->assertSessionHasErrors('current_password');
        $this->post(route('second-step.store'), ['code' => '000000', 'current_password' => 'low-water-mark'])
            ->assertSessionHasErrors('code');
        self::assertFalse($user->refresh()->hasSecondStep());
        $this->get(route('second-step'))->assertSee($found[1], false);

        $this->post(route('second-step.store'), ['code' => $code, 'current_password' => 'low-water-mark'])
            ->assertRedirect(route('second-step'));
        self::assertSame($secret, $user->refresh()->second_secret);
        $stored = (string) DB::table('users')->where('id', $user->id)->value('second_secret');
        self::assertStringNotContainsString($found[1], $stored, 'it is kept encrypted');
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        Mail::assertQueued(SecondStepChanged::class, fn (SecondStepChanged $mail) => $mail->what === 'set');

        $codes = session('codes');
        self::assertCount(10, array_unique($codes));
        $shown = $this->get(route('second-step'))->assertOk();
        foreach ($codes as $one) {
            self::assertMatchesRegularExpression('/^[a-z2-7]{5}-[a-z2-7]{5}$/', $one);
            $shown->assertSee($one);
            self::assertSame(0, DB::table('recovery_codes')->where('hash', $one)->count());
        }
        $this->get(route('second-step'))->assertDontSee($codes[0])->assertSee('You have 10 left');
        $lines = LogbookLine::query()->orderBy('number')->get();
        self::assertSame([LogEvent::SecondStepSet, LogEvent::RecoveryCodesMade], $lines->pluck('event')->all());
        self::assertStringNotContainsString($found[1], $lines->toJson());
    }

    public function test_the_code_is_asked_for_after_the_password_and_each_works_once(): void
    {
        $user = $this->withPhone();
        $this->get(route('sign-in.code'))->assertRedirect(route('sign-in'));
        $this->gives($this->code())->assertRedirect(route('sign-in'));
        $this->password($user)->assertRedirect(route('sign-in.code'));
        $this->assertGuest();
        $this->get(route('today'))->assertRedirect(route('sign-in'));
        $this->get(route('sign-in.code'))->assertOk();
        $this->gives('000000')->assertSessionHasErrors('code');
        $this->gives($this->code(-3))->assertSessionHasErrors('code');
        $code = $this->code();
        $this->gives($code)->assertRedirect(route('today'));
        $this->assertAuthenticatedAs($user);
        self::assertSame('password-and-code', LogbookLine::query()->latest('number')->firstOrFail()->details['how']);

        $this->post(route('sign-out'));
        $this->password($user)->assertRedirect(route('sign-in.code'));
        $this->gives($code)->assertSessionHasErrors('code');
        $this->travel(31)->seconds();
        $this->gives($this->code())->assertRedirect(route('today'));
    }

    public function test_a_password_that_changes_or_ten_minutes_end_what_was_begun(): void
    {
        $user = $this->withPhone();
        $this->password($user);
        $user->update(['password' => 'another long one']);
        $this->gives($this->code())->assertRedirect(route('sign-in'));
        $user->update(['password' => 'low-water-mark']);
        $this->password($user);
        $this->travel(11)->minutes();
        $this->gives($this->code())->assertRedirect(route('sign-in'));
        $this->assertGuest();
    }

    public function test_wrong_codes_are_limited_whoever_tries_from_wherever(): void
    {
        $user = $this->withPhone();
        $tries = 0;
        for ($hour = 0; $hour < 6; $hour++) {
            $this->flushSession();
            $this->password($user);
            for ($n = 0; $n < 10; $n++) {
                $answer = $this->withServerVariables(['REMOTE_ADDR' => "203.0.113.{$n}"])->gives('000000');
                $tries += $answer->status() === 302 && session('errors')?->has('code') === true ? 1 : 0;
            }
            $this->travel(61)->seconds();
        }
        self::assertLessThanOrEqual(20, $tries, 'in six minutes');
        self::assertGreaterThan(5, $tries);
        $this->assertGuest();
    }

    public function test_ten_wrong_codes_ask_for_the_password_again_and_stand_in_the_logbook(): void
    {
        $user = $this->withPhone();
        $this->password($user);
        for ($n = 0; $n < 10; $n++) {
            $n === 5 && $this->travel(61)->seconds();
            $last = $this->gives('000000');
        }
        $last->assertRedirect(route('sign-in'));
        self::assertSame(1, LogbookLine::query()->where('event', LogEvent::WrongCodes)->count());
        $this->gives($this->code())->assertRedirect(route('sign-in'));
    }

    public function test_a_recovery_code_does_once_and_its_person_is_told(): void
    {
        Mail::fake();
        $user = $this->withPhone();
        [$code, $other] = app(MakeRecoveryCodes::class)($user);
        $this->password($user);
        $this->gives(strtoupper(str_replace('-', ' ', $code)))->assertRedirect(route('today'));
        Mail::assertQueued(RecoveryCodeUsed::class, fn (RecoveryCodeUsed $mail) => $mail->left === 9);
        $this->post(route('sign-out'));
        $this->password($user);
        $this->gives($code)->assertSessionHasErrors('code');
        $this->gives($other)->assertRedirect(route('today'));

        $this->post(route('second-step.codes'), ['current_password' => 'low-water-mark'])->assertSessionHas('codes');
        $this->post(route('sign-out'));
        $this->password($user);
        $this->gives(app(MakeRecoveryCodes::class)(User::factory()->create())[0])->assertSessionHasErrors('code');
    }

    public function test_it_comes_off_with_the_password_unless_the_institution_asks_for_it(): void
    {
        Mail::fake();
        $this->module(0, 0);
        $admin = User::factory()->create(['is_admin' => true, 'second_secret' => self::SECRET, 'second_since' => now()]);
        $this->coordinator->forceFill(['second_secret' => self::SECRET, 'second_since' => now()])->save();
        app(SetSignInRules::class)(SignInRules::fromArray(['second_step' => ['coordinators']]), $admin);
        $this->actingAs($this->coordinator)
            ->delete(route('second-step.destroy'), ['current_password' => 'low-water-mark'])
            ->assertSessionHasErrors('refused');
        app(SetSignInRules::class)(SignInRules::usual(), $admin);
        $this->delete(route('second-step.destroy'), ['current_password' => 'no'])->assertSessionHasErrors();
        $this->delete(route('second-step.destroy'), ['current_password' => 'low-water-mark'])
            ->assertRedirect(route('account'));
        self::assertFalse($this->coordinator->refresh()->hasSecondStep());
        self::assertNull($this->coordinator->second_secret);
    }

    public function test_who_has_to_have_one_goes_nowhere_else_first(): void
    {
        $this->module(1, 1);
        $admin = User::factory()->create(['is_admin' => true]);
        $set = ['second_step' => ['coordinators', 'administrators']];
        $this->actingAs($admin)->put(route('institution.sign-in.update'), $set)->assertSessionHasErrors('refused');
        $admin->forceFill(['second_secret' => self::SECRET, 'second_since' => now()])->save();
        $this->put(route('institution.sign-in.update'), ['second_step' => ['captains']])->assertSessionHasErrors();
        $this->put(route('institution.sign-in.update'), $set)->assertSessionHas('said');

        $this->anew($this->coordinator)->get(route('modules.show', $this->module))
            ->assertRedirect(route('second-step'));
        $this->getJson(route('modules.show', $this->module))->assertStatus(403);
        $this->get(route('second-step'))->assertOk()->assertSee('Your institution asks');
        $this->get(route('help'))->assertOk();
        foreach ([$this->tutors[0], $this->students[0]] as $one) {
            $this->anew($one)->get(route('modules.show', $this->module))->assertOk();
        }
        // Who was in before it was asked of them saves what is on their page, and sees no other page.
        $asked = fn (array $who): SignInRules => SignInRules::fromArray(['second_step' => $who]);
        app(SetSignInRules::class)($asked([]), $admin);
        $this->anew($this->coordinator)->get(route('today'))->assertOk();
        app(SetSignInRules::class)($asked(['coordinators']), $admin);
        $this->travel(6)->minutes();
        $this->put(route('account.theme'), ['theme' => 'dark'])->assertSessionHas('said');
        $this->put(route('account.mail'), ['daily_mail' => '1'])->assertSessionHas('said');
        $this->get(route('account'))->assertRedirect(route('second-step'));
        $this->anew($this->coordinator)->put(route('account.mail'), [])->assertRedirect(route('second-step'));
        // Someone who becomes a coordinator while signed in is asked within five minutes.
        $this->tutors[0]->memberships()->update(['role' => Role::Coordinator]);
        $this->anew($this->tutors[0]->fresh() ?? $this->tutors[0])->get(route('today'))
            ->assertRedirect(route('second-step'));
    }
}
