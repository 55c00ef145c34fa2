<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Illuminate\Http\Request;
use Inertia\Middleware;

class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'timeZone' => (string) config('oak.time_zone'),
            'largestFile' => (int) config('oak.largest_program'),
            'notice' => static fn (): mixed => $request->session()->get('notice'),
            'user' => static function () use ($request): ?array {
                $user = $request->user();

                return $user instanceof User ? [
                    'id' => $user->id, 'name' => $user->name, 'role' => $user->role->value, 'mayChange' => $user->role->mayChange(),
                    'settings' => $user->allSettings(),
                ] : null;
            },
        ];
    }
}
