<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\TakeHandIn;
use App\Exceptions\Refused;
use App\Jobs\CompareHandinJob;
use App\Models\Handin;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use Tests\TestCase;

/**
 * What must hold when things happen at once or go wrong half-way.
 */
final class SimultaneousTest extends TestCase
{
    public function test_a_hand_in_that_fails_half_way_leaves_nothing_behind(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $files = count(Storage::files('handins'));
        DB::listen(function ($query): void {
            if (str_starts_with($query->sql, 'insert into `overlap_reports`')) {
                throw new RuntimeException('The database went away.');
            }
        });
        try {
            app(TakeHandIn::class)($assignment, $this->students[0], 'Words that are not kept.');
            self::fail('The failure was swallowed.');
        } catch (RuntimeException $e) {
            self::assertSame('The database went away.', $e->getMessage());
        }
        self::assertSame(0, Handin::query()->count());
        self::assertCount($files, Storage::files('handins'));
        self::assertNull($this->script($assignment)->current_handin_id);
    }

    public function test_the_database_itself_keeps_attempts_apart(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], 'One attempt.');
        $this->expectException(\Illuminate\Database\UniqueConstraintViolationException::class);
        $copy = $handin->replicate(['public_id']);
        $copy->save();
    }

    public function test_a_comparison_that_comes_after_a_newer_attempt_does_nothing(): void
    {
        Queue::fake([CompareHandinJob::class]);
        $this->module();
        $assignment = $this->assignment();
        $old = app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(30, 1));
        $new = app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(30, 2));
        (new CompareHandinJob($new->id))->handle(app(\App\Actions\Screen\CompareHandin::class));
        (new CompareHandinJob($old->id))->handle(app(\App\Actions\Screen\CompareHandin::class));
        self::assertSame([$new->id], OverlapReport::query()->pluck('handin_id')->all());
        self::assertSame([$new->id], OverlapSource::query()->pluck('handin_id')->all());
        (new CompareHandinJob(999_999))->handle(app(\App\Actions\Screen\CompareHandin::class));
    }

    public function test_someone_who_is_not_on_the_list_is_told_so(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $this->script($assignment)->delete();
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('You are not on the list for this assignment');
        app(TakeHandIn::class)($assignment, $this->students[0], 'Words.');
    }

    public function test_the_due_time_in_force_is_kept_with_the_hand_in(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $due = $assignment->due_at;
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], 'Words.');
        $assignment->update(['due_at' => now()->addDays(2)]);
        self::assertTrue($handin->refresh()->due_at->equalTo($due));
    }

    public function test_file_names_with_paths_and_tricks_are_kept_as_names_only(): void
    {
        $this->module();
        $assignment = $this->assignment();
        foreach ([
            '../../etc/passwd.txt' => 'passwd.txt', "evil\u{202e}txt.exe.txt" => 'eviltxt.exe.txt',
            'C:\\Users\\x\\essay.txt' => 'essay.txt',
            str_repeat('a', 250).'.txt' => str_repeat('a', 196).'.txt',
        ] as $sent => $kept) {
            $handin = app(TakeHandIn::class)(
                $assignment, $this->students[0], \Tests\Files::upload('Some words.', (string) $sent),
            );
            self::assertSame($kept, $handin->files[0]->original_name);
            self::assertMatchesRegularExpression('~\Ahandins/[0-9a-f-]{36}\z~', $handin->files[0]->path);
        }
    }
}
