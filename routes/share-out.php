<?php

declare(strict_types=1);

use App\Http\Controllers\ShareOut\ConflictController;
use App\Http\Controllers\ShareOut\NamesController;
use App\Http\Controllers\ShareOut\ShareOutController;
use App\Http\Controllers\ShareOut\TogetherController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/share-out', [ShareOutController::class, 'index'])->name('share-out.index');
    Route::post('/assignments/{assignment}/share-out', [ShareOutController::class, 'plan'])->name('share-out.plan');
    Route::post(
        '/assignments/{assignment}/hand-over', [ShareOutController::class, 'handOver'],
    )->name('share-out.hand-over');
    Route::post('/plans/{plan}/move', [ShareOutController::class, 'move'])->name('share-out.move');
    Route::post('/plans/{plan}/apply', [ShareOutController::class, 'apply'])->name('share-out.apply');
    Route::delete('/plans/{plan}', [ShareOutController::class, 'drop'])->name('share-out.drop');
    Route::get('/assignments/{assignment}/names', [NamesController::class, 'index'])->name('names.index');
    Route::post('/assignments/{assignment}/names', [NamesController::class, 'again'])->name('names.again');
    Route::post('/scripts/{script}/alone', [NamesController::class, 'decide'])->name('names.decide');
    Route::post('/scripts/{script}/name', [ShareOutController::class, 'name'])->name('scripts.name');
    Route::get('/modules/{module}/conflicts', [ConflictController::class, 'index'])->name('conflicts.index');
    Route::post('/modules/{module}/conflicts', [ConflictController::class, 'store'])->name('conflicts.store');
    Route::delete('/conflicts/{conflict}', [ConflictController::class, 'destroy'])->name('conflicts.destroy');
    Route::get('/assignments/{assignment}/together', [TogetherController::class, 'index'])->name('together.index');
    Route::post('/assignments/{assignment}/together', [TogetherController::class, 'store'])->name('together.store');
    Route::put(
        '/assignments/{assignment}/together/levels', [TogetherController::class, 'levels'],
    )->name('together.levels');
});
