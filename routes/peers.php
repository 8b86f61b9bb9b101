<?php

declare(strict_types=1);

use App\Http\Controllers\Peers\ContributionController;
use App\Http\Controllers\Peers\PeerDeskController;
use App\Http\Controllers\Peers\PeerReviewController;
use App\Http\Controllers\Peers\RoundController;
use App\Http\Controllers\Peers\StudentRoundController;
use App\Http\Controllers\Peers\TrialController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/rounds', [RoundController::class, 'index'])->name('rounds.index');
    Route::get('/assignments/{assignment}/rounds/new', [RoundController::class, 'create'])->name('rounds.create');
    Route::post('/assignments/{assignment}/rounds', [RoundController::class, 'store'])->name('rounds.store');
    Route::get('/rounds/{round}/plan', [RoundController::class, 'edit'])->name('rounds.edit');
    Route::put('/rounds/{round}/plan', [RoundController::class, 'update'])->name('rounds.update');
    Route::get('/rounds/{round}/state', [RoundController::class, 'show'])->name('rounds.staff');
    Route::post('/rounds/{round}/open', [RoundController::class, 'open'])->name('rounds.open');
    Route::post('/rounds/{round}/give', [RoundController::class, 'give'])->name('rounds.give');
    Route::post('/rounds/{round}/close', [RoundController::class, 'close'])->name('rounds.close');
    Route::post('/rounds/{round}/let-in', [RoundController::class, 'letIn'])->name('rounds.let-in');
    Route::get('/rounds/{round}/works/{work}', [RoundController::class, 'work'])->name('rounds.work');
    Route::get('/rounds/{round}/trials', [TrialController::class, 'index'])->name('trials.index');
    Route::post('/rounds/{round}/trials', [TrialController::class, 'store'])->name('trials.store');
    Route::delete('/trials/{trial}', [TrialController::class, 'destroy'])->name('trials.destroy');
    Route::get('/trials/{trial}', [TrialController::class, 'show'])->name('trials.show');
    Route::put('/trials/{trial}', [TrialController::class, 'update'])->name('trials.update');
    Route::get('/rounds/{round}', [StudentRoundController::class, 'show'])->name('rounds.show');
    Route::post('/rounds/{round}/offer', [StudentRoundController::class, 'offer'])->name('rounds.offer');
    Route::get('/assignments/{assignment}/contribution', [ContributionController::class, 'index'])
        ->name('contribution.index');
    Route::put('/assignments/{assignment}/contribution', [ContributionController::class, 'save'])
        ->name('contribution.save');
    Route::post('/contributions/{contribution}/open', [ContributionController::class, 'open'])
        ->name('contributions.open');
    Route::post('/contributions/{contribution}/close', [ContributionController::class, 'close'])
        ->name('contributions.close');
    Route::post('/contributions/{contribution}/reopen', [ContributionController::class, 'reopen'])
        ->name('contributions.reopen');
    Route::put('/contributions/{contribution}/set', [ContributionController::class, 'set'])->name('contributions.set');
    Route::get('/contributions/{contribution}', [ContributionController::class, 'show'])->name('contributions.show');
    Route::put('/contributions/{contribution}', [ContributionController::class, 'rate'])->name('contributions.rate');
    Route::get('/peer-reviews/{peer}', [PeerDeskController::class, 'show'])->name('peer-reviews.desk');
    Route::post('/peer-reviews/{peer}/done', [PeerDeskController::class, 'done'])->name('peer-reviews.done');
    Route::post('/peer-reviews/{peer}/reopen', [PeerDeskController::class, 'reopen'])->name('peer-reviews.reopen');
    Route::post('/peer-reviews/{peer}/return', [PeerDeskController::class, 'return'])->name('peer-reviews.return');
    Route::put('/peer-reviews/{peer}/learnt', [PeerDeskController::class, 'learnt'])->name('peer-reviews.learnt');
    Route::get('/received/{peer}', [PeerReviewController::class, 'show'])->name('peer-reviews.show');
    Route::put('/received/{peer}/answer', [PeerReviewController::class, 'answer'])->name('peer-reviews.answer');
    Route::post('/received/{peer}/flag', [PeerReviewController::class, 'flag'])->name('peer-reviews.flag');
    Route::put('/received/{peer}/decide', [PeerReviewController::class, 'decide'])->name('peer-reviews.decide');
    Route::put('/received/{peer}/dealt', [PeerReviewController::class, 'dealt'])->name('peer-reviews.dealt');
});
