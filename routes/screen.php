<?php

declare(strict_types=1);

use App\Http\Controllers\Screen\ScreenController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/screen', [ScreenController::class, 'index'])->name('screen.index');
    Route::post('/assignments/{assignment}/screen', [ScreenController::class, 'rerun'])->name('screen.rerun');
    Route::get('/overlap/{script}', [ScreenController::class, 'show'])->name('screen.show');
});
