<?php

declare(strict_types=1);

use App\Http\Controllers\Discuss\DiscussionController;
use App\Http\Controllers\Discuss\PostController;
use App\Http\Controllers\Discuss\TopicController;
use App\Http\Middleware\InBackground;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('/assignments/{assignment}/discussion', [DiscussionController::class, 'show'])->name('discussion.show');
    Route::post('/assignments/{assignment}/topics', [DiscussionController::class, 'store'])->name('topics.store');
    Route::put('/topics/{topic}', [DiscussionController::class, 'update'])->name('topics.update');
    Route::delete('/topics/{topic}', [DiscussionController::class, 'destroy'])->name('topics.destroy');
    Route::put('/flags/{flag}', [DiscussionController::class, 'leave'])->name('flags.leave');
    Route::get('/topics/{topic}', [TopicController::class, 'show'])->name('topics.show');
    Route::get('/topics/{topic}/news', [TopicController::class, 'news'])->middleware(InBackground::class)->name('topics.news');
    Route::get('/topics/{topic}/threads', [TopicController::class, 'threads'])->name('topics.threads');
    Route::post('/topics/{topic}/follow', [TopicController::class, 'follow'])->name('topics.follow');
    Route::post('/topics/{topic}/close', [TopicController::class, 'close'])->name('topics.close');
    Route::post('/topics/{topic}/posts', [PostController::class, 'store'])->middleware('throttle:hand-in')->name('posts.store');
    Route::get('/posts/{post}', [PostController::class, 'show'])->name('posts.show');
    Route::get('/posts/{post}/edit', [PostController::class, 'edit'])->name('posts.edit');
    Route::put('/posts/{post}', [PostController::class, 'update'])->name('posts.update');
    Route::get('/posts/{post}/replies', [PostController::class, 'replies'])->name('posts.replies');
    Route::post('/posts/{post}/take-back', [PostController::class, 'takeBack'])->name('posts.take-back');
    Route::post('/posts/{post}/hide', [PostController::class, 'hide'])->name('posts.hide');
    Route::post('/posts/{post}/pin', [PostController::class, 'pin'])->name('posts.pin');
    Route::post('/posts/{post}/move', [PostController::class, 'move'])->name('posts.move');
    Route::post('/posts/{post}/flag', [PostController::class, 'flag'])->name('posts.flag');
    Route::post('/posts/{post}/unread', [PostController::class, 'unread'])->name('posts.unread');
    Route::get('/post-files/{file}', [PostController::class, 'file'])->name('posts.file');
});
