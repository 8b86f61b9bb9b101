<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\DemoController;
use App\Http\Controllers\ModuleController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\WelcomeController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in')->name('sign-in.store');
    Route::middleware('signed')->group(function (): void {
        Route::get('/welcome/{user}', [WelcomeController::class, 'create'])->name('welcome');
        Route::post('/welcome/{user}', [WelcomeController::class, 'store'])->middleware('throttle:sign-in')->name('welcome.store');
    });
});

if (config('harbor.demo')) {
    Route::get('/demo', [DemoController::class, 'people'])->name('demo');
    Route::get('/demo/mail', [DemoController::class, 'mail'])->name('demo.mail');
}

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', TodayController::class)->name('today');
    Route::get('/account', [AccountController::class, 'edit'])->name('account');
    Route::put('/account/theme', [AccountController::class, 'theme'])->name('account.theme');
    Route::put('/account/password', [AccountController::class, 'password'])->middleware('throttle:sign-in')->name('account.password');

    Route::get('/modules', [ModuleController::class, 'index'])->name('modules.index');
    Route::post('/modules', [ModuleController::class, 'store'])->name('modules.store');
    Route::get('/modules/{module}', [ModuleController::class, 'show'])->name('modules.show');
    Route::get('/modules/{module}/people', [PeopleController::class, 'index'])->name('people.index');
    Route::post('/modules/{module}/people', [PeopleController::class, 'store'])->name('people.store');
});
