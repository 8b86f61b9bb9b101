<?php

declare(strict_types=1);

use App\Http\Middleware\ProtectResponses;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: [
            __DIR__.'/../routes/web.php',
            __DIR__.'/../routes/plan.php',
            __DIR__.'/../routes/collect.php',
            __DIR__.'/../routes/screen.php',
            __DIR__.'/../routes/share-out.php',
            __DIR__.'/../routes/mark.php',
            __DIR__.'/../routes/moderate.php',
            __DIR__.'/../routes/release.php',
        ],
    )
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withMiddleware(function (Middleware $middleware): void {
        // The compat package has no CORS service: nothing here answers other origins.
        $middleware->remove(HandleCors::class);
        $middleware->web(append: [ProtectResponses::class]);
        $middleware->redirectGuestsTo(fn () => route('sign-in'));
        $middleware->redirectUsersTo(fn () => route('today'));
        $middleware->trimStrings(except: ['password', 'password_confirmation', 'typed_text', 'draft_text', 'comment', 'general_comment', 'pasted', 'changes', 'body', 'lines']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password', 'password_confirmation', 'typed_text']);
        $exceptions->render(function (PostTooLargeException $e, Request $request) {
            $message = __('messages.too_large', ['size' => config('harbor.upload.max_megabytes')]);

            return $request->expectsJson() ? response()->json(['message' => $message], 413) : back()->withErrors(['file' => $message]);
        });
        $exceptions->render(function (Symfony\Component\HttpKernel\Exception\HttpException $e, Request $request) {
            if ($e->getPrevious() instanceof TokenMismatchException) {
                return $request->expectsJson()
                    ? response()->json(['message' => __('messages.expired')], 419)
                    : back()->withInput($request->except('password'))->withErrors(['expired' => __('messages.expired')]);
            }

            return null;
        });
    })
    ->create();
