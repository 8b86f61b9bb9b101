<?php

declare(strict_types=1);

use App\Http\Controllers\Screen\ArchiveController;
use App\Http\Controllers\Screen\BaselineController;
use App\Http\Controllers\Screen\OverlapController;
use App\Http\Controllers\Screen\ScreenController;
use App\Http\Controllers\Screen\WritingController;
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
    Route::post('/overlap/{script}/people', [OverlapController::class, 'name'])->name('screen.name');
    Route::get('/conversation/{script}', [OverlapController::class, 'ownRecord'])->name('screen.own-record');
    Route::get('/assignments/{assignment}/writing', [WritingController::class, 'index'])->name('writing.index');
    Route::post('/assignments/{assignment}/writing', [WritingController::class, 'measure'])->name('writing.measure');
    Route::get('/writing/{script}', [WritingController::class, 'show'])->name('writing.show');
    Route::get('/modules/{module}/detector', [BaselineController::class, 'detector'])->name('detector.show');
    Route::get('/modules/{module}/baselines', [BaselineController::class, 'index'])->name('baselines.index');
    Route::post('/modules/{module}/baselines', [BaselineController::class, 'store'])->name('baselines.store');
    Route::get('/baselines/{baseline}', [BaselineController::class, 'show'])->name('baselines.show');
    Route::post('/baselines/{baseline}/texts', [BaselineController::class, 'add'])->name('baselines.add');
    Route::post('/baselines/texts/{text}/take-out', [BaselineController::class, 'takeOut'])->name('baselines.take-out');
    Route::get('/modules/{module}/archive', [ArchiveController::class, 'index'])->name('archive.index');
    Route::post('/modules/{module}/archive', [ArchiveController::class, 'store'])->name('archive.store');
    Route::post('/archive/{source}/take-out', [ArchiveController::class, 'destroy'])->name('archive.take-out');
});
