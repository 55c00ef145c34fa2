<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Turned\TurnedCut;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A part that is cut off far from the jaws, with a centre in it, or with a blade that is too short or too slender. */
final class PartOff extends LatheCheck
{
    /** Diameters from the jaws (common practice). */
    private const CAUTION = 1.0;

    private const STOP = 3.0;

    /** Widths a blade stands out at most (common practice). */
    private const SLENDER = 8.0;

    public function name(): string
    {
        return 'turning.part-off';
    }

    public function why(): string
    {
        return 'Far from the jaws the bar gives way under the blade, which is then clamped and breaks. Part off as near to them as can be.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->partedFromCenter ?? [] as $cut) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->place, 1, 'T{tool} parts off with the tailstock in: the part is pressed onto the blade.',
                ['tool' => $cut->tool], 'Take the tailstock back before.', field: 'tailstock',
            );
        }
        foreach ($input->turned->partings ?? [] as $cut) {
            yield from $this->ofBlade($input, $cut);
        }
        foreach ($input->turned->behindParting ?? [] as $cut) {
            yield new Finding(
                $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} works at Z{z}, where the part has been parted off before.',
                ['tool' => $cut->tool, 'z' => Quantity::length($cut->z)], 'Do this before the part is parted off.',
            );
        }
        $catches = $input->setup->workholding->second !== null || $input->setup->machine->control->codeOf(Code::CatcherOut) !== null;
        foreach ($catches ? $input->turned->uncaught ?? [] : [] as $cut) {
            yield new Finding(
                $this->name(), Severity::Note, $cut->place, 1, 'T{tool} parts off and nothing takes the part: it falls into the chips.', ['tool' => $cut->tool],
                'Bring the catcher or the second spindle before, if the part should be caught.',
            );
        }
        $face = $input->setup->workholding->chuck?->jawFaceZ;
        foreach ($face === null ? [] : $input->turned->partings ?? [] as $cut) {
            $away = ($cut->z - $face) / max(1e-6, 2 * $cut->x);
            if ($away > self::CAUTION) {
                yield new Finding(
                    $this->name(), $away > self::STOP ? Severity::Stop : Severity::Caution, $cut->place, 1,
                    'T{tool} parts off {away} from the jaws: {times} times the diameter of {x}.',
                    [
                        'tool' => $cut->tool, 'away' => Quantity::length($cut->z - $face), 'times' => number_format($away, 1, '.', ''),
                        'x' => Quantity::diameter(2 * $cut->x),
                    ],
                    'Let the bar stand out less.', field: 'chuck.jawFaceZ',
                );
            }
        }
    }

    /** @return iterable<Finding> of a blade that is too short for the bar, or that stands out far for its width */
    private function ofBlade(CheckInput $input, TurnedCut $cut): iterable
    {
        $tool = $input->setup->tooling->tools[$cut->tool];
        [$out, $width] = [$tool->holding->stickout, $tool->insert->width];
        if ($out !== null && $out < $cut->x) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->place, 1, 'The blade of T{tool} stands out {out}; to the axis it is {needs}: its holder meets the bar.',
                ['tool' => $cut->tool, 'out' => Quantity::length($out), 'needs' => Quantity::length($cut->x)],
                'Let the blade stand out further.', field: $input->toolField($cut->tool, 'stickout'),
            );
        } elseif ($out !== null && $width !== null && $out > self::SLENDER * $width) {
            yield new Finding(
                $this->name(), Severity::Caution, $cut->place, 1, 'The blade of T{tool} stands out {times} times its width.',
                ['tool' => $cut->tool, 'times' => number_format($out / $width, 1, '.', '')], 'Let it stand out no further than the bar needs.',
                field: $input->toolField($cut->tool, 'stickout'),
            );
        }
    }
}
