<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\Response;

/** Every name, reason, title and text is UTF-8 by the time anything sees it, or is refused: one that is not would break each page it stands on. */
class ReadableText
{
    public function handle(Request $request, Closure $next): Response
    {
        $wrong = self::wrong($request->query->all()) ?? self::wrong($request->request->all()) ?? (
            $request->isJson() ? self::wrong($request->json()->all()) : null
        ) ?? self::wrongFile($request->allFiles());
        if ($wrong !== null) {
            return Problems::answer(
                $request, 422,
                "{$wrong} cannot be read: it is not UTF-8. Type it again, or save the file as UTF-8. Nothing was saved.",
            );
        }
        if ($request->isJson() && $request->getContent() !== '' && ! mb_check_encoding($request->getContent(), 'UTF-8')) {
            return Problems::answer($request, 422, 'What was sent cannot be read: it is not UTF-8. Nothing was saved.');
        }

        return $next($request);
    }

    /** @param  array<array-key, mixed>  $fields */
    private static function wrong(array $fields): ?string
    {
        foreach ($fields as $name => $value) {
            if (! mb_check_encoding((string) $name, 'UTF-8')) {
                return 'A field\'s name';
            }
            $found = is_array($value) ? self::wrong($value) : (is_string($value) && ! mb_check_encoding($value, 'UTF-8') ? "The field {$name}" : null);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** @param  array<array-key, mixed>  $files */
    private static function wrongFile(array $files): ?string
    {
        foreach ($files as $file) {
            $found = is_array($file) ? self::wrongFile($file) : (
                $file instanceof UploadedFile && ! mb_check_encoding($file->getClientOriginalName(), 'UTF-8') ? 'The name of the file' : null
            );
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }
}
