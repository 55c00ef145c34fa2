<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An arc whose end does not lie on its circle. */
final class ArcRadius extends MachineCheck
{
    public function name(): string
    {
        return 'geometry.arc-radius';
    }

    public function why(): string
    {
        return 'Centre and end point contradict each other. The control stops, or spirals over and leaves a step in the wall.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->onceALine('radius-mismatch') as $notice) {
            if ($input->entryErrors()->explainsAxis(AxisName::X, $notice->line - 1) || $input->entryErrors()->explainsAxis(AxisName::Y, $notice->line - 1)) {
                continue; // the arc starts where a slip has sent the tool
            }
            $meant = $this->meant($input, $notice);
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'The arc starts on a radius of {startRadius} and ends on {endRadius}: {by} apart. Allowed: {allowed}.',
                $notice->figures + ['allowed' => Quantity::length($input->setup->machine->control->options->arcTolerance)] + ($meant === null ? [] : $meant[1]),
                'Check the end point and the centre. '.(
                    $meant === null ? 'A centre that fits these ends: {firstLetter} {centerI} {secondLetter} {centerJ} from the start.' : $meant[0]
                ), edit: $meant === null ? $this->fittingCenter($input, $notice) : $meant[2],
            );
        }
    }

    /**
     * The slip that explains it: the sign of one centre word or both lost, or the two exchanged.
     *
     * @return array{string, array<string, Quantity>, Edit}|null remedy, its figures, and the change
     */
    private function meant(CheckInput $input, Notice $notice): ?array
    {
        $text = $input->trace->sources->text($notice->line);
        $words = array_map(
            static fn (string $letter): ?PlacedWord => PlacedWord::find($text, $notice->line, $notice->word($letter)), ['firstLetter', 'secondLetter'],
        );
        $chord = [$notice->figures['chordFirst'] ?? null, $notice->figures['chordSecond'] ?? null];
        if (
            $words[0] === null || $words[1] === null || ! $chord[0] instanceof Quantity || ! $chord[1] instanceof Quantity
            || $input->editWriter->placeOf($notice->line, Code::CenterAbsolute) !== null
        ) {
            return null;
        }
        $unit = $input->trace->end->modes->units->millimetres();
        [$i, $j] = [$words[0]->value() * $unit, $words[1]->value() * $unit];
        $tolerance = $input->setup->machine->control->options->arcTolerance;
        foreach ([
            [$i, -$j, $words[0]->number, $words[1]->otherSign()], [-$i, $j, $words[0]->otherSign(), $words[1]->number],
            [-$i, -$j, $words[0]->otherSign(), $words[1]->otherSign()], [$j, $i, $words[1]->number, $words[0]->number],
        ] as [$first, $second, $one, $two]) {
            if (
                abs(hypot($first, $second) - hypot($chord[0]->value - $first, $chord[1]->value - $second)) > $tolerance
                || ($one === $words[0]->number && $two === $words[1]->number)
            ) {
                continue;
            }
            $sweep = self::sweep($first, $second, $chord[0]->value, $chord[1]->value, $notice->word('turn') === 'clockwise');

            return [
                "With {firstLetter}{$one} {secondLetter}{$two} it fits, and goes round {sweep}.", ['sweep' => Quantity::angle($sweep)],
                $words[0]->replacedBy($one)->labelled(
                    "Put {$notice->word('firstLetter')}{$one} {$notice->word('secondLetter')}{$two}",
                )->and($words[1]->replacedBy($two)),
            ];
        }

        return null;
    }

    /** Degrees an arc about a centre goes round, both counted from its start. */
    private static function sweep(float $i, float $j, float $chordFirst, float $chordSecond, bool $isClockwise): float
    {
        $turn = rad2deg(atan2($chordSecond - $j, $chordFirst - $i) - atan2(-$j, -$i));
        $turn = fmod($isClockwise ? -$turn + 720.0 : $turn + 720.0, 360.0);

        return $turn < 1e-6 ? 360.0 : $turn;
    }

    /** The centre that fits, where both its words stand in the line and count from the start. */
    private function fittingCenter(CheckInput $input, Notice $notice): ?Edit
    {
        if ($input->editWriter->placeOf($notice->line, Code::CenterAbsolute) !== null) {
            return null;
        }
        $changes = [];
        foreach (['firstLetter' => 'centerI', 'secondLetter' => 'centerJ'] as $letter => $center) {
            $word = PlacedWord::find($input->trace->sources->text($notice->line), $notice->line, $notice->word($letter));
            $value = $notice->figures[$center] ?? null;
            if ($word === null || ! $value instanceof Quantity) {
                return null;
            }
            $changes[] = $word->replacedBy($input->written($value->value));
        }

        return $changes[0]->labelled('Put the centre that fits')->and($changes[1]);
    }
}
