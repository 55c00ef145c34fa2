<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\LongWork\CheckState;
use App\Models\LongCheck;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** How far the check of a long program is, its answer, and an end to it. */
class LongCheckController
{
    public function show(LongCheck $check): JsonResponse
    {
        Gate::authorize('view', $check->program);
        $check->noticeSilence();

        return response()->json(self::progress($check));
    }

    public function answer(LongCheck $check): Response|JsonResponse
    {
        Gate::authorize('view', $check->program);
        $body = $check->answer();

        return $body === null
            ? response()->json(['message' => 'This check is not there any more. Ask for it again.'], 404)
            : response($body, 200, ['Content-Type' => 'application/octet-stream']);
    }

    public function stop(LongCheck $check): JsonResponse
    {
        Gate::authorize('view', $check->program);
        LongCheck::whereKey($check->id)->whereIn('state', [CheckState::Waiting, CheckState::Running])->update(['state' => CheckState::Stopped]);

        return response()->json(self::progress($check->refresh()));
    }

    /** @return array{check: string, state: string, share: float, message: string} */
    public static function progress(LongCheck $check): array
    {
        return ['check' => $check->id, 'state' => $check->state->value, 'share' => $check->share, 'message' => $check->message];
    }
}
