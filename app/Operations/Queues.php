<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What waits for the workers, by queue, and what failed.
 */
final class Queues
{
    /** Seconds for which the oldest of a queue may wait before someone should look. */
    private const PATIENCE = ['soon' => 120, 'default' => 600, 'low' => 7200];

    /**
     * @return list<array{queue: string, waiting: int, running: int, oldest: int, late: bool}> oldest: seconds it has waited
     */
    public function waiting(): array
    {
        $now = now()->getTimestamp();
        $found = DB::table('jobs')->groupBy('queue')->selectRaw(
            'queue, SUM(reserved_at IS NULL AND available_at <= ?) AS waiting, SUM(reserved_at IS NOT NULL) AS running,'
            .' MIN(IF(reserved_at IS NULL AND available_at <= ?, available_at, NULL)) AS since',
            [$now, $now],
        )->get()->keyBy('queue');

        return array_map(function (string $queue) use ($found, $now): array {
            $row = $found->get($queue);
            $oldest = $row?->since === null ? 0 : max(0, $now - (int) $row->since);

            return [
                'queue' => $queue, 'waiting' => (int) ($row->waiting ?? 0), 'running' => (int) ($row->running ?? 0),
                'oldest' => $oldest, 'late' => $oldest > (self::PATIENCE[$queue] ?? self::PATIENCE['default']),
            ];
        }, array_values(array_unique([...array_keys(self::PATIENCE), ...$found->keys()->map(strval(...))->all()])));
    }

    /**
     * What failed, the latest first: by its kind and when. What it was about is in nobody's list.
     *
     * @return list<array{id: string, kind: string, queue: string, at: Carbon, why: string}>
     */
    public function failed(int $most = 100): array
    {
        return array_values(DB::table('failed_jobs')->orderByDesc('id')->limit($most)->get()
            ->map(fn (object $one) => [
                'id' => (string) $one->uuid, 'kind' => $this->kind((string) $one->payload), 'queue' => (string) $one->queue,
                'at' => Carbon::parse($one->failed_at, 'UTC'), 'why' => $this->why((string) $one->exception),
            ])->all());
    }

    public function failures(): int
    {
        return DB::table('failed_jobs')->count();
    }

    private function kind(string $payload): string
    {
        $read = json_decode($payload, true);

        return class_basename(is_array($read) ? (string) ($read['displayName'] ?? '') : '') ?: '?';
    }

    /** The kind of fault; its message may quote people. */
    private function why(string $exception): string
    {
        return preg_match('/^([\w\\\\]+)/', $exception, $found) === 1 ? class_basename($found[1]) : '?';
    }
}
