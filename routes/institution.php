<?php

declare(strict_types=1);

use App\Http\Controllers\Institution\EraseController;
use App\Http\Controllers\Institution\KeepingController;
use App\Http\Controllers\Institution\MergeController;
use App\Http\Controllers\Institution\PeopleController;
use App\Http\Controllers\Institution\PersonController;
use App\Http\Controllers\Institution\RunningController;
use App\Http\Controllers\Institution\SignInRulesController;
use App\Http\Controllers\Keeping\ModuleKeepingController;
use App\Http\Controllers\Keeping\TakeBackController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->prefix('institution')->name('institution.')->group(function (): void {
    Route::get('/people', PeopleController::class)->name('people');
    Route::get('/people/{user}', [PersonController::class, 'show'])->name('person');
    Route::put('/people/{user}', [PersonController::class, 'update'])->name('person.update');
    Route::post('/people/{user}/link', [PersonController::class, 'link'])->name('person.link');
    Route::delete('/people/{user}/second-step', [PersonController::class, 'secondStep'])->name('person.second-step');
    Route::delete('/people/{user}/places', [PersonController::class, 'places'])->name('person.places');
    Route::put('/people/{user}/closed', [PersonController::class, 'closed'])->name('person.closed');
    Route::put('/people/{user}/administrator', [PersonController::class, 'administrator'])->name('person.administrator');
    Route::get('/people/{user}/merge', [MergeController::class, 'show'])->name('merge');
    Route::post('/people/{user}/merge', [MergeController::class, 'store'])->name('merge.store');
    Route::post('/people/{user}/data', [PersonController::class, 'data'])->middleware('throttle:hand-over')
        ->name('person.data');
    Route::get('/people/{user}/erase', [EraseController::class, 'show'])->name('erase');
    Route::post('/people/{user}/erase', [EraseController::class, 'store'])->name('erase.store');
    Route::put('/people/{user}/hold', [EraseController::class, 'hold'])->name('hold');
    Route::get('/keeping', [KeepingController::class, 'show'])->name('keeping');
    Route::put('/keeping', [KeepingController::class, 'update'])->name('keeping.update');
    Route::post('/keeping/due', [KeepingController::class, 'decide'])->name('keeping.decide');
    Route::get('/running', [RunningController::class, 'show'])->name('running');
    Route::post('/running/failed', [RunningController::class, 'again'])->name('running.again');
    Route::delete('/running/failed', [RunningController::class, 'forget'])->name('running.forget');
    Route::get('/sign-in', [SignInRulesController::class, 'show'])->name('sign-in');
    Route::put('/sign-in', [SignInRulesController::class, 'update'])->name('sign-in.update');
});

Route::middleware('auth')->group(function (): void {
    Route::get('/modules/{module}/keeping', [ModuleKeepingController::class, 'show'])->name('keeping.module');
    Route::put('/modules/{module}/keeping', [ModuleKeepingController::class, 'update'])->name('keeping.module.update');
    Route::post('/modules/{module}/keeping/due', [ModuleKeepingController::class, 'decide'])->name('keeping.module.decide');
    Route::delete('/keeping/{decision}', TakeBackController::class)->name('keeping.take-back');
});
