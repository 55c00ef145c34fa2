<?php

declare(strict_types=1);

// Saves a revision in a process of its own and is killed at the n-th statement of the save; `seed` and `look` prepare and tell.

use App\Models\Program;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Console::class)->bootstrap();
[, $what] = $argv;

if ($what === 'seed') {
    Artisan::call('migrate', ['--force' => true, '--seed' => true]);
    exit(0);
}
$program = Program::where('name', 'O1305')->firstOrFail();
if ($what === 'look') {
    echo json_encode(['revisions' => $program->revisions()->pluck('number'), 'verdict' => $program->verdict]);
    exit(0);
}

Auth::setUser(User::where('email', 'machinist@fernhollow.example')->firstOrFail());
$request = Request::create("/programs/{$program->id}/revisions", 'POST', ['text' => 'G47', 'base' => 1, 'reason' => 'a new text']);
$request->setUserResolver(static fn () => Auth::user());
$left = (int) $what;
DB::listen(static function () use (&$left): void {
    if (--$left === 0) {
        posix_kill(posix_getpid(), SIGKILL);
    }
});
$response = $app->call([$app->make(App\Http\Controllers\RevisionController::class), 'store'], ['request' => $request, 'program' => $program]);
exit($response->getStatusCode() === 201 ? 0 : 3);
