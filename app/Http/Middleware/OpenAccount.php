<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whose account is closed is not in the shop any more, whatever session or cookie says. */
class OpenAccount
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $user->closed_at !== null) {
            Auth::logout();
            $request->session()->invalidate();

            return $request->expectsJson() ? response()->json(['message' => 'This account is closed. Ask a lead.'], 401) : redirect('/sign-in');
        }

        return $next($request);
    }
}
