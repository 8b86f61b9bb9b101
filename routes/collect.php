<?php

declare(strict_types=1);

use App\Http\Controllers\Collect\CollectController;
use App\Http\Controllers\Collect\DraftController;
use App\Http\Controllers\Collect\GroupsController;
use App\Http\Controllers\Collect\HandInController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/collect', [CollectController::class, 'index'])->name('collect.index');
    Route::get('/assignments/{assignment}/groups', [GroupsController::class, 'index'])->name('groups.index');
    Route::post('/assignments/{assignment}/groups', [GroupsController::class, 'store'])->name('groups.store');
    Route::post('/assignments/{assignment}/groups/draw', [GroupsController::class, 'draw'])->name('groups.draw');
    Route::get('/assignments/{assignment}/hand-in', [HandInController::class, 'show'])->name('hand-in.show');
    Route::post('/assignments/{assignment}/hand-in', [HandInController::class, 'store'])->middleware('throttle:hand-in')->name('hand-in.store');
    Route::post('/assignments/{assignment}/drafts', [DraftController::class, 'store'])->middleware('throttle:hand-in')->name('drafts.store');
    Route::get('/drafts/{draft}', [DraftController::class, 'show'])->name('drafts.show');
    Route::get('/receipts/{handin}', [HandInController::class, 'receipt'])->name('receipts.show');
    Route::get('/receipts/{handin}/file/{number?}', [HandInController::class, 'download'])->whereNumber('number')->name('receipts.file');
});
