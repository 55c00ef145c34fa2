<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\Step;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A pass deeper than the tool may go, or than the passes before it on the same ground. */
final class TooDeep extends MillCheck
{
    /** A step this many times the deepest one before it was not meant. */
    private const OUT_OF_STEP = 2.5;

    /** How much deeper than before a step must be to be worth a word, mm. */
    private const WORTH_A_WORD = 0.5;

    public function name(): string
    {
        return 'cutting.too-deep';
    }

    public function why(): string
    {
        return 'Load grows with depth. The tool bends, chatters or breaks, and the part may be pulled out of its clamping.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $cell = $input->stock->cell ?? 0.0;
        $narrow = array_filter($input->usedTools(), static fn (Tool $tool): bool => $tool->limits->maxAxialDepth !== null
            && $tool->geometry->diameter !== null && $tool->geometry->diameter <= 2 * $cell);

        return $this->gapOf(
            $input, array_map(static fn (Tool $tool): int => $tool->number, $narrow),
            'The cells of the stock are as coarse as {tools}: in short moves the depth limit was not checked.', 'maxAxialDepth',
        );
    }

    public function examine(CheckInput $input): iterable
    {
        $first = $also = [];
        foreach ($input->passes->steps() as $step) {
            $tool = $step->pass->tool;
            if (! $this->isTooDeep($input, $step) || $input->entryErrors()->explainsDepth($step->pass->line)) {
                continue;
            }
            $key = $tool.':'.$step->pass->piece;
            $first[$key] ??= $step;
            $also[$key][] = $step->pass->line;
        }
        foreach ($first as $key => $step) {
            $tool = $step->pass->tool;
            $most = $input->setup->tooling->tools[$tool]->limits->maxAxialDepth ?? null;
            $compared = count($step->before) > 1;
            $word = $input->wordAt($step->pass->line, AxisName::Z);
            yield new Finding(
                $this->name(), Severity::Stop, $word->line ?? $step->pass->line, $word->column ?? 1,
                'T{tool} takes {depth} in one pass'.match (true) {
                    $compared => ', where the passes before it took {usual}.',
                    default => '; its limit is {most}.',
                },
                [
                    'tool' => $tool, 'depth' => Quantity::length($step->depth), 'usual' => Quantity::length($step->usual()),
                    'most' => Quantity::length($most ?? 0.0), 'next' => Quantity::length($step->height - $step->usual()),
                ],
                $compared
                    ? 'Is a pass missing, or a figure wrong? The next step would be Z {next}.'
                    : 'Take more passes, or correct the limit of the tool in the setup.',
                $also[$key],
                $compared ? $this->nextStep($input, $step) : null,
            );
        }
        foreach ($input->incidents(Incident::Deep, deepest: true) as [$cut, $others]) {
            if (isset($first[$cut->tool.':'.$cut->stock])) {
                continue;
            }
            $word = $input->wordAt($cut->line, AxisName::Z);
            yield new Finding(
                $this->name(), Severity::Stop, $word->line ?? $cut->line, $word->column ?? 1,
                'T{tool} takes {depth} in one pass; its limit is {most}.',
                [
                    'tool' => $cut->tool, 'depth' => Quantity::length($cut->by),
                    'most' => Quantity::length($input->setup->tooling->tools[$cut->tool]->limits->maxAxialDepth ?? 0.0),
                ],
                'Take more passes, or correct the limit of the tool in the setup.', $others,
                field: $input->toolField($cut->tool, 'maxAxialDepth'),
            );
        }
        yield from $this->unusual($input, array_keys($first));
    }

    /**
     * Passes with the whole width, deeper than the tool usually goes, where nobody says what it may take.
     *
     * @param  list<string>  $told  tool and piece of what is told already
     * @return iterable<Finding>
     */
    private function unusual(CheckInput $input, array $told): iterable
    {
        foreach ($input->incidents(Incident::Slot, deepest: true) as [$cut, $others]) {
            $usual = CuttingData::usualSlotDepth($input->setup->tooling->tools[$cut->tool], $input->setup->workpiece->material);
            if ($usual === null || $cut->by <= $usual + 1e-6 || in_array($cut->tool.':'.$cut->stock, $told, true)) {
                continue;
            }
            // The passes that are no deeper than usual have nothing to do with it.
            $deep = array_filter(
                $input->stock?->incidents->of(Incident::Slot)[$cut->tool] ?? [],
                static fn (Cut $other): bool => $other->stock === $cut->stock && $other->by > $usual + 1e-6,
            );
            $also = array_values(array_intersect($others, array_map(static fn (Cut $other): int => $other->line, $deep)));
            yield new Finding(
                $this->name(), Severity::Caution, $cut->line, 1,
                'T{tool} takes {depth} in one pass at full width; {most} is the usual limit (common practice).',
                ['tool' => $cut->tool, 'depth' => Quantity::length($cut->by), 'most' => Quantity::length($usual)],
                'Take more passes, or enter the limit of the tool in the setup.', $also, field: $input->toolField($cut->tool, 'maxAxialDepth'),
            );
        }
    }

    /**
     * Places of passes out of step with those before them: what is wrong with the part because of them is no finding of its own.
     *
     * @return list<int>
     */
    public static function outOfStep(CheckInput $input): array
    {
        $lines = [];
        foreach ($input->passes->steps() as $step) {
            if (self::isOutOfStep($step)) {
                $lines[] = $step->pass->line;
            }
        }

        return $lines;
    }

    private static function isOutOfStep(Step $step): bool
    {
        return count($step->before) > 1 && $step->depth > self::OUT_OF_STEP * $step->usual() && $step->depth - $step->usual() > self::WORTH_A_WORD;
    }

    private function isTooDeep(CheckInput $input, Step $step): bool
    {
        // What the tool may take is compared with what it really takes, where that is known.
        $most = $input->stock?->isFollowed() === true ? INF : $input->setup->tooling->tools[$step->pass->tool]->limits->maxAxialDepth ?? INF;

        return $step->depth > $most + 1e-6 || self::isOutOfStep($step);
    }

    /** The depth the pass would have a usual step below the ground. */
    private function nextStep(CheckInput $input, Step $step): ?Edit
    {
        $word = $input->wordAt($step->pass->line, AxisName::Z);
        $lift = $step->height - $step->usual() - $step->pass->level;

        return $word?->replacedBy($input->written($word->value() * $input->trace->end->modes->units->millimetres() + $lift));
    }
}
