<?php

declare(strict_types=1);

use App\Http\Controllers\Collect\AttemptController;
use App\Http\Controllers\Collect\CollectController;
use App\Http\Controllers\Collect\DraftController;
use App\Http\Controllers\Collect\FirstFeedbackController;
use App\Http\Controllers\Collect\GroupsController;
use App\Http\Controllers\Collect\HandInController;
use App\Http\Controllers\Collect\MessageController;
use App\Http\Controllers\Collect\TypedTextController;
use App\Http\Controllers\Collect\UploadController;
use App\Http\Middleware\InBackground;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/collect', [CollectController::class, 'index'])->name('collect.index');
    Route::get('/assignments/{assignment}/arrivals', [CollectController::class, 'arrivals'])->name('collect.arrivals');
    Route::get('/assignments/{assignment}/collect.csv', [CollectController::class, 'csv'])->name('collect.csv');
    Route::get('/assignments/{assignment}/scripts.zip', [CollectController::class, 'zip'])->name('collect.zip');
    Route::get('/assignments/{assignment}/write', [MessageController::class, 'create'])->name('messages.create');
    Route::post('/assignments/{assignment}/write', [MessageController::class, 'store'])->name('messages.store');
    Route::get('/assignments/{assignment}/groups', [GroupsController::class, 'index'])->name('groups.index');
    Route::post('/assignments/{assignment}/groups', [GroupsController::class, 'store'])->name('groups.store');
    Route::post('/assignments/{assignment}/groups/draw', [GroupsController::class, 'draw'])->name('groups.draw');
    Route::get('/assignments/{assignment}/hand-in', [HandInController::class, 'show'])->name('hand-in.show');
    Route::post('/assignments/{assignment}/hand-in', [HandInController::class, 'store'])->middleware('throttle:hand-in')
        ->name('hand-in.store');
    Route::post('/assignments/{assignment}/drafts', [DraftController::class, 'store'])->middleware('throttle:hand-in')
        ->name('drafts.store');
    Route::post('/drafts/{draft}/first-feedback', [FirstFeedbackController::class, 'store'])->middleware('throttle:hand-in')
        ->name('first-feedback.store');
    Route::put('/first-feedback/{feedback}', [FirstFeedbackController::class, 'update'])->name('first-feedback.update');
    Route::get('/assignments/{assignment}/first-feedback', [FirstFeedbackController::class, 'index'])
        ->name('first-feedback.index');
    Route::get('/drafts/{draft}', [DraftController::class, 'show'])->name('drafts.show');
    Route::post('/assignments/{assignment}/uploads', [UploadController::class, 'store'])
        ->middleware(['throttle:upload', InBackground::class])->name('uploads.store');
    Route::put('/uploads/{upload}', [UploadController::class, 'update'])
        ->middleware(['throttle:upload', InBackground::class])->name('uploads.update');
    Route::put('/assignments/{assignment}/typed', [TypedTextController::class, 'update'])
        ->middleware(['throttle:upload', InBackground::class])->name('typed.update');
    Route::post('/templates/{template}/begin', [TypedTextController::class, 'begin'])->name('typed.begin');
    Route::get('/receipts/{handin}', [AttemptController::class, 'show'])->name('receipts.show');
    Route::get('/receipts/{handin}/receipt.txt', [AttemptController::class, 'text'])->name('receipts.text');
    Route::get('/receipts/{handin}/file/{number?}', [AttemptController::class, 'file'])->whereNumber('number')
        ->name('receipts.file');
    Route::post('/receipts/{handin}/counts', [AttemptController::class, 'choose'])->name('receipts.choose');
});
