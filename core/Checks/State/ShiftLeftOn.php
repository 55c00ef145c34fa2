<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A shift, rotation, scale or mirror still in force at the end. */
final class ShiftLeftOn extends MachineCheck
{
    /** What begins it => in words, and what ends it. */
    private const CODES = [
        Code::LocalShift->value => ['a shift of program zero', null],
        Code::RotateOn->value => ['rotation', Code::RotateOff],
        Code::ScaleOn->value => ['scaling', Code::ScaleOff],
        Code::MirrorOn->value => ['mirror', Code::MirrorOff],
        Code::PolarOn->value => ['radius and angle', Code::PolarOff],
    ];

    /** Lines to look back over for where it began. */
    private const LOOKS = 100_000;

    public function name(): string
    {
        return 'state.shift-left-on';
    }

    public function why(): string
    {
        return 'A shift or rotation stays for the next start. The second part is cut somewhere else than the first.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('shift-left-on', 'begunBy') as [$notice, $also]) {
            $left = array_intersect_key(self::CODES, array_flip(explode(' ', $notice->word('begunBy'))));
            $since = [];
            foreach ($left as $begins => [$what]) {
                $place = $this->lastPlace($input, Code::from($begins), $notice->line);
                $since[] = $what.($place === null ? '' : ' since line '.$input->trace->sources->words($place));
            }
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column, 'Still active at the end of the program: '
                    .implode(', ', $since).'. The next run begins with it.', $notice->figures,
                'Cancel it before the end.', $also,
                $input->editWriter->before($notice->line, ...array_values(array_filter(array_column($left, 1)))),
            );
        }
    }

    /** The last place above one, through the calls it came by, at which a code stands; null where none does. */
    private function lastPlace(CheckInput $input, Code $code, int $place): ?int
    {
        $sources = $input->trace->sources;
        for ($looked = 0; $place > 0 && $looked < self::LOOKS; $looked++, $place = $sources->before($place)) {
            if (in_array($code, array_column($input->setup->machine->control->codesIn($sources->text($place)), 'code'), true)) {
                return $place;
            }
        }

        return null;
    }
}
