<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\LongWork\Slots;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Work on a program's text: so much of it for one person at a time, so that nobody takes every process of the server. */
class TakesASlot
{
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user()?->getAuthIdentifier();

        return Slots::during(is_scalar($person) ? (string) $person : '', static fn (): Response => $next($request))
            ?? response()->json(['message' => 'Several of your checks are running. This one is waiting.'], 429, ['Retry-After' => 1]);
    }
}
