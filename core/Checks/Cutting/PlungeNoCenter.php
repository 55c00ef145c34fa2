<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Straight down into material with a tool that does not cut at its centre. A hole that is there already, and is large enough, lets it in. */
final class PlungeNoCenter extends MillCheck
{
    /** A slope that tools without a centre go down (common practice: 3°). */
    private const SLOPE = 0.05;

    private const MOST_LEGS = 12;

    private const MOVES = [Code::ScaleOn, Code::MirrorOn, Code::RotateOn, Code::LocalShift];

    /** From so far above the material on, mm. */
    private const ABOVE = 0.2;

    public function name(): string
    {
        return 'cutting.plunge-no-center';
    }

    public function why(): string
    {
        return 'In the middle of such a tool no edge cuts. It stands on the material, and the feed pushes until something breaks.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::PlungeNoCenter) as [$cut, $also]) {
            $tool = $input->setup->tooling->tools[$cut->tool];
            // The stock of a later setup may have holes the setup does not tell of.
            $wantsHole = $tool->geometry->centerCutting === null && $tool->kind !== ToolKind::FaceMill;
            if ($wantsHole && $this->isInHole($input, $cut)) {
                yield new Finding(
                    $this->name(), Severity::Stop, $cut->line, 1, 'T{tool} meets the bottom of its hole, and goes {by} further.',
                    ['tool' => $cut->tool, 'by' => Quantity::length($this->depth($input, $cut))],
                    'Drill the hole deeper, past the lead of the tool, or go less deep.', $also,
                );

                continue;
            }
            // Where it finds one everywhere else, the program forgets this one.
            $isForgotten = $wantsHole && ($input->stock?->idle->holesOf($cut->tool) ?? 0) > count(
                $input->stock?->incidents->of(Incident::PlungeNoCenter)[$cut->tool] ?? [],
            );
            yield new Finding(
                $this->name(), $wantsHole && ! $isForgotten ? Severity::Caution : Severity::Stop, $cut->line, 1,
                $wantsHole
                    ? 'T{tool} needs a pilot hole, and goes {by} down where there is none'.($isForgotten ? '; elsewhere there is one.' : '.')
                    : 'T{tool} plunges {by} into material, and is not centre cutting.',
                ['tool' => $cut->tool, 'by' => Quantity::length($this->depth($input, $cut))],
                $isForgotten ? 'Drill this position too.' : (
                    $wantsHole
                        ? 'Is the hole there already, from a setup before this one? If not, drill it first.'
                        : 'Ramp or helix in, drill a pilot hole first, or use a centre-cutting tool. If this one is, '
                            .'say so in the setup.'
                ), $also,
                $this->ramp($input, $cut),
                $input->toolField($cut->tool, 'centerCutting'),
            );
        }
    }

    /** Whether it has gone down a hole before it meets the bottom: one that is deeper than the tool is thick. */
    private function isInHole(CheckInput $input, Cut $cut): bool
    {
        $floor = $cut->z + $cut->by;
        foreach ($input->stock->bodies ?? [] as $body) {
            if ($body->stock === $cut->stock && $body->turn === null) {
                return $body->before($cut->x, $cut->y) - $floor >= ($input->setup->tooling->tools[$cut->tool]->geometry->diameter ?? INF);
            }
        }

        return false;
    }

    /** How deep it goes in all: a hole that is made in pecks is as deep as its last one. */
    private function depth(CheckInput $input, Cut $cut): float
    {
        $lowest = $cut->z;
        foreach ($input->stock?->incidents->of(Incident::PlungeNoCenter)[$cut->tool] ?? [] as $other) {
            if ($other->line === $cut->line && $other->stock === $cut->stock && hypot($other->x - $cut->x, $other->y - $cut->y) < 1e-6) {
                $lowest = min($lowest, $other->z);
            }
        }

        return $cut->z + $cut->by - $lowest;
    }

    /**
     * Down to and fro along the way that follows, instead of straight down. Null where that way is too short, or the blocks are not
     * plain enough to be sure of it.
     */
    private function ramp(CheckInput $input, Cut $cut): ?Edit
    {
        $sources = $input->trace->sources;
        [$down, $next] = [LineWords::bare($sources->text($cut->line)), LineWords::bare($sources->text($cut->line + 1))];
        [$z, $x, $y] = [PlacedWord::find($down, $cut->line, AxisName::Z), $input->wordAt($cut->line, AxisName::X), $input->wordAt($cut->line, AxisName::Y)];
        $way = $this->feedAlong($input, $next, AxisName::X.AxisName::Y);
        if ($z === null || $x === null || $y === null || $way === null || $this->feedAlong($input, $down, AxisName::Z) === null || $this->isMoved($input)) {
            return null;
        }
        $unit = $input->trace->end->modes->units->millimetres();
        $step = static fn (string $letter, PlacedWord $from): float => (
            PlacedWord::find($next, $cut->line + 1, $letter)?->value() ?? $from->value()
        ) - $from->value();
        $length = hypot($step(AxisName::X, $x), $step(AxisName::Y, $y)) * $unit;
        $legs = $length > 0.0 ? 2 * (int) ceil($cut->by / $length / self::SLOPE / 2) : PHP_INT_MAX;
        if ($legs > self::MOST_LEGS) {
            return null;
        }
        $top = $z->value() * $unit + $cut->by;
        $back = implode(
            ' ',
            array_filter(
                [stripos($way, AxisName::X) === false ? '' : AxisName::X.$x->number, stripos($way, AxisName::Y) === false ? '' : AxisName::Y.$y->number],
            ),
        );
        $blocks = [substr($down, 0, $z->numberColumn - 1).$input->written($top + self::ABOVE).substr($down, $z->numberColumn - 1 + strlen($z->number))];
        for ($leg = 1; $leg <= $legs; $leg++) {
            $blocks[] = ($leg % 2 === 1 ? $way : $back).' Z'.($leg === $legs ? $z->number : $input->written($top - $cut->by * $leg / $legs));
        }

        return new Edit($cut->line, 1, strlen(rtrim($down)), implode("\n", array_map(rtrim(...), $blocks)), 'Ramp in');
    }

    /** The words of a block that is nothing but a straight feed along some axes, as they stand there; null where it is more. */
    private function feedAlong(CheckInput $input, string $line, string $axes): ?string
    {
        $codes = array_column($input->setup->machine->control->codesIn($line), 'code');
        $words = array_values(array_filter(LineWords::of($line), static fn (array $word): bool => $word['letter'] !== 'N'));
        $letters = implode(array_column($words, 'letter'));
        $along = ltrim(rtrim($letters, 'F'), 'G');
        $isPlain = LineWords::isPlain($line) && LineWords::skipMark($line)['mark'] === '' && ($codes === [] || $codes === [Code::Feed])
            && strlen($letters) === count($codes) + strlen($along) + substr_count($letters, 'F');
        if (! $isPlain || $along === '' || strlen($along) > strlen($axes) || strspn($along, $axes) < strlen($along)) {
            return null;
        }
        [$first, $last] = [$words[count($codes)], $words[count($codes) + strlen($along) - 1]];

        return substr($line, $first['from'], $last['at'] + strlen($last['number']) - $first['from']);
    }

    /** Whether anything in the program shifts, turns, scales or mirrors what it says, or counts it from place to place but on the way home. */
    private function isMoved(CheckInput $input): bool
    {
        $control = $input->setup->machine->control;
        for ($line = 1, $last = $input->program->lineCount(); $line <= $last; $line++) {
            $codes = array_column($control->codesIn($input->program->line($line)), 'code');
            $isHome = array_intersect(array_column($codes, 'value'), [Code::Reference->value, Code::SecondReference->value]) !== [];
            foreach ($codes as $code) {
                if (in_array($code, self::MOVES, true) || ($code === Code::Incremental && ! $isHome)) {
                    return true;
                }
            }
        }

        return false;
    }
}
