<?php

declare(strict_types=1);

use App\Actions\Collect\ReadWhatWasLost;
use App\Actions\Discuss\FreezeDueDiscussions;
use App\Actions\Keeping\LetGoWhatIsDecided;
use App\Actions\Moderate\DealWithOverdue;
use App\Actions\Peers\RemindOfContributions;
use App\Actions\Peers\RunRounds;
use App\Actions\Reflect\RemindOfSheets;
use App\Actions\Release\SendDueReleases;
use App\Jobs\SendNoticesJob;
use App\Keeping\NightlyTime;
use App\Models\Operation;
use Illuminate\Support\Facades\Schedule;

// Run by `php artisan schedule:work`, or by cron every minute: `php artisan schedule:run`.
Schedule::call(fn () => Operation::record('clock', true))->name('heartbeat')->everyMinute();
Schedule::call(fn () => app(ReadWhatWasLost::class)())->name('reading what was lost on the way to the worker')
    ->everyFiveMinutes();
Schedule::call(fn () => app(DealWithOverdue::class)())->name('scripts that were to be settled by now')->hourly();
Schedule::call(fn () => app(SendDueReleases::class)())->name('releases whose time has come')->everyMinute();
Schedule::call(fn () => app(RunRounds::class)())->name('rounds of peer review')->everyMinute()
    ->withoutOverlapping();
Schedule::call(fn () => app(RemindOfContributions::class)())->name('parts in groups that are not rated yet')
    ->everyFiveMinutes()->withoutOverlapping();
Schedule::call(fn () => app(RemindOfSheets::class)())->name('reflections that are not written yet')
    ->everyFiveMinutes()->withoutOverlapping();
Schedule::call(fn () => app(FreezeDueDiscussions::class)())->name('discussions that have closed')->everyMinute()
    ->withoutOverlapping();
Schedule::job(new SendNoticesJob)->everyMinute();
Schedule::command('harbor:sweep')->hourly()->withoutOverlapping();
Schedule::command('auth:clear-resets')->daily();
Schedule::call(fn () => app(LetGoWhatIsDecided::class)())->name('what is kept no longer')
    ->dailyAt(NightlyTime::AT)->timezone(config('harbor.timezone'))->withoutOverlapping();
Schedule::command('logbook:verify')->dailyAt('03:10');
