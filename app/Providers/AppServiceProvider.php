<?php

declare(strict_types=1);

namespace App\Providers;

use App\Account\PendingSignIn;
use App\Documents\Receipts;
use App\FirstFeedback\Assistant;
use App\FirstFeedback\HttpAssistant;
use App\Logbook\FileHeadStore;
use App\Logbook\HeadStore;
use App\Logbook\Logbook;
use App\Models\User;
use App\Screening\DatabaseIndex;
use App\Screening\Detector\Detector;
use App\Screening\Detector\HttpDetector;
use App\Screening\Web\HttpWebSearch;
use App\Screening\Web\WebSearch;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use YoungHarbor\Core\Logbook\HeadKey;
use YoungHarbor\Core\Overlap\SourceIndex;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(
            HeadKey::class, fn () => new HeadKey(hash_hkdf('sha256', (string) config('app.key'), 32, 'logbook')),
        );
        $this->app->singleton(
            HeadStore::class, fn () => new FileHeadStore(config('harbor.files').'/'.FileHeadStore::PLACE),
        );
        $this->app->singleton(
            Receipts::class, fn () => new Receipts(hash_hkdf('sha256', (string) config('app.key'), 32, 'receipt')),
        );
        $this->app->bind(SourceIndex::class, DatabaseIndex::class);
        $this->app->bind(WebSearch::class, HttpWebSearch::class);
        $this->app->bind(Detector::class, HttpDetector::class);
        $this->app->bind(Assistant::class, HttpAssistant::class);
        $this->app->singleton(Logbook::class);
    }

    public function boot(): void
    {
        Model::preventSilentlyDiscardingAttributes();
        // Few tries for an account, whoever makes them; many from one address, behind which a whole institution may
        // sit.
        $account = fn (Request $request): string => 'account:'.hash(
            'sha256', User::addressKey(is_string($request->input('email')) ? $request->input('email') : ''),
        );
        RateLimiter::for('sign-in', fn (Request $request) => [
            Limit::perMinute((int) config('harbor.sign_in.account'))->by($account($request)),
            Limit::perMinute((int) config('harbor.sign_in.address'))->by('address:'.$request->ip()),
        ]);
        RateLimiter::for('forgotten', fn (Request $request) => [
            Limit::perMinutes(15, 4)->by('forgotten:'.$account($request)),
            Limit::perMinute((int) config('harbor.sign_in.address'))->by('forgotten:'.$request->ip()),
        ]);
        // Three of a million codes hold at a time. Twenty tries an hour, for who has the password already.
        RateLimiter::for('second-step', fn (Request $request) => [
            Limit::perMinute(6)->by('code:'.(PendingSignIn::of($request->session())->user->id ?? $request->ip())),
            Limit::perHour(20)->by('codes:'.(PendingSignIn::of($request->session())->user->id ?? $request->ip())),
        ]);
        RateLimiter::for('hand-over', fn (Request $request) => Limit::perMinutes(10, 6)->by('data:'.$request->user()?->id));
        RateLimiter::for('choose-password', fn (Request $request) => [
            Limit::perMinute(10)->by(
                'choose:'.(
                    $request->user()->id ?? ($request->route()?->originalParameter('user') ?? $account($request))
                )
            ),
            Limit::perMinute((int) config('harbor.sign_in.address'))->by('choose:'.$request->ip()),
        ]);
        // Pieces of files: many small requests, bounded by the size of a piece.
        RateLimiter::for('upload', fn (Request $request) => Limit::perMinute(1200)->by('user:'.$request->user()?->id));
        RateLimiter::for('hand-in', fn (Request $request) => Limit::perMinute(12)->by('user:'.$request->user()?->id));
    }
}
