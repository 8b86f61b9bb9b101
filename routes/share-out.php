<?php

declare(strict_types=1);

use App\Http\Controllers\ShareOut\ShareOutController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/share-out', [ShareOutController::class, 'index'])->name('share-out.index');
    Route::post('/assignments/{assignment}/share-out', [ShareOutController::class, 'store'])->name('share-out.store');
    Route::post('/scripts/{script}/name', [ShareOutController::class, 'name'])->name('scripts.name');
});
