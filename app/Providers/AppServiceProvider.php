<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\ShopSessions;
use App\Database\ShopSqlite;
use App\Logbook\Kind;
use App\LongWork\QueueLine;
use App\Models\LogEntry;
use App\Models\Role;
use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Inertia\Inertia;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Sheet\SheetFile;
use Symfony\Component\HttpFoundation\Response;

class AppServiceProvider extends ServiceProvider
{
    /** Figures are not left to the settings of the PHP that is there. */
    public function register(): void
    {
        ini_set('precision', '17');
        ini_set('serialize_precision', '-1');
        if (function_exists('opcache_get_status') && (opcache_get_status(false)['jit']['on'] ?? false) === true) {
            ini_set('opcache.jit', 'off'); // tracing computes wrong stock
        }
        Connection::resolverFor('sqlite', static fn (...$given): ShopSqlite => new ShopSqlite(...$given));
        $schema = static fn (string $name): string => (string) file_get_contents(base_path("schemas/{$name}.json"));
        $this->app->singleton(SheetFile::class, static fn (): SheetFile => new SheetFile($schema('oak-sheet-1'), $schema('oak-setup-1')));
        $this->app->singleton(SetupFile::class, static fn (): SetupFile => new SetupFile($schema('oak-setup-1')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        RateLimiter::for('sign-in', static function (Request $request): array {
            $email = $request->input('email');
            $tooMany = static fn (Request $request, array $headers): Response => self::tooManyTries($request, $headers);

            return [
                Limit::perMinute(6)->by('address '.(is_string($email) ? mb_strtolower($email) : '').'|'.$request->ip())->response($tooMany),
                Limit::perMinute(30)->by('host '.$request->ip())->response($tooMany),
            ];
        });
        Session::extend(
            'database',
            fn (): ShopSessions => new ShopSessions(
                DB::connection(config('session.connection')), config('session.table'), config('session.lifetime'), $this->app,
            ),
        );
        Event::listen(Looping::class, static fn () => QueueLine::seen());
        // A role is somebody's leave to change things: whoever gives it stands in the logbook.
        User::updated(static function (User $user): void {
            if ($user->wasChanged('role')) {
                $was = $user->getPrevious()['role'] ?? null;
                LogEntry::note(Kind::Role, $user->name, [['role', $was instanceof Role ? $was->value : (is_string($was) ? $was : null), $user->role->value]]);
            }
        });
        foreach (['part', 'setup', 'program', 'profile', 'machine', 'tool', 'person', 'number', 'id'] as $id) {
            Route::pattern($id, '[0-9]{1,9}');
        }
        Route::pattern('check', '[0-9a-f]{32}');
        Route::pattern('name', '[0-9a-f]{32}');
        Route::pattern('token', '[0-9A-Za-z]{10,200}');
    }

    /** @param  array<string, mixed>  $headers */
    private static function tooManyTries(Request $request, array $headers): Response
    {
        $wait = (int) ($headers['Retry-After'] ?? 60);
        $message = "Too many tries. Wait {$wait} seconds, then try again.";
        $answer = $request->expectsJson() && ! $request->hasHeader('X-Inertia')
            ? response()->json(['message' => $message])
            : Inertia::render('sign-in/SignIn', ['errors' => ['email' => $message]])->toResponse($request);
        $answer->setStatusCode(429)->headers->add($headers);

        return $answer;
    }
}
