<?php

declare(strict_types=1);

namespace App\Notices;

use App\Enums\MailState;
use App\Jobs\SendNoticesJob;
use App\Models\Notice;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;

/**
 * Tells people what happened: a line on their Today page, and a mail that a worker sends afterwards.
 */
final class Notices
{
    /** At this hour, in the institution's zone, those who want one mail a day get it. */
    public const DAILY_AT = 7;

    /**
     * Within the transaction of what they tell of, so that both stand or neither does.
     *
     * @param  list<NewNotice>  $notices
     */
    public function make(array $notices): void
    {
        DB::transactionLevel() > 0 || throw new LogicException('Told of within the transaction of what happened.');
        $now = now();
        foreach (array_chunk($notices, 500) as $some) {
            // One that is there already was told before.
            Notice::query()->insertOrIgnore(array_map(fn (NewNotice $one) => [
                'public_id' => Str::uuid()->toString(), 'user_id' => $one->to->id,
                'assignment_id' => $one->assignment?->id, 'kind' => $one->kind->value, 'once' => $one->once,
                'title' => Str::limit($one->title, 290), 'link' => $one->link, 'subject' => Str::limit($one->subject, 290),
                'body' => $one->body, ...$this->mail($one, $now), 'created_at' => $now, 'updated_at' => $now,
            ], $some));
        }
        $notices === [] || SendNoticesJob::dispatch()->afterCommit();
    }

    /** Whoever opened what notices lead to needs them no more. */
    public function readAt(int $userId, string $path): void
    {
        Notice::query()->where('user_id', $userId)->whereNull('read_at')
            ->where(fn ($query) => $query->where('link', $path)->orWhereLike('link', "{$path}#%"))
            ->update(['read_at' => now()]);
    }

    /**
     * The same for many, each by the path that its notices have and no other.
     *
     * @param  list<string>  $paths
     */
    public function readAtAll(int $userId, array $paths): void
    {
        $paths === [] || Notice::query()->where('user_id', $userId)->whereNull('read_at')->whereIn('link', $paths)
            ->update(['read_at' => now()]);
    }

    /**
     * @return array{mail: string, mail_from: Carbon|null}
     */
    private function mail(NewNotice $notice, Carbon $now): array
    {
        return match (true) {
            $notice->body === null => ['mail' => MailState::None->value, 'mail_from' => null],
            $notice->kind->comesDaily() || ($notice->to->daily_mail && ! $notice->kind->comesAtOnce()) => [
                'mail' => MailState::Daily->value, 'mail_from' => self::nextDaily($now),
            ],
            default => ['mail' => MailState::Waiting->value, 'mail_from' => $now],
        };
    }

    public static function nextDaily(Carbon $after): Carbon
    {
        $local = $after->copy()->setTimezone(LocalTime::zone())->setTime(self::DAILY_AT, 0);

        return ($local->lte($after) ? $local->addDay() : $local)->utc();
    }
}
