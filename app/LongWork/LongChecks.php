<?php

declare(strict_types=1);

namespace App\LongWork;

use App\Jobs\CheckLongProgram;
use App\Models\LongCheck;
use App\Models\LongCheckWait;
use App\Models\Program;
use App\Models\User;
use OakTrace\Core\Quantities\Units;

/** Checks of runs that are too long to be read while somebody waits for the page. */
final class LongChecks
{
    /** Answers kept of a program. */
    private const KEPT = 3;

    /** Known without reading it: a line makes a row, most often. What other texts make is counted while they are read, see Waiting. */
    public static function isLong(string $text): bool
    {
        return substr_count($text, "\n") > (int) config('oak.long_run');
    }

    /** The same where it has been asked for. */
    public static function find(Program $program, string $text, ?Units $units, bool $wholeStock): ?LongCheck
    {
        return LongCheck::find(self::id($program, $text, $units, $wholeStock));
    }

    /** Made of all that decides the answer. */
    public static function id(Program $program, string $text, ?Units $units, bool $wholeStock): string
    {
        return hash(
            'xxh128',
            implode(
                "\0",
                [
                    CoreVersion::get(), $program->id, $program->setup->file(), json_encode($program->proof), $units->value ?? '',
                    $wholeStock ? 'whole stock' : '', $text,
                ],
            ),
        );
    }

    /**
     * The check of this text with this setup by this core: one that is there or under way, or a new one.
     *
     * @param  bool  $wholeStock  takes all of it out of the stock, however long it takes
     * @param  User|null  $person  who waits for it
     */
    public static function ask(Program $program, string $text, ?Units $units, bool $wholeStock = false, ?User $person = null): LongCheck
    {
        $check = self::asked($program, $text, $units, $wholeStock);
        if ($person !== null && $check->state->isUnderWay()) {
            LongCheckWait::note($check, $person->id);
        }

        return $check;
    }

    private static function asked(Program $program, string $text, ?Units $units, bool $wholeStock): LongCheck
    {
        self::forgetOld($program);
        $id = self::id($program, $text, $units, $wholeStock);
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
        $check->putText($text);
        $check->fill(['state' => CheckState::Waiting, 'share' => 0, 'message' => ''])->save();
        CheckLongProgram::dispatch($check, $units, $wholeStock);

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
