<?php

declare(strict_types=1);

use App\Http\Controllers\Moderate\ModerateController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/moderate', [ModerateController::class, 'index'])->name('moderate.index');
    Route::get('/settle/{script}', [ModerateController::class, 'show'])->name('moderate.show');
    Route::post('/settle/{script}/propose', [ModerateController::class, 'propose'])->name('moderate.propose');
    Route::post('/settle/{script}/accept', [ModerateController::class, 'accept'])->name('moderate.accept');
});
