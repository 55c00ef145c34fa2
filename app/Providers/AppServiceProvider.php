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
    public function register(): void
    {
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
