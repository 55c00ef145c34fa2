<?php

declare(strict_types=1);

namespace App\LongWork;

use App\Jobs\CheckLongProgram;
use App\Models\LongCheck;
use App\Models\Program;
use OakTrace\Core\Setup\Units;

/** Checks of programs that are too long to be checked while somebody waits for the page. */
final class LongChecks
{
    /** Answers kept of a program. */
    private const KEPT = 3;

    public static function isLong(string $text): bool
    {
        return strlen($text) > (int) config('oak.long_program');
    }

    /** The check of this text with this setup by this core: one that is there or under way, or a new one. */
    public static function ask(Program $program, string $text, ?Units $units): LongCheck
    {
        self::forgetOld($program);
        $id = hash('xxh128', implode("\0", [CoreVersion::get(), $program->id, $program->setup->file(), json_encode($program->proof), $units->value ?? '', $text]));
        $check = LongCheck::find($id);
        $check?->noticeSilence();
        if ($check !== null && $check->state->isUnderWay()) {
            return $check;
        }
        if ($check?->answer() !== null) {
            $check->touch();

            return $check;
        }
        $check ??= new LongCheck(['id' => $id, 'program_id' => $program->id]);
        $check->fill(['state' => CheckState::Waiting, 'share' => 0, 'message' => ''])->save();
        $check->putText($text);
        CheckLongProgram::dispatch($check, $units);

        return $check->refresh();
    }

    /** An answer is several times the size of the text, so only the last few of a program are kept. */
    private static function forgetOld(Program $program): void
    {
        $done = [CheckState::Done, CheckState::Failed, CheckState::Stopped];
        $old = LongCheck::where('updated_at', '<', now()->subDays((int) config('oak.keep_checks')))->get();
        $many = LongCheck::where('program_id', $program->id)->whereIn('state', $done)->orderByDesc('updated_at')->skip(self::KEPT)->take(100)->get();
        $old->merge($many)->each(static fn (LongCheck $check) => $check->forget());
    }
}
