<?php

declare(strict_types=1);

use App\Http\Controllers\Account\CodeController;
use App\Http\Controllers\Account\KeptController;
use App\Http\Controllers\Account\LinkController;
use App\Http\Controllers\Account\PlacesController;
use App\Http\Controllers\Account\SecondStepController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in/code', [CodeController::class, 'create'])->name('sign-in.code');
    Route::post('/sign-in/code', [CodeController::class, 'store'])->middleware('throttle:second-step')
        ->name('sign-in.code.store');
    Route::get('/sign-in/link', [LinkController::class, 'create'])->name('sign-in.link');
    Route::post('/sign-in/link', [LinkController::class, 'store'])->middleware('throttle:forgotten')
        ->name('sign-in.link.store');
    Route::get('/sign-in/link/{token}', [LinkController::class, 'show'])->name('sign-in.link.show');
    Route::post('/sign-in/link/{token}', [LinkController::class, 'take'])->middleware('throttle:choose-password')
        ->name('sign-in.link.take');
});

Route::middleware('auth')->group(function (): void {
    Route::get('/account/second-step', [SecondStepController::class, 'show'])->name('second-step');
    Route::post('/account/second-step', [SecondStepController::class, 'store'])
        ->middleware('throttle:choose-password')->name('second-step.store');
    Route::delete('/account/second-step', [SecondStepController::class, 'destroy'])
        ->middleware('throttle:choose-password')->name('second-step.destroy');
    Route::post('/account/recovery-codes', [SecondStepController::class, 'codes'])
        ->middleware('throttle:choose-password')->name('second-step.codes');
    Route::get('/account/kept', [KeptController::class, 'show'])->name('kept');
    Route::post('/account/kept', [KeptController::class, 'download'])->middleware('throttle:hand-over')->name('kept.download');
    Route::delete('/account/places', [PlacesController::class, 'destroy'])->name('places.destroy');
});
