<?php

declare(strict_types=1);

use App\Http\Controllers\Moderate\ModerateController;
use App\Http\Controllers\Moderate\SampleController;
use App\Http\Controllers\Moderate\SettleController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/moderate', [ModerateController::class, 'index'])->name('moderate.index');
    Route::get('/assignments/{assignment}/sample', [SampleController::class, 'index'])->name('sample.index');
    Route::post('/assignments/{assignment}/sample', [SampleController::class, 'store'])->name('sample.store');
    Route::get('/settle/{script}', [ModerateController::class, 'show'])->name('moderate.show');
    Route::post('/settle/{script}/propose', [SettleController::class, 'propose'])->name('moderate.propose');
    Route::post('/settle/{script}/decide', [SettleController::class, 'decide'])->name('moderate.decide');
    Route::post('/settle/{script}/third', [SettleController::class, 'third'])->name('moderate.third');
    Route::post('/settle/{script}/open', [SettleController::class, 'open'])->name('moderate.open');
    Route::post('/settle/{script}/say', [SettleController::class, 'say'])->name('moderate.say');
    Route::post('/settle/{script}/preview', [SettleController::class, 'preview'])->name('moderate.preview');
    Route::post('/settle/{script}/accept', [SettleController::class, 'accept'])->name('moderate.accept');
});
