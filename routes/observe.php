<?php

declare(strict_types=1);

use App\Http\Controllers\Observe\ObserveController;
use App\Http\Controllers\Observe\SlotController;
use App\Http\Controllers\Observe\SwapController;
use App\Http\Middleware\InBackground;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/slots', [SlotController::class, 'index'])->name('slots.index');
    Route::get('/assignments/{assignment}/slots.ics', [SlotController::class, 'calendar'])->name('slots.calendar');
    Route::post('/assignments/{assignment}/grounds', [SlotController::class, 'ground'])->name('grounds.store');
    Route::delete('/grounds/{ground}', [SlotController::class, 'removeGround'])->name('grounds.destroy');
    Route::post('/assignments/{assignment}/slots/draw', [SlotController::class, 'draw'])->name('slots.draw');
    Route::post('/assignments/{assignment}/slots/publish', [SlotController::class, 'publish'])->name('slots.publish');
    Route::post('/assignments/{assignment}/slots/no-shows', [SlotController::class, 'noShows'])->name('slots.no-shows');
    Route::put('/slots/{slot}', [SlotController::class, 'move'])->name('slots.move');
    Route::post('/slots/{slot}/swap', [SwapController::class, 'store'])->name('swaps.store');
    Route::put('/swaps/{swap}', [SwapController::class, 'update'])->name('swaps.update');
    Route::get('/observe/worker.js', [ObserveController::class, 'worker'])->withoutMiddleware('auth')->name('observe.worker');
    Route::get('/observe/token', [ObserveController::class, 'token'])->name('observe.token');
    Route::get('/observe/{assignment}', [ObserveController::class, 'show'])->name('observe.show');
    Route::post('/observe/marks/{mark}/events', [ObserveController::class, 'events'])->middleware(['throttle:upload', InBackground::class])
        ->name('observe.events');
    Route::post('/observe/marks/{mark}/files', [ObserveController::class, 'evidence'])->middleware(['throttle:upload', InBackground::class])
        ->name('observe.files');
    Route::post('/observe/marks/{mark}/done', [ObserveController::class, 'done'])->name('observe.done');
    Route::get('/observation-files/{file}', [ObserveController::class, 'file'])->name('observation-files.show');
});
