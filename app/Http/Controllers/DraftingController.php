<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Drafting;
use App\Models\Program;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Who else is changing a program, and what has been saved of it since. */
class DraftingController
{
    public function __invoke(Request $request, Program $program): JsonResponse
    {
        Gate::authorize('view', $program);
        $request->validate(['typing' => ['required', 'boolean']]);
        /** @var User $user */
        $user = $request->user();
        // Who may not save does not stand in anybody's way.
        Drafting::note($program, $user->id, $request->boolean('typing') && Gate::allows('update', $program));
        $latest = $program->revisions()->select(['id', 'program_id', 'number', 'user_id', 'reason', 'created_at'])->with('user')->firstOrFail();

        return response()->json([
            'others' => Drafting::others($program, $user->id)->get()->map(static fn (Drafting $drafting): array => ['name' => $drafting->user->name, 'since' => $drafting->since->toIso8601String()]),
            'latest' => $latest->row(),
        ]);
    }
}
