<?php

declare(strict_types=1);

namespace App\Operations;

use App\Enums\MailState;
use App\Extraction\Cage;
use App\Extraction\Pages\Sight;
use App\Models\Notice;
use App\Models\Operation;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Number;
use Illuminate\Support\Str;
use RuntimeException;
use Throwable;

/**
 * How each part of the application does, asked anew. Down is what makes it unusable; the rest is to be looked at.
 */
final class Health
{
    /** Seconds after which the clock's heartbeat is missed: it beats every minute. */
    private const CLOCK = 180;

    /** Hours after which a daily backup, or a nightly walk of the logbook, is missed. */
    private const DAILY = 26;

    /** Of the disk's room, below which someone should look. */
    private const ROOM = ['share' => 0.1, 'bytes' => 2_000_000_000];

    public function __construct(private readonly Queues $queues)
    {
    }

    /**
     * @return list<Part>
     */
    public function parts(): array
    {
        $database = $this->tried('database', fn () => DB::connection()->getPdo()->query('SELECT 1'));
        $parts = [
            $database, $this->tried('files', $this->writes(...)),
            $this->tried('application', fn () => Event::dispatch(new DiagnosingHealth)),
        ];
        if ($database->state === PartState::Works) {
            array_push($parts, $this->queue(), $this->clock(), $this->mail(), $this->backup(), $this->logbook());
        }
        array_push($parts, $this->disk(), $this->readers(), $this->pictures());

        return $parts;
    }

    /**
     * @param  list<Part>  $parts
     */
    public static function isUp(array $parts): bool
    {
        return array_filter($parts, fn (Part $part) => $part->state === PartState::Down) === [];
    }

    private function writes(): void
    {
        $probe = 'probe/'.Str::uuid()->toString();
        Storage::put($probe, 'x') && Storage::delete($probe) || throw new RuntimeException('The folder of files is not writable.');
    }

    private function tried(string $name, callable $check): Part
    {
        try {
            $check();

            return new Part($name, PartState::Works, __('operations.says.works'), ["{$name}_up" => 1]);
        } catch (Throwable $e) {
            report($e);

            return new Part($name, PartState::Down, __('operations.says.down'), ["{$name}_up" => 0]);
        }
    }

    private function queue(): Part
    {
        $waiting = $this->queues->waiting();
        $failed = $this->queues->failures();
        $late = array_filter($waiting, fn (array $one) => $one['late']);
        $oldest = max(0, ...array_column($waiting, 'oldest'));
        $says = array_sum(array_column($waiting, 'waiting')) === 0
            ? __('operations.says.queue_empty')
            : trans_choice('operations.says.queue', (int) array_sum(array_column($waiting, 'waiting')), ['age' => self::age($oldest)]);

        return new Part(
            'queue', $late === [] && $failed === 0 ? PartState::Works : PartState::Look,
            $says.($late === [] ? '' : ' '.__('operations.says.queue_late'))
                .($failed === 0 ? '' : ' '.trans_choice('operations.says.failed', $failed)),
            ['queue_oldest_seconds' => $oldest, 'queue_waiting_jobs' => (int) array_sum(array_column($waiting, 'waiting')), 'queue_failed_jobs' => $failed],
        );
    }

    private function clock(): Part
    {
        $beat = Operation::query()->find('clock');
        $age = $beat === null ? null : $this->since($beat->at);

        return new Part(
            'clock', $age !== null && $age <= self::CLOCK ? PartState::Works : PartState::Look,
            $age === null ? __('operations.says.clock_never')
                : __($age <= self::CLOCK ? 'operations.says.clock' : 'operations.says.clock_late', ['age' => self::age($age)]),
            $age === null ? [] : ['clock_age_seconds' => $age],
        );
    }

    private function mail(): Part
    {
        $failed = Notice::query()->where('mail', MailState::Failed)->where('updated_at', '>', now()->subDay())->count();
        $waits = Notice::query()->where('mail', MailState::Waiting)->where('mail_from', '<', now()->subMinutes(15))->count();

        return new Part(
            'mail', $failed + $waits === 0 ? PartState::Works : PartState::Look,
            $failed + $waits === 0 ? __('operations.says.mail') : implode(' ', array_filter([
                $failed === 0 ? '' : trans_choice('operations.says.mail_failed', $failed),
                $waits === 0 ? '' : trans_choice('operations.says.mail_waits', $waits),
            ])),
            ['mail_failed_messages' => $failed, 'mail_late_messages' => $waits],
        );
    }

    private function backup(): Part
    {
        $last = Operation::query()->find('backup');
        $age = $last === null ? null : $this->since($last->at);
        $good = $last !== null && $last->ok && $age <= self::DAILY * 3600;

        return new Part(
            'backup', $good ? PartState::Works : PartState::Look,
            match (true) {
                $last === null => __('operations.says.backup_never'),
                ! $last->ok => __('operations.says.backup_failed', ['age' => self::age((int) $age)]),
                default => __($good ? 'operations.says.backup' : 'operations.says.backup_late', [
                    'age' => self::age((int) $age), 'files' => (int) ($last->facts['files'] ?? 0),
                    'bytes' => Number::fileSize((int) ($last->facts['bytes'] ?? 0)),
                ]),
            },
            $age === null ? [] : ['backup_age_seconds' => $age, 'backup_good' => (int) $good],
        );
    }

    private function logbook(): Part
    {
        $last = Operation::query()->find('logbook');
        $age = $last === null ? null : $this->since($last->at);
        $good = $last !== null && $last->ok && $age <= self::DAILY * 3600;

        return new Part(
            'logbook', $good ? PartState::Works : PartState::Look,
            match (true) {
                $last === null => __('operations.says.logbook_never'),
                ! $last->ok => __('operations.says.logbook_broken', ['age' => self::age((int) $age)]),
                default => __($good ? 'operations.says.logbook' : 'operations.says.logbook_late', [
                    'age' => self::age((int) $age), 'lines' => number_format((int) ($last->facts['lines'] ?? 0)),
                ]),
            },
            $age === null ? [] : ['logbook_verified_age_seconds' => $age, 'logbook_holds' => (int) $last->ok],
        );
    }

    private function disk(): Part
    {
        $folder = (string) config('harbor.files');
        [$free, $all] = [@disk_free_space($folder), @disk_total_space($folder)];
        if ($free === false || $all === false || $all <= 0) {
            return new Part('disk', PartState::Look, __('operations.says.disk_unknown'));
        }
        $low = $free < self::ROOM['bytes'] || $free / $all < self::ROOM['share'];

        return new Part(
            'disk', $low ? PartState::Look : PartState::Works,
            __($low ? 'operations.says.disk_low' : 'operations.says.disk', ['free' => Number::fileSize($free), 'all' => Number::fileSize($all)]),
            ['disk_free_bytes' => (int) $free, 'disk_bytes' => (int) $all],
        );
    }

    private function readers(): Part
    {
        return Cage::holds()
            ? new Part('readers', PartState::Works, __('operations.says.caged'), ['readers_caged' => 1])
            : new Part('readers', PartState::Look, __('operations.says.not_caged'), ['readers_caged' => 0]);
    }

    private function pictures(): Part
    {
        return Sight::isThere()
            ? new Part('pictures', PartState::Works, __('operations.says.sight'), ['pictures_looked_through' => 1])
            : new Part('pictures', PartState::Look, __('operations.says.no_sight'), ['pictures_looked_through' => 0]);
    }

    private function since(Carbon $at): int
    {
        return max(0, now()->getTimestamp() - $at->getTimestamp());
    }

    /** "4 minutes", "3 hours": as long as it has been. */
    private static function age(int $seconds): string
    {
        return match (true) {
            $seconds < 90 => trans_choice('operations.age.seconds', $seconds),
            $seconds < 5400 => trans_choice('operations.age.minutes', (int) round($seconds / 60)),
            $seconds < 129_600 => trans_choice('operations.age.hours', (int) round($seconds / 3600)),
            default => trans_choice('operations.age.days', (int) round($seconds / 86_400)),
        };
    }
}
