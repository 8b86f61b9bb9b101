<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\MailState;
use App\Enums\NoticeKind;
use App\Mail\DailyNotices;
use App\Mail\NoticeMail;
use App\Models\Notice;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Notices\SendNotices;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;

/**
 * What people are told, on their first page and by mail.
 */
final class NoticesTest extends TestCase
{
    private function tell(User $to, string $once, NoticeKind $kind = NoticeKind::Reply): void
    {
        DB::transaction(fn () => app(Notices::class)->make([new NewNotice(
            $to, $kind, $once, "Something about {$once}", '/account', null, "About {$once}", "Dear you,\n\n{$once}.",
        )]));
    }

    public function test_it_stands_on_today_until_it_is_read_and_is_told_once(): void
    {
        Mail::fake();
        $person = User::factory()->create();
        $this->tell($person, 'a reply');
        $this->tell($person, 'a reply');
        self::assertSame(1, Notice::query()->count());
        Mail::assertSentCount(1);
        $notice = Notice::query()->sole();
        $this->actingAs($person)->get(route('today'))->assertSee('Something about a reply');
        $this->actingAs(User::factory()->create())->get(route('notices.show', $notice))->assertForbidden();
        self::assertNull($notice->refresh()->read_at);
        $this->actingAs($person)->get(route('notices.show', $notice))->assertRedirect('/account');
        $this->get(route('today'))->assertDontSee('Something about a reply');
        $this->get(route('notices.index'))->assertSee('Something about a reply')->assertDontSee('not read');
        $this->tell($person, 'another');
        $this->get(route('notices.index'))->assertSee('not read');
        $this->post(route('notices.update'));
        $this->get(route('today'))->assertDontSee('Something about another');
    }

    public function test_one_mail_a_day_for_those_who_want_it_but_results_at_once(): void
    {
        Mail::fake();
        Carbon::setTestNow('2026-11-28 12:00:00');
        $person = User::factory()->create();
        $this->actingAs($person)->put(route('account.mail'), ['daily_mail' => '1'])->assertSessionHas('said');
        $this->get(route('account'))->assertSee('One mail a day');
        $person->refresh();
        $this->tell($person, 'one');
        $this->tell($person, 'two');
        Mail::assertNothingSent();
        $this->tell($person, 'a result', NoticeKind::Result);
        Mail::assertSent(NoticeMail::class, 1);
        Carbon::setTestNow('2026-11-29 06:59:00');
        app(SendNotices::class)();
        Mail::assertSent(DailyNotices::class, 0);
        Carbon::setTestNow('2026-11-29 07:00:30');
        app(SendNotices::class)();
        app(SendNotices::class)();
        Mail::assertSent(
            DailyNotices::class, fn (DailyNotices $mail) => str_contains($mail->render(), 'Something about one')
                && str_contains($mail->render(), 'Something about two'),
        );
        Mail::assertSent(DailyNotices::class, 1);
        self::assertSame(3, Notice::query()->where('mail', MailState::Sent)->count());
    }
}
