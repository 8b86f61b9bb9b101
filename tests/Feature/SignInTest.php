<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Account\ChangePassword;
use App\Enums\Role;
use App\Logbook\LogEvent;
use App\Mail\NewPassword;
use App\Mail\Welcome;
use App\Models\LogbookLine;
use App\Models\Membership;
use App\Models\User;
use App\Rules\SafePassword;
use Illuminate\Hashing\HashManager;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    public function test_the_right_password_opens_today_and_a_wrong_one_does_not_say_which_part_was_wrong(): void
    {
        $user = User::factory()->create();
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'wrong'])
            ->assertSessionHasErrors(['email' => 'That e-mail address and password do not go together.']);
        $this->post(route('sign-in.store'), ['email' => 'nobody@merrow.example', 'password' => 'wrong'])
            ->assertSessionHasErrors(['email' => 'That e-mail address and password do not go together.']);
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark'])
            ->assertRedirect(route('today'));
        $this->assertAuthenticatedAs($user);
        self::assertStringStartsWith('$2y$', $user->password, 'only a hash is kept');
    }

    public function test_tries_are_limited(): void
    {
        $user = User::factory()->create();
        for ($i = 0; $i < 8; $i++) {
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
        $this->actingAs($this->coordinator)->post(
            route('people.store', $this->module),
            [
                'role' => 'student',
                'lines' => "Ólafur Brandsson, Olafur@merrow.example, M1, A\nZoë Ng\tzoe@merrow.example\n\n",
            ],
        )
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
        $this->get(str_replace('signature=', 'signature=0', $link))->assertStatus(410)->assertSee('Send me a new link')
            ->assertDontSee('Ólafur');
        $this->get($link)->assertOk()->assertSee('Welcome, Ólafur Brandsson');
        $this->post($link, ['password' => 'short', 'password_confirmation' => 'short'])
            ->assertSessionHasErrors('password');
        $this->post($link, ['password' => 'a long enough one', 'password_confirmation' => 'a long enough one'])
            ->assertRedirect(route('today'));
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->post($link, ['password' => 'another long one', 'password_confirmation' => 'another long one'])
            ->assertStatus(410)->assertSee('A password has been chosen with it');
    }

    public function test_lines_with_faults_add_nobody_and_each_is_named(): void
    {
        $this->module(0, 0);
        $taken = User::factory()->create(['number' => 'M7']);
        $answer = $this->actingAs($this->coordinator)->post(
            route('people.store', $this->module),
            [
                'role' => 'student',
                'lines' => "Good One, good@merrow.example\nNo Mail, M12\n, x@merrow.example\nTwice, good@merrow.example\nStolen, s@merrow.example, M7",
            ],
        );
        $answer->assertSessionHasErrors('lines');
        $says = implode(' ', session('errors')->get('lines'));
        foreach (
            [
                'Line 2 has no e-mail address', 'Line 3 has no name', 'Line 4 repeats the e-mail address of line 1',
                'M7 belongs to more than one', 'Nobody was added',
            ] as $part
        ) {
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
        $this->actingAs($this->coordinator)->post(
            route('people.store', $this->module), ['role' => 'student', 'lines' => 'Late Comer, late@merrow.example'],
        );
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
        self::assertDoesNotMatchRegularExpression(
            '/<script(?![^>]*src=)|\sstyle=|\son\w+=/', (string) $answer->getContent(),
        );
    }

    public function test_a_signed_link_is_bound_to_its_person(): void
    {
        $one = User::factory()->create(['joined_at' => null]);
        $two = User::factory()->create(['joined_at' => null]);
        $link = URL::temporarySignedRoute('welcome', now()->addDay(), ['user' => $one->public_id]);
        $this->get(str_replace($one->public_id, $two->public_id, $link))->assertStatus(410);
        $this->travel(2)->days();
        $this->get($link)->assertStatus(410)->assertSee('more than two weeks old');
    }

    public function test_tries_count_for_the_account_from_anywhere_and_a_room_signs_in_from_one_address(): void
    {
        $user = User::factory()->create(['email' => 'anna@merrow.example']);
        for ($i = 0; $i < 8; $i++) {
            $this->withServerVariables(['REMOTE_ADDR' => "203.0.113.{$i}"])->post(
                route('sign-in.store'),
                ['email' => $i % 2 === 0 ? 'Anna@Merrow.example' : ' anna@merrow.example', 'password' => 'wrong'],
            );
        }
        $this->withServerVariables(['REMOTE_ADDR' => '203.0.113.99'])
            ->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark'])
            ->assertStatus(429);
        foreach (User::factory()->count(45)->create() as $one) {
            $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.7'])
                ->post(route('sign-in.store'), ['email' => $one->email, 'password' => 'low-water-mark'])
                ->assertRedirect(route('today'));
            $this->post(route('sign-out'));
        }
    }

    public function test_an_account_has_one_spelling(): void
    {
        User::factory()->create(['email' => 'Élise.O@Merrow.example']);
        self::assertSame('élise.o@merrow.example', User::query()->sole()->email);
        foreach (
            [
                'elise.o@merrow.example', 'ÉLISE.O@MERROW.EXAMPLE ', 'ｅ́lise.o@merrow.example',
                "e\u{301}lise.o@merrow.example",
            ] as $n => $spelling
        ) {
            $answer = $this->post(route('sign-in.store'), ['email' => $spelling, 'password' => 'low-water-mark']);
            in_array($n, [1, 3], true)
                ? $answer->assertRedirect(route('today'))
                : $answer->assertSessionHasErrors('email');
            $this->post(route('sign-out'));
        }
    }

    public function test_an_unknown_address_costs_what_a_known_one_does(): void
    {
        // Counted, not timed: a password is hashed once for each answer, at the cost all stored ones have.
        $counting = new class($this->app) extends HashManager
        {
            /** @var list<string> */
            public array $costs = [];

            /** @param  array<string, mixed>  $options */
            public function make(#[\SensitiveParameter] $value, array $options = []): string
            {
                $hash = parent::make($value, $options);
                $this->costs[] = substr($hash, 0, 7);

                return $hash;
            }

            /** @param  array<string, mixed>  $options */
            public function check(#[\SensitiveParameter] $value, $hashedValue, array $options = []): bool
            {
                $this->costs[] = substr((string) $hashedValue, 0, 7);

                return parent::check($value, $hashedValue, $options);
            }
        };
        $known = User::factory()->create(['password' => 'low-water-mark']);
        $invited = User::factory()->create(['password' => null]);
        Hash::swap($counting);
        foreach ([$known->email, $invited->email, 'nobody@merrow.example'] as $email) {
            $this->post(route('sign-in.store'), ['email' => $email, 'password' => 'wrong'])
                ->assertSessionHasErrors('email');
        }
        self::assertCount(3, $counting->costs);
        self::assertSame([substr((string) $known->password, 0, 7)], array_values(array_unique($counting->costs)));
    }

    public function test_a_new_password_ends_every_other_session(): void
    {
        $user = User::factory()->create();
        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'low-water-mark']);
        $this->get(route('today'))->assertOk();
        // On another device.
        app(ChangePassword::class)($user, 'four pans of brine', LogEvent::PasswordChanged);
        $this->app['auth']->forgetGuards();
        $this->get(route('today'))->assertRedirect(route('sign-in'));

        $this->post(route('sign-in.store'), ['email' => $user->email, 'password' => 'four pans of brine']);
        $this->put(
            route('account.password'),
            [
                'current_password' => 'four pans of brine', 'password' => 'five pans of brine',
                'password_confirmation' => 'five pans of brine',
            ],
        )->assertSessionHas('said');
        $this->get(route('today'))->assertOk();
        self::assertSame(
            [LogEvent::PasswordChanged, LogEvent::SignedIn, LogEvent::PasswordChanged],
            LogbookLine::query()->orderByDesc('number')->limit(3)->get()->pluck('event')->all(),
        );
    }

    public function test_a_forgotten_password_is_replaced_by_a_link_that_works_once_and_tells_nothing(): void
    {
        Mail::fake();
        $user = User::factory()->create();
        $new = User::factory()->create(['joined_at' => null, 'password' => null]);
        $said = [];
        foreach ([$user->email, $new->email, 'nobody@merrow.example'] as $email) {
            $said[] = $this->post(route('forgotten.store'), ['email' => $email])->assertRedirect(route('sign-in'))
                ->getSession()?->get('said');
        }
        self::assertCount(1, array_unique($said));
        Mail::assertQueuedCount(2);
        Mail::assertQueued(Welcome::class, fn (Welcome $mail) => $mail->user->is($new));
        $token = '';
        Mail::assertQueued(NewPassword::class, function (NewPassword $mail) use (&$token): bool {
            $token = $mail->token;

            return str_contains($mail->render(), $token);
        });
        $this->get(route('password.reset', ['token' => $token, 'email' => $user->email]))->assertOk()
            ->assertSee($user->email);
        $send = fn (string $password, string $email): \Illuminate\Testing\TestResponse => $this->post(
            route('password.update'),
            ['token' => $token, 'email' => $email, 'password' => $password, 'password_confirmation' => $password],
        );
        $send('password123', $user->email)->assertSessionHasErrors('password');
        $send('four pans of brine', $new->email)->assertSessionHasErrors('email');
        $send('four pans of brine', $user->email)->assertRedirect(route('sign-in'));
        $send('five pans of brine', $user->email)->assertSessionHasErrors(
            [
                'email' => 'This link has been used, or is more than an hour old. Ask for another one here; your old password still holds.',
            ]
        );
        $this->post(
            route('sign-in.store'), ['email' => $user->email, 'password' => 'four pans of brine'],
        )->assertRedirect(route('today'));
    }

    public function test_a_link_opened_twice_at_once_works_in_one_place(): void
    {
        $user = User::factory()->create(['joined_at' => null, 'password' => null]);
        $link = URL::temporarySignedRoute('welcome', now()->addDay(), ['user' => $user->public_id]);
        // The other place is quicker, between the look at the link and the lock.
        DB::listen(function ($query) use ($user): void {
            static $done = false;
            if (! $done && str_contains($query->sql, 'for update')) {
                $done = true;
                DB::table('users')->where('id', $user->id)->update(['joined_at' => now()]);
            }
        });
        User::retrieved(function (User $found) use ($user): void {
            $found->id === $user->id && DB::transactionLevel() > 1
                && $found->setRawAttributes(
                    [...$found->getAttributes(), 'joined_at' => now()->toDateTimeString()], true,
                );
        });
        $this->post(
            $link, ['password' => 'four pans of brine', 'password_confirmation' => 'four pans of brine'],
        )->assertStatus(410);
        User::flushEventListeners();
    }

    /** @param  list<string>  $bad */
    #[DataProvider('passwords')]
    public function test_passwords_that_are_tried_first_are_refused(array $bad, bool $good): void
    {
        foreach ($bad as $password) {
            $validator = Validator::make(
                ['password' => $password],
                ['password' => new SafePassword('niamh.odonnell@merrow.example', "Niamh O'Donnell")],
            );
            self::assertSame($good, $validator->passes(), $password);
        }
    }

    /** @return iterable<string, array{list<string>, bool}> */
    public static function passwords(): iterable
    {
        yield 'short' => [['salt', 'ninechars'], false];
        yield 'common' => [
            [
                'password123', 'Password1234', 'P4ssw0rd2026', 'qwertyuiop', '1234567890', 'letmein2024',
                'Summer2026!', 'iloveyou123', '12345678910', 'welcome!!!1',
            ],
            false,
        ];
        yield 'rows and repeats' => [
            ['aaaaaaaaaaaa', 'abababababab', 'abcdefghijkl', '0987654321', 'poiuytrewq'], false,
        ];
        yield 'one’s own' => [
            ['niamh.odonnell', 'niamh.odonnell@merrow.example', 'niamhodonnell1', 'Niamh-12345'], false,
        ];
        yield 'good' => [
            [
                'four pans of brine', 'low-water-mark', 'Kj7#pq92Lm', 'the keeper trims one lamp',
                'salt roads of the estuary',
            ],
            true,
        ];
    }

    public function test_the_first_administrator_is_made_by_a_command(): void
    {
        Mail::fake();
        $this->artisan('harbor:administrator', ['mail' => 'Office@Merrow.example', '--name' => 'Harbour Office'])
            ->expectsOutputToContain('/welcome/')->assertSuccessful();
        $admin = User::query()->where('email', 'office@merrow.example')->sole();
        self::assertTrue($admin->is_admin);
        Mail::assertQueued(
            Welcome::class, fn (Welcome $mail) => str_contains($mail->render(), 'there is an account for you'),
        );
        self::assertSame(LogEvent::AdministratorMade, LogbookLine::query()->sole()->event);
        $this->artisan('harbor:administrator', ['mail' => 'office@merrow.example'])->assertSuccessful();
        self::assertSame(1, LogbookLine::query()->count(), 'nothing to do the second time');
        $this->artisan('harbor:administrator', ['mail' => 'no address'])->assertFailed();
    }
}
