<?php

declare(strict_types=1);

use App\Http\Controllers\Plan\AssignmentController;
use App\Http\Controllers\Plan\RubricController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/rubrics', [RubricController::class, 'index'])->name('rubrics.index');
    Route::post('/modules/{module}/rubrics', [RubricController::class, 'store'])->name('rubrics.store');
    Route::get('/rubrics/{rubric}', [RubricController::class, 'show'])->name('rubrics.show');
    Route::put('/rubrics/{rubric}', [RubricController::class, 'update'])->name('rubrics.update');
    Route::post('/rubrics/{rubric}/ready', [RubricController::class, 'ready'])->name('rubrics.ready');
    Route::post('/rubrics/{rubric}/state', [RubricController::class, 'state'])->name('rubrics.state');
    Route::post('/rubrics/{rubric}/copy', [RubricController::class, 'copy'])->name('rubrics.copy');

    Route::get('/modules/{module}/assignments/new', [AssignmentController::class, 'create'])->name('plan.create');
    Route::post('/modules/{module}/assignments', [AssignmentController::class, 'store'])->name('plan.store');
    Route::get('/assignments/{assignment}', [AssignmentController::class, 'show'])->name('assignments.show');
    Route::get('/assignments/{assignment}/plan', [AssignmentController::class, 'edit'])->name('plan.edit');
    Route::put('/assignments/{assignment}/plan', [AssignmentController::class, 'update'])->name('plan.update');
    Route::post('/assignments/{assignment}/open', [AssignmentController::class, 'open'])->name('plan.open');
});
