<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Enums\ReportState;
use App\Jobs\CompareHandinJob;
use App\Models\OverlapReport;
use Illuminate\Queue\Middleware\WithoutOverlapping;
use Illuminate\Queue\QueueManager;
use Illuminate\Queue\QueueServiceProvider;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/**
 * A worker that is killed in the middle of a job: nothing fails for it, and the job is done by the next worker.
 */
final class KilledWorkerTest extends TestCase
{
    private function work(): void
    {
        $this->artisan(
            'queue:work',
            ['connection' => 'database', '--once' => true, '--queue' => 'default', '--sleep' => 0, '--tries' => 3],
        )->run();
    }

    public function test_a_job_whose_worker_died_is_done_by_the_next_one(): void
    {
        $this->module();
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(60, 3));
        $id = (int) $this->script($assignment, 0)->current_handin_id;
        Queue::swap(new QueueManager($this->app));
        (new QueueServiceProvider($this->app))->registerConnectors(app('queue'));
        config(['queue.default' => 'database']);
        DB::table('jobs')->delete();
        OverlapReport::query()->where('handin_id', $id)->update(['state' => ReportState::Waiting]);

        // Taken, its lock held, and never heard of again.
        CompareHandinJob::dispatch($id);
        self::assertNotNull(app('queue')->connection('database')->pop('default'));
        $job = new CompareHandinJob($id);
        self::assertTrue(Cache::lock((new WithoutOverlapping((string) $id))->getLockKey($job), 330)->get());

        // Meanwhile the same is asked for again: it waits for the lock, however often it is tried.
        CompareHandinJob::dispatch($id);
        for ($n = 0; $n < 12; $n++) {
            $this->work();
            $this->travel(16)->seconds();
        }
        self::assertSame(2, DB::table('jobs')->count());
        self::assertSame(ReportState::Waiting, OverlapReport::query()->where('handin_id', $id)->sole()->state);
        self::assertSame(0, DB::table('failed_jobs')->count());

        $this->travel(180)->seconds();
        $this->work();
        $this->work();
        self::assertSame(ReportState::Ready, OverlapReport::query()->where('handin_id', $id)->sole()->state);
        self::assertSame(0, DB::table('jobs')->where('payload', 'like', '%CompareHandin%')->count());
        self::assertSame(0, DB::table('failed_jobs')->count());
    }

    public function test_runs_locks_and_the_queue_agree_how_long_a_job_may_take(): void
    {
        $job = new CompareHandinJob(1);
        $lock = $job->middleware()[0];
        self::assertInstanceOf(WithoutOverlapping::class, $lock);
        self::assertLessThan($lock->expiresAfter, $job->timeout);
        self::assertLessThan((int) config('queue.connections.database.retry_after'), $lock->expiresAfter);
        self::assertGreaterThan($lock->expiresAfter, $job->tries * (int) $lock->releaseAfter);
    }
}
