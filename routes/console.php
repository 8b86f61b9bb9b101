<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Run by `php artisan schedule:work`, or by cron every minute: `php artisan schedule:run`.
Schedule::command('harbor:sweep')->hourly()->withoutOverlapping();
Schedule::command('auth:clear-resets')->daily();
Schedule::command('logbook:verify')->dailyAt('03:10');
