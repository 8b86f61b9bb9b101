<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Logbook\LogEvent;
use App\Mail\SignInByLink;
use App\Mail\Welcome;
use App\Models\Institution;
use App\Models\LogbookLine;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Accounts\SignInRules;

/**
 * Links that sign in, and sessions that are listed and ended.
 */
final class SigningInTest extends TestCase
{
    private function allowLinks(bool $allow = true): void
    {
        Institution::query()->delete();
        Institution::query()->create(['sign_in' => SignInRules::fromArray(['mail_links' => $allow])]);
    }

    private function link(User $user): string
    {
        $this->post(route('sign-in.link.store'), ['email' => $user->email]);
        $link = '';
        Mail::assertQueued(SignInByLink::class, function (SignInByLink $mail) use (&$link, $user): bool {
            $link = $mail->user->is($user) ? $mail->content()->with['link'] : $link;

            return true;
        });

        return $link;
    }

    public function test_links_are_offered_only_where_the_institution_lets_them(): void
    {
        $this->get(route('sign-in'))->assertDontSee('Send me a link instead');
        $this->get(route('sign-in.link'))->assertNotFound();
        $this->post(route('sign-in.link.store'), ['email' => 'a@merrow.example'])->assertNotFound();
        $this->allowLinks();
        $this->get(route('sign-in'))->assertSee('Send me a link instead');
        $this->get(route('sign-in.link'))->assertOk();
    }

    public function test_a_link_signs_in_once_after_one_more_click_and_tells_nothing(): void
    {
        Mail::fake();
        $this->allowLinks();
        $user = User::factory()->create();
        $new = User::factory()->create(['joined_at' => null, 'password' => null]);
        $closed = User::factory()->create(['closed_at' => now()]);
        $said = array_map(
            fn (string $email) => $this->post(route('sign-in.link.store'), ['email' => $email])
                ->assertRedirect(route('sign-in'))->getSession()?->get('said'),
            [$user->email, $new->email, $closed->email, 'nobody@merrow.example'],
        );
        self::assertCount(1, array_unique($said));
        Mail::assertQueued(SignInByLink::class, 1);
        Mail::assertQueued(Welcome::class, fn (Welcome $mail) => $mail->user->is($new));
        $this->travel(1)->minutes();

        $link = $this->link($user);
        self::assertSame(0, SignInLink::query()->where('hash', basename($link))->count(), 'only a hash is kept');
        // A mail program opens it by itself: nobody is signed in, and it still holds.
        $this->get($link)->assertOk();
        $this->assertGuest();
        $this->post($link)->assertRedirect(route('today'));
        $this->assertAuthenticatedAs($user);
        self::assertSame('link', LogbookLine::query()->latest('number')->firstOrFail()->details['how']);
        self::assertStringNotContainsString(basename($link), LogbookLine::query()->get()->toJson());
        $this->post(route('sign-out'));
        $this->get($link)->assertRedirect(route('sign-in'))->assertSessionHasErrors('expired');
        $this->post($link)->assertRedirect(route('sign-in'));
        $this->assertGuest();
    }

    public function test_a_link_ends_with_a_quarter_of_an_hour_a_newer_one_and_the_wish_to_have_none(): void
    {
        Mail::fake();
        $this->allowLinks();
        $user = User::factory()->create();
        $old = $this->link($user);
        $new = $this->link($user);
        $this->post($old)->assertSessionHasErrors('expired');
        $this->allowLinks(false);
        $this->post($new)->assertSessionHasErrors('expired');
        $this->allowLinks();
        $this->travel(16)->minutes();
        $this->post($new)->assertSessionHasErrors('expired');
        $this->assertGuest();
    }

    public function test_a_link_does_not_go_round_the_second_step(): void
    {
        Mail::fake();
        $this->allowLinks();
        $user = User::factory()->create(['second_secret' => 'twenty random bytes!', 'second_since' => now()]);
        $this->post($this->link($user))->assertRedirect(route('sign-in.code'));
        $this->assertGuest();
    }

    public function test_sessions_are_listed_without_their_ids_and_each_can_be_ended(): void
    {
        $user = User::factory()->create();
        $other = User::factory()->create();
        $agents = [
            'phone' => 'Mozilla/5.0 (iPhone; CPU iPhone OS 18_1 like Mac OS X) AppleWebKit/605.1.15 Version/18.1 Mobile Safari/604.1',
            'office' => 'Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:140.0) Gecko/20100101 Firefox/140.0',
            'script' => 'curl/8',
        ];
        foreach ($agents as $id => $agent) {
            DB::table('sessions')->insert([
                'id' => $id, 'user_id' => $user->id, 'ip_address' => '203.0.113.9', 'user_agent' => $agent,
                'payload' => '', 'last_activity' => now()->getTimestamp(),
            ]);
        }
        foreach (['old' => [$user->id, 90_000], 'theirs' => [$other->id, 0]] as $id => [$whose, $ago]) {
            DB::table('sessions')->insert([
                'id' => $id, 'user_id' => $whose, 'payload' => '', 'user_agent' => 'Opera OPR/9 Linux',
                'last_activity' => now()->getTimestamp() - $ago,
            ]);
        }
        $page = $this->actingAs($user)->get(route('account'))->assertOk()->assertSee('Safari on iPhone')
            ->assertSee('Firefox on Windows')->assertSee('a browser that does not say which')->assertDontSee('Opera');
        self::assertSame(3, preg_match_all('/name="place" value="([0-9a-f]+)"/', (string) $page->getContent(), $names));
        $page->assertDontSee('"phone"', false);

        $this->delete(route('places.destroy'), ['place' => $names[1][0]])->assertSessionHas('said', 'Signed out at one place.');
        $this->delete(route('places.destroy'), ['place' => $names[1][0]])->assertSessionHas('said', 'There was none any more.');
        $this->delete(route('places.destroy'), ['place' => 'theirs']);
        self::assertSame(3, DB::table('sessions')->where('user_id', $user->id)->count());
        $this->delete(route('places.destroy'))->assertSessionHas('said');
        self::assertSame(['theirs'], DB::table('sessions')->pluck('id')->all());
        self::assertSame(2, LogbookLine::query()->where('event', LogEvent::SessionsEnded)->count());
    }

    public function test_a_changed_password_ends_sessions_at_once(): void
    {
        $user = User::factory()->create(['remember_token' => 'kept']);
        DB::table('sessions')->insert(
            ['id' => 'elsewhere', 'user_id' => $user->id, 'payload' => '', 'last_activity' => now()->getTimestamp()],
        );
        $this->actingAs($user)->put(route('account.password'), [
            'current_password' => 'low-water-mark', 'password' => 'five pans of brine',
            'password_confirmation' => 'five pans of brine',
        ])->assertSessionHas('said');
        self::assertSame(0, DB::table('sessions')->count());
        self::assertNotSame('kept', $user->refresh()->remember_token);
    }
}
