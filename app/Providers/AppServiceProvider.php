<?php

declare(strict_types=1);

namespace App\Providers;

use App\Logbook\Logbook;
use App\Screening\DatabaseIndex;
use App\Screening\Detector\Detector;
use App\Screening\Detector\HttpDetector;
use App\Screening\Web\HttpWebSearch;
use App\Screening\Web\WebSearch;
use App\Support\Receipts;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Overlap\SourceIndex;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Chain::class, fn () => new Chain(hash_hkdf('sha256', (string) config('app.key'), 32, 'logbook')));
        $this->app->singleton(Receipts::class, fn () => new Receipts(hash_hkdf('sha256', (string) config('app.key'), 32, 'receipt')));
        $this->app->bind(SourceIndex::class, DatabaseIndex::class);
        $this->app->bind(WebSearch::class, HttpWebSearch::class);
        $this->app->bind(Detector::class, HttpDetector::class);
        $this->app->singleton(Logbook::class, fn (Application $app) => new Logbook(
            $app->make(Chain::class),
            config('harbor.files').'/logbook/head.json',
        ));
    }

    public function boot(): void
    {
        Model::preventSilentlyDiscardingAttributes();
        Password::defaults(fn () => Password::min(10));
        RateLimiter::for('sign-in', fn (Request $request) => [
            Limit::perMinute(5)->by('mail:'.mb_strtolower((string) $request->input('email')).'|'.$request->ip()),
            Limit::perMinute(30)->by('ip:'.$request->ip()),
        ]);
        // Pieces of files: many small requests, bounded by the size of a piece.
        RateLimiter::for('upload', fn (Request $request) => Limit::perMinute(1200)->by('user:'.$request->user()?->id));
        RateLimiter::for('hand-in', fn (Request $request) => Limit::perMinute(12)->by('user:'.$request->user()?->id));
    }
}
