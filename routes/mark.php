<?php

declare(strict_types=1);

use App\Http\Controllers\Mark\DeskController;
use App\Http\Controllers\Mark\FileController;
use App\Http\Controllers\Mark\QueueController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/mark', QueueController::class)->name('mark.index');
    Route::get('/assignments/{assignment}/mark/scripts.zip', [FileController::class, 'zip'])->name('mark.zip');
    Route::get('/desk/{mark}/file/{number?}', [FileController::class, 'show'])->whereNumber('number')->name('mark.file');
    Route::get('/desk/{mark}', [DeskController::class, 'show'])->name('mark.desk');
    Route::put('/desk/{mark}/criteria/{criterion}', [DeskController::class, 'choose'])->name('mark.choose');
    Route::put('/desk/{mark}/comment', [DeskController::class, 'comment'])->name('mark.comment');
    Route::post('/desk/{mark}/done', [DeskController::class, 'done'])->name('mark.done');
    Route::post('/desk/{mark}/reopen', [DeskController::class, 'reopen'])->name('mark.reopen');
});
