<?php

declare(strict_types=1);

use App\Http\Controllers\Alike\AlikeController;
use App\Http\Controllers\Alike\AlikeModuleController;
use App\Http\Controllers\Alike\CorrectionController;
use App\Http\Controllers\Moderate\ModerateController;
use App\Http\Controllers\Moderate\PackController;
use App\Http\Controllers\Moderate\SampleController;
use App\Http\Controllers\Moderate\SettleController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/moderate', [ModerateController::class, 'index'])->name('moderate.index');
    Route::get('/assignments/{assignment}/sample', [SampleController::class, 'index'])->name('sample.index');
    Route::post('/assignments/{assignment}/sample', [SampleController::class, 'store'])->name('sample.store');
    Route::get('/assignments/{assignment}/packs', [PackController::class, 'index'])->name('packs.index');
    Route::post('/assignments/{assignment}/packs', [PackController::class, 'store'])->name('packs.store');
    Route::put('/assignments/{assignment}/moderators', [PackController::class, 'moderators'])->name('packs.moderators');
    Route::get('/packs/{pack}', [PackController::class, 'show'])->name('packs.show');
    Route::put('/packs/{pack}', [PackController::class, 'update'])->name('packs.update');
    Route::post('/packs/{pack}/send', [PackController::class, 'send'])->name('packs.send');
    Route::post('/packs/{pack}/say', [PackController::class, 'say'])->name('packs.say');
    Route::post('/packs/{pack}/answer', [PackController::class, 'answer'])->name('packs.answer');
    Route::post('/packs/{pack}/sign', [PackController::class, 'sign'])->name('packs.sign');
    Route::get('/packs/{pack}/pack.zip', [PackController::class, 'zip'])->name('packs.zip');
    Route::get('/packs/{pack}/scripts/{code}', [PackController::class, 'script'])->name('packs.script');
    Route::get('/settle/{script}', [ModerateController::class, 'show'])->name('moderate.show');
    Route::post('/settle/{script}/propose', [SettleController::class, 'propose'])->name('moderate.propose');
    Route::post('/settle/{script}/decide', [SettleController::class, 'decide'])->name('moderate.decide');
    Route::post('/settle/{script}/third', [SettleController::class, 'third'])->name('moderate.third');
    Route::post('/settle/{script}/open', [SettleController::class, 'open'])->name('moderate.open');
    Route::put('/settle/{script}/feedback', [SettleController::class, 'feedback'])->name('moderate.feedback');
    Route::post('/settle/{script}/say', [SettleController::class, 'say'])->name('moderate.say');
    Route::post('/settle/{script}/preview', [SettleController::class, 'preview'])->name('moderate.preview');
    Route::post('/settle/{script}/accept', [SettleController::class, 'accept'])->name('moderate.accept');
    Route::get('/assignments/{assignment}/alike', [AlikeController::class, 'show'])->name('alike.show');
    Route::get('/modules/{module}/alike', AlikeModuleController::class)->name('alike.module');
    Route::get(
        '/assignments/{assignment}/corrections', [CorrectionController::class, 'index'],
    )->name('corrections.index');
    Route::post(
        '/assignments/{assignment}/corrections', [CorrectionController::class, 'store'],
    )->name('corrections.store');
    Route::get('/corrections/{correction}', [CorrectionController::class, 'show'])->name('corrections.show');
    Route::put('/corrections/{correction}', [CorrectionController::class, 'update'])->name('corrections.update');
});
