<?php

declare(strict_types=1);

use App\Http\Controllers\Screen\ArchiveController;
use App\Http\Controllers\Screen\OverlapController;
use App\Http\Controllers\Screen\ScreenController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/screen', [ScreenController::class, 'index'])->name('screen.index');
    Route::post('/assignments/{assignment}/screen', [ScreenController::class, 'rerun'])->name('screen.rerun');
    Route::post('/assignments/{assignment}/screen/stop', [ScreenController::class, 'stop'])->name('screen.stop');
    Route::get('/overlap/{script}', [OverlapController::class, 'show'])->name('screen.show');
    Route::get('/overlap/{script}/report.pdf', [OverlapController::class, 'pdf'])->name('screen.pdf');
    Route::get('/overlap/{script}/own', [OverlapController::class, 'own'])->name('screen.own');
    Route::post('/overlap/{script}/leave-out', [OverlapController::class, 'leaveOut'])->name('screen.leave-out');
    Route::post('/overlap/choices/{choice}/undo', [OverlapController::class, 'undo'])->name('screen.undo');
    Route::post('/overlap/{script}/record', [OverlapController::class, 'record'])->name('screen.record');
    Route::get('/modules/{module}/archive', [ArchiveController::class, 'index'])->name('archive.index');
    Route::post('/modules/{module}/archive', [ArchiveController::class, 'store'])->name('archive.store');
    Route::post('/archive/{source}/take-out', [ArchiveController::class, 'destroy'])->name('archive.take-out');
});
