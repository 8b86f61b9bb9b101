<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\Role;
use App\Mail\Welcome;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\URL;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    public function test_the_right_password_opens_today_and_a_wrong_one_does_not_say_which_part_was_wrong(): void
    {
        $user = User::factory()->create();
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'wrong'])
            ->assertSessionHasErrors(['email' => 'That mail address and password do not go together.']);
        $this->post(route('sign-in.store'), ['email' => 'nobody@merrow.example', 'password' => 'wrong'])
            ->assertSessionHasErrors(['email' => 'That mail address and password do not go together.']);
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark'])
            ->assertRedirect(route('today'));
        $this->assertAuthenticatedAs($user);
        self::assertStringStartsWith('$2y$', $user->password, 'only a hash is kept');
    }

    public function test_tries_are_limited(): void
    {
        $user = User::factory()->create();
        for ($i = 0; $i < 5; $i++) {
            $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'wrong'])->assertRedirect();
        }
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark'])
            ->assertStatus(429)
            ->assertSee('Too many tries');
        $this->assertGuest();
    }

    public function test_people_are_added_from_lines_and_choose_a_password_once(): void
    {
        Mail::fake();
        $this->module(0, 0);
        $this->actingAs($this->coordinator)->post(route('people.store', $this->module), ['role' => 'student', 'lines' => "Ólafur Brandsson, Olafur@merrow.example, M1, A\nZoë Ng\tzoe@merrow.example\n\n"])
            ->assertSessionHas('said', '2 people were added.');
        $new = User::query()->where('email', 'olafur@merrow.example')->sole();
        self::assertSame(Role::Student, $new->roleIn($this->module->id));
        $link = '';
        Mail::assertQueued(Welcome::class, function (Welcome $mail) use (&$link, $new): bool {
            if ($mail->user->is($new)) {
                $link = $mail->content()->with['link'];
            }

            return $link !== '';
        });
        $this->app['auth']->forgetGuards();
        $this->get(str_replace('signature=', 'signature=0', $link))->assertForbidden();
        $this->get($link)->assertOk()->assertSee('Welcome, Ólafur Brandsson');
        $this->post($link, ['password' => 'short', 'password_confirmation' => 'short'])
            ->assertSessionHasErrors('password');
        $this->post($link, ['password' => 'a long enough one', 'password_confirmation' => 'a long enough one'])
            ->assertRedirect(route('today'));
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->post($link, ['password' => 'another long one', 'password_confirmation' => 'another long one'])
            ->assertForbidden();
    }

    public function test_lines_with_faults_add_nobody_and_each_is_named(): void
    {
        $this->module(0, 0);
        $taken = User::factory()->create(['number' => 'M7']);
        $answer = $this->actingAs($this->coordinator)->post(route('people.store', $this->module), ['role' => 'student', 'lines' => "Good One, good@merrow.example\nNo Mail, M12\n, x@merrow.example\nTwice, good@merrow.example\nStolen, s@merrow.example, M7"]);
        $answer->assertSessionHasErrors('lines');
        $says = implode(' ', session('errors')->get('lines'));
        foreach (['Line 2 has no mail address', 'Line 3 has no name', 'Line 4 repeats the mail address of line 1', 'M7 belongs to more than one', 'Nobody was added'] as $part) {
            self::assertStringContainsString($part, $says);
        }
        self::assertSame(1, Membership::query()->where('module_id', $this->module->id)->count());
        self::assertFalse(User::query()->where('email', 'good@merrow.example')->exists());
        self::assertSame('M7', $taken->number);
    }

    public function test_a_student_who_joins_later_is_expected_in_open_assignments(): void
    {
        $this->module(0, 1);
        $assignment = $this->assignment();
        $this->actingAs($this->coordinator)->post(route('people.store', $this->module), ['role' => 'student', 'lines' => 'Late Comer, late@merrow.example']);
        self::assertSame(2, $assignment->scripts()->count());
        self::assertSame(2, $assignment->scripts()->distinct()->count('code'));
    }

    public function test_every_page_carries_the_protecting_headers(): void
    {
        $answer = $this->get(route('sign-in'))->assertOk();
        $policy = (string) $answer->headers->get('Content-Security-Policy');
        self::assertStringContainsString("default-src 'none'; script-src 'self'; style-src 'self'", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        $answer->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Vary', 'HX-Request');
        self::assertStringContainsString('no-store', (string) $answer->headers->get('Cache-Control'));
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*src=)|\sstyle=|\son\w+=/', (string) $answer->getContent());
    }

    public function test_a_signed_link_is_bound_to_its_person(): void
    {
        $one = User::factory()->create(['joined_at' => null]);
        $two = User::factory()->create(['joined_at' => null]);
        $link = URL::temporarySignedRoute('welcome', now()->addDay(), ['user' => $one->public_id]);
        $this->get(str_replace($one->public_id, $two->public_id, $link))->assertForbidden();
        $this->travel(2)->days();
        $this->get($link)->assertForbidden();
    }
}
