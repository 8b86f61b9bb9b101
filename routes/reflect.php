<?php

declare(strict_types=1);

use App\Http\Controllers\Reflect\SheetController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/modules/{module}/sheets', [SheetController::class, 'index'])->name('sheets.index');
    Route::post('/modules/{module}/sheets', [SheetController::class, 'store'])->name('sheets.store');
    Route::get('/sheets/{sheet}', [SheetController::class, 'show'])->name('sheets.show');
    Route::put('/sheets/{sheet}', [SheetController::class, 'update'])->name('sheets.update');
    Route::post('/sheets/{sheet}/open', [SheetController::class, 'open'])->name('sheets.open');
    Route::put('/sheets/{sheet}/answers', [SheetController::class, 'write'])->name('sheets.write');
});
