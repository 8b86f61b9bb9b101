<?php

declare(strict_types=1);

use App\Http\Controllers\Plan\AssignmentController;
use App\Http\Controllers\Plan\AssignmentRubricController;
use App\Http\Controllers\Plan\GradeScaleController;
use App\Http\Controllers\Plan\LibraryController;
use App\Http\Controllers\Plan\RubricController;
use App\Http\Controllers\Plan\RubricFileController;
use App\Http\Controllers\Plan\RubricPagesController;
use App\Http\Controllers\Plan\RubricPasteController;
use App\Http\Controllers\Plan\TemplateController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/rubrics', [LibraryController::class, 'index'])->name('rubrics.index');
    Route::post('/rubrics', [LibraryController::class, 'store'])->name('rubrics.store');
    Route::post('/rubrics/import', [LibraryController::class, 'import'])->name('rubrics.import');
    Route::get('/rubrics/{rubric}', [RubricController::class, 'show'])->name('rubrics.show');
    Route::put('/rubrics/{rubric}', [RubricController::class, 'update'])->name('rubrics.update');
    Route::post('/rubrics/{rubric}/ready', [RubricController::class, 'ready'])->name('rubrics.ready');
    Route::post('/rubrics/{rubric}/state', [RubricController::class, 'state'])->name('rubrics.state');
    Route::post('/rubrics/{rubric}/copy', [LibraryController::class, 'copy'])->name('rubrics.copy');
    Route::get('/rubrics/{rubric}/news', [RubricController::class, 'news'])->name('rubrics.news');
    Route::post('/rubrics/{rubric}/paste', [RubricPasteController::class, 'preview'])->name('rubrics.paste');
    Route::post('/rubrics/{rubric}/paste/apply', [RubricPasteController::class, 'apply'])->name('rubrics.paste.apply');
    Route::match(['get', 'post'], '/rubrics/{rubric}/try', [RubricPagesController::class, 'try'])->name('rubrics.try');
    Route::get('/rubrics/{rubric}/as-students', [RubricPagesController::class, 'students'])->name('rubrics.students');
    Route::get('/rubrics/{rubric}/versions', [RubricPagesController::class, 'versions'])->name('rubrics.versions');
    Route::get('/rubrics/{rubric}/files', [RubricPagesController::class, 'files'])->name('rubrics.files');
    Route::get('/rubrics/{rubric}/files/{form}', RubricFileController::class)
        ->whereIn('form', ['json', 'case', 'csv', 'pdf'])->name('rubrics.file');

    Route::get('/modules/{module}/assignments/new', [AssignmentController::class, 'create'])->name('plan.create');
    Route::post('/modules/{module}/assignments', [AssignmentController::class, 'store'])->name('plan.store');
    Route::get('/modules/{module}/second-marks', [AssignmentController::class, 'forecast'])->name('plan.forecast');
    Route::get('/assignments/{assignment}', [AssignmentController::class, 'show'])->name('assignments.show');
    Route::get('/assignments/{assignment}/plan', [AssignmentController::class, 'edit'])->name('plan.edit');
    Route::put('/assignments/{assignment}/plan', [AssignmentController::class, 'update'])->name('plan.update');
    Route::get('/assignments/{assignment}/rubric', [AssignmentRubricController::class, 'show'])->name('plan.rubric');
    Route::post(
        '/assignments/{assignment}/rubric', [AssignmentRubricController::class, 'update'],
    )->name('plan.rubric.update');
    Route::get('/assignments/{assignment}/as-student', [AssignmentController::class, 'student'])->name('plan.student');
    Route::post('/assignments/{assignment}/copy', [AssignmentController::class, 'copy'])->name('plan.copy');
    Route::post('/assignments/{assignment}/templates', [TemplateController::class, 'store'])->name('templates.store');
    Route::delete('/templates/{template}', [TemplateController::class, 'destroy'])->name('templates.destroy');
    Route::get('/templates/{template}', [TemplateController::class, 'show'])->name('templates.show');
    Route::get('/modules/{module}/bands', [GradeScaleController::class, 'index'])->name('bands.index');
    Route::get('/modules/{module}/bands/new', [GradeScaleController::class, 'create'])->name('bands.create');
    Route::post('/modules/{module}/bands', [GradeScaleController::class, 'store'])->name('bands.store');
    Route::get('/bands/{scale}', [GradeScaleController::class, 'edit'])->name('bands.edit');
    Route::put('/bands/{scale}', [GradeScaleController::class, 'update'])->name('bands.update');
    Route::post('/assignments/{assignment}/open', [AssignmentController::class, 'open'])->name('plan.open');
});
