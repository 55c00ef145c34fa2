<?php

declare(strict_types=1);

use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\LimitSize;
use App\Http\Middleware\OpenAccount;
use App\Http\Middleware\ReadableText;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        // Whether the server answers, in plain words: the framework's own page for it asks other hosts for its looks.
        then: static fn () => Route::get('/up', static fn (): Response => response('Oak Trace is up.', 200, ['Content-Type' => 'text/plain'])),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // In this order: every answer has the headers, and nothing is taken apart that is too large or cannot be read.
        $middleware->prepend([SecurityHeaders::class, LimitSize::class, ReadableText::class]);
        $middleware->web(append: [OpenAccount::class, HandleInertiaRequests::class]);
        // Program text and setup documents keep their own blanks and empty fields.
        $middleware->trimStrings(except: ['text']);
        $middleware->convertEmptyStringsToNull(except: [fn (Request $request): bool => $request->isJson()]);
        $middleware->trustHosts(
            at: static fn (): array => array_map(static fn (string $host): string => '^'.preg_quote($host).'$', (array) config('oak.hosts')),
            subdomains: false,
        );
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(Problems::handle(...))->create();
