<?php

declare(strict_types=1);

use App\Http\Controllers\Mark\AnnotationController;
use App\Http\Controllers\Mark\AttachmentController;
use App\Http\Controllers\Mark\BankController;
use App\Http\Controllers\Mark\DeskController;
use App\Http\Controllers\Mark\FileController;
use App\Http\Controllers\Mark\QueueController;
use App\Http\Controllers\Mark\SyncController;
use App\Http\Middleware\InBackground;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/mark', [QueueController::class, 'index'])->name('mark.index');
    Route::post('/assignments/{assignment}/mark/remind', [QueueController::class, 'remind'])->name('mark.remind');
    Route::get('/assignments/{assignment}/mark/scripts.zip', [FileController::class, 'zip'])->name('mark.zip');
    Route::put('/desk-settings', [DeskController::class, 'settings'])->name('mark.settings');
    Route::get('/desk/{mark}/file/{kind}', [FileController::class, 'show'])->name('mark.file');
    Route::get('/desk/{mark}/pages/{number}', [FileController::class, 'pages'])->whereNumber('number')
        ->name('mark.pages');
    Route::get('/desk/{mark}', [DeskController::class, 'show'])->name('mark.desk');
    Route::patch('/desk/{mark}', [SyncController::class, 'update'])->middleware(InBackground::class)->name('mark.sync');
    Route::get('/desk/{mark}/news', [SyncController::class, 'news'])->middleware(InBackground::class)
        ->name('mark.news');
    Route::get('/desk/{mark}/token', [SyncController::class, 'token'])->name('mark.token');
    Route::get('/desk/{mark}/rubric', [DeskController::class, 'rubric'])->name('mark.rubric');
    Route::get('/desk/{mark}/lately/{criterion}', [DeskController::class, 'lately'])->name('mark.lately');
    Route::get('/desk/{mark}/comments.jsonld', AnnotationController::class)->name('mark.annotations');
    Route::put('/desk/{mark}/criteria/{criterion}', [DeskController::class, 'choose'])->name('mark.choose');
    Route::put('/desk/{mark}/comment', [DeskController::class, 'comment'])->name('mark.comment');
    Route::post('/desk/{mark}/aside', [DeskController::class, 'aside'])->name('mark.aside');
    Route::post('/desk/{mark}/together', [DeskController::class, 'together'])->name('mark.together');
    Route::post('/desk/{mark}/done', [DeskController::class, 'done'])->name('mark.done');
    Route::post('/desk/{mark}/agree', [DeskController::class, 'agree'])->name('mark.agree');
    Route::post('/desk/{mark}/from-first', [DeskController::class, 'takeFirst'])->name('mark.take-first');
    Route::post('/desk/{mark}/reopen', [DeskController::class, 'reopen'])->name('mark.reopen');
    Route::post('/desk/{mark}/attachments', [AttachmentController::class, 'store'])->name('attachments.store');
    Route::get('/attachments/{attachment}', [AttachmentController::class, 'show'])->name('attachments.show');
    Route::delete('/attachments/{attachment}', [AttachmentController::class, 'destroy'])->name('attachments.destroy');
    Route::get('/bank', [BankController::class, 'index'])->name('bank.index');
    Route::post('/bank', [BankController::class, 'make'])->name('bank.make');
    Route::post('/bank/comments', [BankController::class, 'store'])->name('bank.comments.store');
    Route::put('/bank/comments/{comment}', [BankController::class, 'update'])->name('bank.comments.update');
    Route::delete('/bank/comments/{comment}', [BankController::class, 'destroy'])->name('bank.comments.destroy');
    Route::post('/bank/comments/{comment}/back', [BankController::class, 'restore'])->name('bank.comments.restore');
    Route::post('/bank/comments/{comment}/used', [BankController::class, 'used'])->name('bank.comments.used');
    Route::get('/bank/{set}.{form}', [BankController::class, 'export'])->whereIn('form', ['csv', 'json'])
        ->name('bank.export');
    Route::post('/bank/{set}/import', [BankController::class, 'import'])->name('bank.import');
});
