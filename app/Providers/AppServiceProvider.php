<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use OakTrace\Core\Formats\SetupFile;

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
        $this->app->singleton(SetupFile::class, static fn (): SetupFile => new SetupFile((string) file_get_contents(base_path('schemas/oak-setup-1.json'))));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(6)
            ->by(mb_strtolower($request->string('email')->value()).'|'.$request->ip())
            ->response(static fn () => back()->withErrors(['email' => 'Too many tries. Wait a minute and try again.'])));
    }
}
