<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\LongWork\CheckState;
use App\LongWork\QueueLine;
use App\Models\LongCheck;
use App\Models\LongCheckWait;
use App\Models\Role;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** How far the check of a long program is, its answer, and an end to it. */
class LongCheckController
{
    public function show(Request $request, LongCheck $check): JsonResponse
    {
        Gate::authorize('view', $check->program);
        /** @var User $user */
        $user = $request->user();
        $check->noticeSilence();
        if ($check->state->isUnderWay()) {
            LongCheckWait::note($check, $user->id);
        }

        return response()->json(self::progress($check));
    }

    public function answer(LongCheck $check): Response|JsonResponse
    {
        Gate::authorize('view', $check->program);
        $body = $check->answer();

        return $body === null
            ? response()->json(['message' => 'This check is gone. Ask for it again.'], 404)
            : response($body, 200, ['Content-Type' => 'application/octet-stream']);
    }

    /** Who asked may stop it, or a lead; where a colleague waits for the same, only the waiting of who asked ends. */
    public function stop(Request $request, LongCheck $check): JsonResponse
    {
        Gate::authorize('view', $check->program);
        /** @var User $user */
        $user = $request->user();
        $isTheirs = LongCheckWait::where('long_check_id', $check->id)->where('user_id', $user->id)->delete() > 0;
        if (! $isTheirs && $user->role !== Role::Lead) {
            return response()->json(['message' => 'Only the person who asked for this check, or a lead, may stop it.'], 403);
        }
        $other = LongCheckWait::other($check, $user->id);
        if ($other !== null) {
            return response()->json(['message' => "{$other->name} is waiting for this check too, so it goes on."] + self::progress($check));
        }
        LongCheck::whereKey($check->id)->whereIn('state', [CheckState::Waiting, CheckState::Running])->update(['state' => CheckState::Stopped]);

        return response()->json(self::progress($check->refresh()));
    }

    /** @return array{check: string, state: string, share: float, message: string} */
    public static function progress(LongCheck $check): array
    {
        return [
            'check' => $check->id, 'state' => $check->state->value, 'share' => $check->share,
            'message' => $check->state === CheckState::Waiting ? QueueLine::words($check) : $check->message,
        ];
    }
}
