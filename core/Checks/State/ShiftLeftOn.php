<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A shift, rotation, scale or mirror still in force at the end. */
final class ShiftLeftOn extends MillCheck
{
    /** What is left on, in the words of the notice => the code that begins it, and the one that ends it. */
    private const CODES = [
        'a shift of program zero' => [Code::LocalShift, null], 'rotation' => [Code::RotateOn, Code::RotateOff], 'scaling' => [Code::ScaleOn, Code::ScaleOff],
        'mirror' => [Code::MirrorOn, Code::MirrorOff], 'radius and angle' => [Code::PolarOn, Code::PolarOff],
    ];

    /** Lines to look back over for where it began. */
    private const LOOKS = 100_000;

    public function name(): string
    {
        return 'state.shift-left-on';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('shift-left-on', 'what') as [$notice, $also]) {
            $left = array_filter(self::CODES, static fn (string $what): bool => str_contains($notice->word('what'), $what), ARRAY_FILTER_USE_KEY);
            $since = [];
            foreach ($left as $what => [$begins]) {
                $place = $this->lastPlace($input, $begins, $notice->line);
                $since[] = $what.($place === null ? '' : ' since line '.$input->trace->sources->words($place));
            }
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column, 'Still in force at the end of the program: '
                    .implode(', ', $since).'. The next run begins with it.', $notice->figures,
                'Cancel it before the end.', array_values(array_unique(array_diff($also, [$notice->line]))),
                $input->editWriter->before($notice->line, ...array_values(array_filter(array_column($left, 1)))),
            );
        }
    }

    /** The last place above one, through the calls it came by, at which a code stands; null where none does. */
    private function lastPlace(CheckInput $input, Code $code, int $place): ?int
    {
        $sources = $input->trace->sources;
        $numbers = array_keys($input->setup->machine->control->gCodes, $code, true);
        $written = implode('|', array_map(static fn (int $tenths): string => preg_quote(substr(ControlProfile::written('G', $tenths), 1)), $numbers));
        for ($looked = 0; $written !== '' && $place > 0 && $looked < self::LOOKS; $looked++, $place = $sources->before($place)) {
            if (preg_match('/G\s*0*(?:'.$written.')(?![\d.])/i', LineWords::bare($sources->text($place))) === 1) {
                return $place;
            }
        }

        return null;
    }
}
