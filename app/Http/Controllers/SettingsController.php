<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What a person has set for themselves: units, look, size of the text. */
class SettingsController
{
    public function update(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $given = $request->validate(array_map(static fn (array $choices): array => ['sometimes', Rule::in($choices)], User::SETTINGS));
        $user->update(['settings' => [...$user->allSettings(), ...$given]]);

        return response()->json(['settings' => $user->allSettings()]);
    }
}
