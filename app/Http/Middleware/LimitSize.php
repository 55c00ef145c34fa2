<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses what is larger than its route has any use for, before any of it is taken apart. */
class LimitSize
{
    /** What a form or a question takes, beside programs and setups. */
    private const ORDINARY = 256 * 1024;

    /** Marks between the parts of a form, and JSON's own signs around a text. */
    private const AROUND = 1.25;

    public function handle(Request $request, Closure $next): Response
    {
        if (in_array($request->method(), ['GET', 'HEAD', 'OPTIONS'], true)) {
            return $next($request);
        }
        $most = self::most($request);
        $length = $request->headers->get('Content-Length');
        if ($length === null && $request->headers->has('Transfer-Encoding')) {
            return Problems::answer($request, 411, 'Its length is missing (Content-Length). Nothing was saved.');
        }
        if ((int) $length > $most * self::AROUND) {
            return Problems::answer($request, 413, 'This is larger than '.self::words($most).', the limit here. Nothing was saved.');
        }

        return $next($request);
    }

    private static function most(Request $request): int
    {
        $path = trim($request->getPathInfo(), '/');

        return match (1) {
            preg_match('#^programs/\d+/#', $path), preg_match('#^setups/\d+/(new-)?programs?$#', $path) => (int) config('oak.largest_program'),
            preg_match('#^setups/\d+$#', $path), preg_match('#^parts/\d+/setups$#', $path), preg_match('#^machines/\d+$#', $path),
            preg_match('#^tools/import$#', $path) => (int) config('oak.largest_setup'),
            default => self::ORDINARY,
        };
    }

    private static function words(int $bytes): string
    {
        return $bytes >= 1024 * 1024 ? intdiv($bytes, 1024 * 1024).' MB' : intdiv($bytes, 1024).' kB';
    }
}
