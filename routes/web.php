<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\ClosureDaysController;
use App\Http\Controllers\DemoController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\ForgottenController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\MemberController;
use App\Http\Controllers\ModuleController;
use App\Http\Controllers\NoticeController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\RosterController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\WelcomeController;
use Illuminate\Support\Facades\Route;

Route::get('/up', HealthController::class)->withoutMiddleware('web')->name('up');

Route::get('/metrics', [HealthController::class, 'metrics'])->withoutMiddleware('web')->name('metrics');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in')->name('sign-in.store');
    Route::get('/welcome/{user}', [WelcomeController::class, 'create'])->name('welcome');
    Route::post('/welcome/{user}', [WelcomeController::class, 'store'])->middleware('throttle:choose-password')
        ->name('welcome.store');
    Route::get('/forgotten', [ForgottenController::class, 'create'])->name('forgotten');
    Route::post('/forgotten', [ForgottenController::class, 'store'])->middleware('throttle:forgotten')
        ->name('forgotten.store');
    Route::get('/new-password/{token}', [ForgottenController::class, 'edit'])->name('password.reset');
    Route::post('/new-password', [ForgottenController::class, 'update'])->middleware('throttle:choose-password')
        ->name('password.update');
});

if (config('harbor.demo')) {
    Route::get('/demo', [DemoController::class, 'people'])->name('demo');
    Route::get('/demo/mail', [DemoController::class, 'mail'])->name('demo.mail');
}

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', TodayController::class)->name('today');
    Route::get('/find', FindController::class)->name('find');
    Route::get('/account', [AccountController::class, 'edit'])->name('account');
    Route::get('/notices', [NoticeController::class, 'index'])->name('notices.index');
    Route::post('/notices', [NoticeController::class, 'update'])->name('notices.update');
    Route::get('/notices/{notice}', [NoticeController::class, 'show'])->name('notices.show');
    Route::put('/account/mail', [AccountController::class, 'mail'])->name('account.mail');
    Route::put('/account/theme', [AccountController::class, 'theme'])->name('account.theme');
    Route::put('/account/password', [AccountController::class, 'password'])->middleware('throttle:choose-password')
        ->name('account.password');
    Route::view('/help', 'help')->name('help');

    Route::get('/modules', [ModuleController::class, 'index'])->name('modules.index');
    Route::post('/modules', [ModuleController::class, 'store'])->name('modules.store');
    Route::get('/modules/{module}', [ModuleController::class, 'show'])->name('modules.show');
    Route::get('/modules/{module}/copy', [ModuleController::class, 'copy'])->name('modules.copy');
    Route::post('/modules/{module}/copy', [ModuleController::class, 'storeCopy'])->name('modules.copy.store');
    Route::get('/modules/{module}/people', [PeopleController::class, 'index'])->name('people.index');
    Route::post('/modules/{module}/people', [PeopleController::class, 'store'])->name('people.store');
    Route::post('/modules/{module}/rosters', [RosterController::class, 'store'])->name('rosters.store');
    Route::get('/modules/{module}/people/{form}', [RosterController::class, 'export'])
        ->whereIn('form', ['csv', 'oneroster'])->name('rosters.export');
    Route::get('/rosters/{import}', [RosterController::class, 'show'])->name('rosters.show');
    Route::put('/rosters/{import}', [RosterController::class, 'update'])->name('rosters.update');
    Route::post('/rosters/{import}/apply', [RosterController::class, 'apply'])->name('rosters.apply');
    Route::get('/members/{member}', [MemberController::class, 'show'])->name('members.show');
    Route::put('/members/{member}', [MemberController::class, 'update'])->name('members.update');
    Route::post('/members/{member}/notes', [MemberController::class, 'note'])->name('members.note');
    Route::post('/member-notes/{note}/back', [MemberController::class, 'takeNoteBack'])->name('member-notes.back');
    Route::post('/members/{member}/allowance', [MemberController::class, 'allowance'])->name('members.allowance');
    Route::post('/scripts/{script}/extension', [MemberController::class, 'extension'])->name('scripts.extension');
    Route::post('/scripts/{script}/original', [MemberController::class, 'original'])->name('scripts.original');
    Route::post('/scripts/{script}/waiver', [MemberController::class, 'waiver'])->name('scripts.waiver');
    Route::get('/modules/{module}/closure-days', [ClosureDaysController::class, 'index'])->name('closure-days.index');
    Route::post('/modules/{module}/closure-days', [ClosureDaysController::class, 'store'])->name('closure-days.store');
});
