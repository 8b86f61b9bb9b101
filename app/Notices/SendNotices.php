<?php

declare(strict_types=1);

namespace App\Notices;

use App\Enums\MailState;
use App\Mail\DailyNotices;
use App\Mail\NoticeMail;
use App\Models\Notice;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Mail\Mailable;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Symfony\Component\Mailer\Exception\ExceptionInterface;
use Symfony\Component\Mime\Exception\ExceptionInterface as Malformed;

/**
 * Sends the mails of notices, one at a time. Each is taken in hand before it is sent and marked when it is: of a
 * run that is killed the one in hand is sent twice at most, with the same Message-ID, and none is lost.
 */
final class SendNotices
{
    /** Seconds after which a mail in hand is taken for lost with its worker. */
    public const PATIENCE = 120;

    public const TRIES = 5;

    /** Minutes until the next try. */
    private const BACK_OFF = [1, 5, 15, 60];

    /**
     * @param  int  $seconds  after which it stops, though some be left
     * @return bool whether none is left
     */
    public function __invoke(int $seconds = 240): bool
    {
        $until = microtime(true) + $seconds;
        while (($notice = $this->next()) !== null) {
            if ($this->take($notice)) {
                $this->send(collect([$notice]), new NoticeMail($notice));
            }
            if (microtime(true) > $until) {
                return false;
            }
        }
        foreach ($this->daily() as $mine) {
            if ($this->take(...$mine)) {
                $this->send($mine, new DailyNotices($mine->firstOrFail()->user, $mine));
            }
        }

        return true;
    }

    private function next(): ?Notice
    {
        return Notice::query()->with('user')->where('mail_from', '<=', now())
            ->where(fn ($query) => $query->where('mail', MailState::Waiting)
                ->orWhere(fn ($lost) => $lost->where('mail', MailState::Sending)
                    ->where('taken_at', '<', now()->subSeconds(self::PATIENCE))))
            ->orderBy('id')->first();
    }

    /**
     * @return iterable<Collection<int, Notice>> what each person is told of in one mail
     */
    private function daily(): iterable
    {
        return Notice::query()->with('user')->where('mail', MailState::Daily)->where('mail_from', '<=', now())
            ->orderBy('id')->limit(2000)->get()->groupBy('user_id');
    }

    private function take(Notice ...$notices): bool
    {
        $ids = array_map(fn (Notice $one) => $one->id, $notices);

        return Notice::query()->whereKey($ids)
            ->where(fn ($query) => $query->whereIn('mail', [MailState::Waiting, MailState::Daily])
                ->orWhere('taken_at', '<', now()->subSeconds(self::PATIENCE)))
            ->update(['mail' => MailState::Sending, 'taken_at' => now()]) === count($ids);
    }

    /**
     * @param  \Illuminate\Support\Collection<int, Notice>  $notices  that one mail tells of
     */
    private function send(\Illuminate\Support\Collection $notices, Mailable $mail): void
    {
        $ids = $notices->pluck('id')->all();
        $first = $notices->firstOrFail();
        if ($first->user->closed_at !== null) { // nobody reads it there any more
            Notice::query()->whereKey($ids)->update(['mail' => MailState::None]);

            return;
        }
        try {
            Mail::to($first->user->email)->send($mail);
            Notice::query()->whereKey($ids)->update(
                ['mail' => MailState::Sent, 'sent_at' => now(), 'failure' => null, 'tries' => $first->tries + 1],
            );
        } catch (ExceptionInterface|Malformed $e) {
            $tries = $first->tries + 1;
            Notice::query()->whereKey($ids)->update([
                'mail' => $tries >= self::TRIES ? MailState::Failed : MailState::Waiting, 'tries' => $tries,
                'failure' => Str::limit(Str::squish($e->getMessage()), 480),
                'mail_from' => now()->addMinutes(self::BACK_OFF[min($tries, count(self::BACK_OFF)) - 1]),
            ]);
        }
    }
}
