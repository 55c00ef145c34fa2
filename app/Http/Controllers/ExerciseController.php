<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ProgramText;
use App\Models\Exercise;
use App\Models\Program;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;

/** A learner's own copy of a program, which nobody else sees and no list judges. */
class ExerciseController
{
    public function show(Program $program, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('view', $program);
        $exercise = Exercise::where('user_id', $user->id)->where('program_id', $program->id)->first();

        return response()->json($exercise === null ? null : [
            'text' => $exercise->text, 'base' => $exercise->base, 'at' => $exercise->updated_at->toIso8601String(),
        ]);
    }

    public function store(ProgramText $request, Program $program, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['base' => ['required', 'integer', 'min:1']]);
        $exercise = Exercise::updateOrCreate(
            ['user_id' => $user->id, 'program_id' => $program->id], ['base' => $request->integer('base'), 'text' => $request->text()],
        );
        $exercise->touch();

        return response()->json(['at' => $exercise->updated_at->toIso8601String()]);
    }

    public function destroy(Program $program, #[CurrentUser] User $user): HttpResponse
    {
        Gate::authorize('view', $program);
        Exercise::where('user_id', $user->id)->where('program_id', $program->id)->delete();

        return response()->noContent();
    }
}
