<?php

declare(strict_types=1);

use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\SecurityHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Route;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Transform\Text\TransformProblem;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        // Whether the server answers, in plain words: the framework's own page for it asks other hosts for its looks.
        then: static fn () => Route::get('/up', static fn (): Response => response('Oak Trace is up.', 200, ['Content-Type' => 'text/plain'])),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(append: [HandleInertiaRequests::class, SecurityHeaders::class]);
        // Program text and setup documents keep their own blanks and empty fields.
        $middleware->trimStrings(except: ['text']);
        $middleware->convertEmptyStringsToNull(except: [fn (Request $request): bool => $request->isJson()]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(function (PostTooLargeException $e, Request $request): JsonResponse|Response {
            $message = 'This is larger than '.intdiv((int) config('oak.largest_program'), 1024 * 1024).' MB, the most a program may be. Nothing was stored.';

            return $request->expectsJson() ? response()->json(['message' => $message], 413) : response($message, 413);
        });
        // A setup that cannot be used, and a change of text that cannot be made, say so themselves.
        $exceptions->render(static fn (SetupFileError $e): JsonResponse => response()->json(['message' => 'The setup cannot be used. '.$e->getMessage()], 422));
        $exceptions->render(static fn (TransformProblem $e): JsonResponse => response()->json(['message' => $e->getMessage()], 422));
        $exceptions->dontReport([SetupFileError::class, TransformProblem::class]);
    })->create();
