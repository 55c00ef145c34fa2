<?php

declare(strict_types=1);

namespace App\Http;

use App\Shop\ShopProblem;
use ErrorException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use League\Flysystem\FilesystemException;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Transform\Text\TransformProblem;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** What goes wrong outside a check, in words for whoever sits before it: what happened, whether anything was stored, what to do. */
final class Problems
{
    private const WORDS = [
        400 => 'This was not understood, or the server does not go by this name (OAK_HOSTS). Nothing was saved.',
        403 => 'You may look at this, but not change it. Ask a lead.',
        404 => 'There is no such page. It may have been deleted; go back to the parts.',
        405 => 'There is no such page.',
        419 => 'You have been signed out. Sign in again in another window; unsaved changes are kept.',
        500 => 'Oak Trace failed. Nothing was saved; unsaved changes are kept on this computer. See the log of the server.',
        503 => 'Oak Trace is under maintenance. Try again in a minute.',
    ];

    /** Words of a database's own messages => what they come to. */
    private const STORE = [
        'is full' => [
            507,
            'The disk of the server is full. Nothing was saved; unsaved changes are kept on this computer. Free some space on the server, then try again.',
        ],
        'No space left' => [
            507,
            'The disk of the server is full. Nothing was saved; unsaved changes are kept on this computer. Free some space on the server, then try again.',
        ],
        'Unable to create' => [
            507,
            'The server may not write to its disk. Nothing was saved; unsaved changes are kept on this computer. Have that fixed, then try again.',
        ],
        'Unable to write' => [
            507,
            'The disk of the server is full, or cannot be written. Nothing was saved; unsaved changes are kept on this computer. Free some space on '
                .'the server, then try again.',
        ],
        'readonly' => [
            507,
            'The server may not write to its database. Nothing was saved; unsaved changes are kept on this computer. Have that fixed, then try again.',
        ],
        'disk I/O' => [
            507,
            'The disk of the server cannot be written. Nothing was saved; unsaved changes are kept on this computer. Have that fixed, then try again.',
        ],
        'is locked' => [503, 'The server is busy saving for others. Nothing was saved; try again.'],
    ];

    public static function handle(Exceptions $exceptions): void
    {
        $exceptions->render(static fn (SetupFileError $e, Request $request) => self::answer($request, 422, 'The setup cannot be used. '.$e->getMessage()));
        $exceptions->render(static fn (ShopProblem $e, Request $request) => self::answer($request, 409, $e->getMessage()));
        $exceptions->render(static fn (TransformProblem $e, Request $request) => self::answer($request, 422, $e->getMessage()));
        $exceptions->render(
            static fn (PostTooLargeException $e, Request $request) => self::answer(
                $request, 413,
                'This is larger than '.intdiv((int) config('oak.largest_program'), 1024 * 1024).' MB, the limit for a program. Nothing was saved.',
            ),
        );
        $exceptions->render(static fn (Throwable $e, Request $request) => self::ofStore($e, $request));
        $exceptions->render(static fn (HttpExceptionInterface $e, Request $request) => self::ofHttp($e, $request));
        $exceptions->render(
            static fn (Throwable $e, Request $request) => $e instanceof HttpResponseException || $e instanceof AuthenticationException
            || $e instanceof ValidationException || config('app.debug') === true ? null : self::answer($request, 500, self::WORDS[500])
        );
        $exceptions->dontReport([SetupFileError::class, ShopProblem::class, TransformProblem::class]);
        // A statement's values are a shop's programs and setups: they do not go into a log.
        $exceptions->report(static function (QueryException $e): bool {
            Log::error('Database: '.($e->getPrevious()?->getMessage() ?? 'no reason given'), ['sql' => $e->getSql(), 'at' => $e->getFile().':'.$e->getLine()]);

            return false;
        });
    }

    private static function ofStore(Throwable $problem, Request $request): JsonResponse|Response|null
    {
        for ($e = $problem; $e !== null; $e = $e->getPrevious()) {
            foreach (self::STORE as $words => [$status, $message]) {
                if (
                    ($e instanceof PDOException || $e instanceof ErrorException || $e instanceof FilesystemException)
                    && str_contains($e->getMessage(), $words)
                ) {
                    return self::answer($request, $status, $message);
                }
            }
        }

        return null;
    }

    /** Framework pages name classes and say little; ours say what to do. */
    private static function ofHttp(HttpExceptionInterface $e, Request $request): JsonResponse|Response
    {
        $status = $e->getStatusCode();
        $message = $e->getMessage();
        $isOurs = $message !== '' && ! (
            $e instanceof NotFoundHttpException && ($e->getPrevious() instanceof ModelNotFoundException || str_starts_with($message, 'The route'))
        );

        return self::answer(
            $request, $status,
            $isOurs && $status !== 403 && $status !== 405 ? $message : (self::WORDS[$status] ?? self::WORDS[$status >= 500 ? 500 : 404]),
            $e->getHeaders(),
        );
    }

    /** @param  array<string, mixed>  $headers */
    public static function answer(Request $request, int $status, string $message, array $headers = []): JsonResponse|Response
    {
        return $request->expectsJson() && ! $request->hasHeader('X-Inertia')
            ? response()->json(['message' => $message], $status, $headers)
            : response()->view('problem', ['status' => $status, 'message' => $message], $status, $headers);
    }
}
