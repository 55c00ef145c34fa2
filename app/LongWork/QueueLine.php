<?php

declare(strict_types=1);

namespace App\LongWork;

use App\Models\LongCheck;
use Illuminate\Support\Facades\Cache;

/** Why a check has not begun yet. */
final class QueueLine
{
    private const ALIVE = 'queue-worker-seen';

    /** A worker that waits looks for work several times a second, one at work tells how far it is; none has been seen for so long, none is there. */
    private const SILENT_SECONDS = 60;

    /** A worker has looked for work, or is at it. */
    public static function seen(): void
    {
        static $last = 0;
        if (time() - $last >= 5) {
            $last = time();
            Cache::put(self::ALIVE, $last, now()->addHour());
        }
    }

    public static function words(LongCheck $check): string
    {
        if (config('queue.default') === 'sync') {
            return '';
        }
        $seen = Cache::get(self::ALIVE);
        if (! is_int($seen) || time() - $seen > self::SILENT_SECONDS) {
            return 'No queue worker is running on the server. This check starts as soon as one does.';
        }
        $before = LongCheck::where('state', CheckState::Running)->orWhere(
            static fn ($earlier) => $earlier->where('state', CheckState::Waiting)->where('created_at', '<', $check->created_at),
        )->count();

        return $before === 0 ? 'Waits for a queue worker to be free.' : 'Waits for '.($before === 1 ? 'one check' : "{$before} checks").' before it.';
    }
}
