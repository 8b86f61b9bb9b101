<?php

declare(strict_types=1);

use App\Http\Controllers\Release\BoardController;
use App\Http\Controllers\Release\CaseController;
use App\Http\Controllers\Release\CohortTalkController;
use App\Http\Controllers\Release\GradeBookController;
use App\Http\Controllers\Release\LogbookController;
use App\Http\Controllers\Release\ModulePlanController;
use App\Http\Controllers\Release\ReleaseController;
use App\Http\Controllers\Release\ReplyController;
use App\Http\Controllers\Release\ResultController;
use App\Http\Controllers\Release\ReviewController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/release', [ReleaseController::class, 'index'])->name('release.index');
    Route::post('/assignments/{assignment}/release', [ReleaseController::class, 'store'])->name('release.store');
    Route::get('/releases/{release}/progress', [ReleaseController::class, 'progress'])->name('releases.progress');
    Route::put('/releases/{release}', [ReleaseController::class, 'update'])->name('releases.update');
    Route::post('/assignments/{assignment}/release/mail', [ReleaseController::class, 'mailAgain'])->name('release.mail');
    Route::post('/assignments/{assignment}/release/confirm', [ReleaseController::class, 'confirm'])
        ->name('release.confirm');
    Route::get('/scripts/{script}/preview', [ReleaseController::class, 'preview'])->name('release.preview');
    Route::get('/assignments/{assignment}/cohort', CohortTalkController::class)->name('cohort-talk');
    Route::post('/assignments/{assignment}/reveal', [ReleaseController::class, 'reveal'])->name('release.reveal');
    Route::post('/scripts/{script}/cases', [CaseController::class, 'store'])->name('cases.store');
    Route::put('/cases/{case}', [CaseController::class, 'update'])->name('cases.update');
    Route::post('/assignments/{assignment}/release/absent', [CaseController::class, 'absent'])->name('release.absent');
    Route::post('/scripts/{script}/hold', [ReleaseController::class, 'hold'])->name('scripts.hold');
    Route::get('/results/{result}.pdf', [ResultController::class, 'pdf'])->name('results.pdf');
    Route::get('/results/{result}', [ResultController::class, 'show'])->name('results.show');
    Route::get('/results/{result}/pages/{number}', [ResultController::class, 'pages'])->whereNumber('number')
        ->name('results.pages');
    Route::get('/results/{result}/correct', [ReviewController::class, 'edit'])->name('results.correct');
    Route::post('/results/{result}/correct', [ReviewController::class, 'correct'])->name('results.correct.store');
    Route::post('/results/{result}/reviews', [ReviewController::class, 'store'])->name('reviews.store');
    Route::get('/reviews/{review}', [ReviewController::class, 'show'])->name('reviews.show');
    Route::put('/reviews/{review}', [ReviewController::class, 'update'])->name('reviews.update');
    Route::get('/reviews/{review}/file', [ReviewController::class, 'file'])->name('reviews.file');
    Route::post('/reviews/{review}/file', [ReviewController::class, 'look'])->name('reviews.look');
    Route::post('/results/{result}/replies', [ReplyController::class, 'store'])->name('replies.store');
    Route::post('/results/{result}/reflection', [ReplyController::class, 'reflect'])->name('results.reflect');
    Route::post('/results/{result}/mark', [ReplyController::class, 'showMark'])->name('results.mark');
    Route::post('/results/{result}/useful', [ReplyController::class, 'rate'])->name('results.rate');
    Route::get('/assignments/{assignment}/replies', [ReplyController::class, 'index'])->name('replies.index');
    Route::get('/replies/{thread}', [ReplyController::class, 'show'])->name('replies.show');
    Route::post('/replies/{thread}', [ReplyController::class, 'answer'])->name('replies.answer');
    Route::put('/replies/{thread}', [ReplyController::class, 'update'])->name('replies.update');
    Route::get('/replies/file/{reply}', [ReplyController::class, 'file'])->name('replies.file');
    Route::post('/results/{result}/reading', [ResultController::class, 'reading'])->name('results.reading');
    Route::get('/grade-book', [GradeBookController::class, 'choose'])->name('grade-book');
    Route::get('/modules/{module}/grade-book', [GradeBookController::class, 'show'])->name('grade-book.show');
    Route::get('/modules/{module}/grade-book/take', [GradeBookController::class, 'take'])->name('grade-book.take');
    Route::get('/modules/{module}/grade-book/oneroster', [GradeBookController::class, 'oneRoster'])
        ->name('grade-book.oneroster');
    Route::get('/modules/{module}/grade-book/lie', [GradeBookController::class, 'lie'])->name('grade-book.lie');
    Route::get('/modules/{module}/board', [BoardController::class, 'show'])->name('board.show');
    Route::post('/modules/{module}/board', [BoardController::class, 'confirm'])->name('board.confirm');
    Route::post('/modules/{module}/board/numbers', [BoardController::class, 'draw'])->name('board.draw');
    Route::get('/modules/{module}/board.{form}', [BoardController::class, 'take'])->whereIn('form', ['csv', 'pdf'])
        ->name('board.take');
    Route::get('/boards/{board}.{form}', [BoardController::class, 'takeKept'])->whereIn('form', ['csv', 'pdf'])
        ->name('boards.take');
    Route::get('/boards/{board}', [BoardController::class, 'kept'])->name('boards.show');
    Route::get('/modules/{module}/mark-plan', [ModulePlanController::class, 'edit'])->name('module-plan.edit');
    Route::put('/modules/{module}/mark-plan', [ModulePlanController::class, 'update'])->name('module-plan.update');
    Route::get('/modules/{module}/grade-book.csv', [GradeBookController::class, 'csv'])->name('grade-book.csv');
    Route::get('/modules/{module}/logbook', [LogbookController::class, 'show'])->name('logbook');
    Route::get('/modules/{module}/logbook.{form}', [LogbookController::class, 'take'])
        ->whereIn('form', ['csv', 'jsonl'])->name('logbook.take');
});
