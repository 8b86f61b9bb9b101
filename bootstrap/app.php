<?php

declare(strict_types=1);

use App\Http\Middleware\CheckAccount;
use App\Http\Middleware\DecimalComma;
use App\Http\Middleware\KeepSession;
use App\Http\Middleware\MendJson;
use App\Http\Middleware\NameRequest;
use App\Http\Middleware\ProtectResponses;
use App\Http\Middleware\SayWhatWasLetGo;
use App\Http\Middleware\SoundInput;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: [
            __DIR__.'/../routes/web.php',
            __DIR__.'/../routes/account.php',
            __DIR__.'/../routes/institution.php',
            __DIR__.'/../routes/plan.php',
            __DIR__.'/../routes/collect.php',
            __DIR__.'/../routes/screen.php',
            __DIR__.'/../routes/share-out.php',
            __DIR__.'/../routes/mark.php',
            __DIR__.'/../routes/peers.php',
            __DIR__.'/../routes/reflect.php', __DIR__.'/../routes/discuss.php',
            __DIR__.'/../routes/observe.php',
            __DIR__.'/../routes/moderate.php',
            __DIR__.'/../routes/release.php',
        ],
        commands: __DIR__.'/../routes/console.php',
    )
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withMiddleware(function (Middleware $middleware): void {
        // Nothing here answers other origins.
        $middleware->remove(HandleCors::class);
        // Every answer, those of refusals and errors too.
        $middleware->append(ProtectResponses::class);
        $middleware->prepend(NameRequest::class);
        $middleware->prepend(MendJson::class);
        $middleware->web(
            append: [SoundInput::class, DecimalComma::class, CheckAccount::class, SayWhatWasLetGo::class],
            replace: [StartSession::class => KeepSession::class],
        );
        // A changed password ends every other session of its person.
        $middleware->authenticateSessions();
        $middleware->redirectGuestsTo(fn () => route('sign-in'));
        $middleware->redirectUsersTo(fn () => route('today'));
        $middleware->trimStrings(
            except: [
                'password', 'password_confirmation', 'current_password', 'typed_text', 'draft_text', 'comment', 'general_comment',
                'pasted', 'changes', 'body', 'lines',
            ]
        );
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // Values of queries are people's: they do not go into logs, nor what the database quotes of them.
        $exceptions->report(function (QueryException $e): bool {
            Log::error(
                'A query failed: '.preg_replace(
                    "/'(?:[^'\\\\]|\\\\.)*'/", "'…'", (string) $e->getPrevious()?->getMessage(),
                ),
                ['at' => mb_substr(preg_replace('/\s+/', ' ', $e->getSql()) ?? '', 0, 300)],
            );

            return false;
        });
        // Disk full, read-only, gone: in words, at once.
        $exceptions->render(function (QueryException $e, Request $request) {
            $code = (int) ($e->errorInfo[1] ?? 0);
            $why = match (true) {
                in_array($code, [1021, 1114, 3], true) => 'There is no room left where Young Harbor keeps its data',
                in_array(
                    $code, [1290, 1792, 1836, 1223], true,
                ) => 'Young Harbor can read its data and not write it just now',
                in_array(
                    $code, [1040, 1203, 2002, 2006, 2013, 1927, 1053, 1205], true,
                ) => 'Young Harbor cannot reach its data just now',
                default => null,
            };
            if ($why === null) {
                return null;
            }
            $message = "{$why}, so nothing was changed. What you wrote is still in your browser: leave the page open and try again in a few minutes.";

            return $request->expectsJson()
                ? response()->json(['message' => $message], 503)
                : response()->view('errors.closed', ['message' => $message], 503);
        });
        // A list where a text was meant, in a field that is read before it is validated.
        $exceptions->map(ErrorException::class, fn (ErrorException $e) => $e->getMessage() === 'Array to string conversion'
            ? ValidationException::withMessages(
                [
                    'form' => 'One field of this form holds a list where a text was meant. Reload the page and fill it in again; nothing was changed.',
                ]
            )
            : $e);
        $exceptions->dontFlash(['password', 'password_confirmation', 'current_password', 'code', 'typed_text']);
        $exceptions->render(function (PostTooLargeException $e, Request $request) {
            $message = __('messages.too_large', ['size' => config('harbor.upload.max_megabytes')]);

            return $request->expectsJson()
                ? response()->json(['message' => $message], 413)
                : back()->withErrors(['file' => $message]);
        });
        $exceptions->render(function (Symfony\Component\HttpKernel\Exception\HttpException $e, Request $request) {
            if ($e->getPrevious() instanceof TokenMismatchException) {
                return $request->expectsJson()
                    ? response()->json(['message' => __('messages.expired')], 419)
                    : back()->withInput($request->except('password'))
                        ->withErrors(['expired' => __('messages.expired')]);
            }

            return null;
        });
    })
    ->create();
