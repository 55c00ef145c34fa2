<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
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
        if (preg_match('/^\s*(?:N\d+)?\s*(?:G0?1)?\s*Z[-+.\d]+\s*(?:F[.\d]+)?\s*$/i', $down) !== 1 || preg_match(
            '/^\s*(?:N\d+)?\s*(?:G0?1)?\s*((?:[XY]\s*[-+.\d]+\s*){1,2})(?:F[.\d]+)?\s*$/i', $next, $way,
        ) !== 1
            || $z === null || $x === null || $y === null || preg_match('/G91(?!.*G(?:28|30))|G5[12]|G68/i', $input->program->text) === 1) {
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
                [stripos($way[1], AxisName::X) === false ? '' : AxisName::X.$x->number, stripos($way[1], AxisName::Y) === false ? '' : AxisName::Y.$y->number],
            ),
        );
        $blocks = [substr($down, 0, $z->numberColumn - 1).$input->written($top + self::ABOVE).substr($down, $z->numberColumn - 1 + strlen($z->number))];
        for ($leg = 1; $leg <= $legs; $leg++) {
            $blocks[] = ($leg % 2 === 1 ? trim($way[1]) : $back).' Z'.($leg === $legs ? $z->number : $input->written($top - $cut->by * $leg / $legs));
        }

        return new Edit($cut->line, 1, strlen(rtrim($down)), implode("\n", array_map(rtrim(...), $blocks)), 'Ramp in');
    }
}
