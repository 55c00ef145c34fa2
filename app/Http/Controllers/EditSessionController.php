<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\EditSession;
use App\Models\Program;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Who else is changing a program, and what has been saved of it since. */
class EditSessionController
{
    public function __invoke(Request $request, Program $program): JsonResponse
    {
        Gate::authorize('view', $program);
        $request->validate(['typing' => ['required', 'boolean']]);
        /** @var User $user */
        $user = $request->user();
        // Who may not save does not stand in anybody's way.
        EditSession::note($program, $user->id, $request->boolean('typing') && Gate::allows('update', $program));
        $latest = $program->revisions()->select(['id', 'program_id', 'number', 'user_id', 'reason', 'created_at'])->with('user')->firstOrFail();

        return response()->json([
            'others' => EditSession::others($program, $user->id)->get()->map(
                static fn (EditSession $session): array => ['name' => $session->user->name, 'since' => $session->since->toIso8601String()],
            ),
            'latest' => $latest->row(),
        ]);
    }
}
