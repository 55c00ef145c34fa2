<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Formulas\MachiningPower;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Question;

/** What of each question was not looked at: a tick beside a question is worth no more than what stands behind it. */
final readonly class Gaps
{
    private function __construct(private CheckInput $input)
    {
    }

    /** @return list<Gap> */
    public static function of(CheckInput $input): array
    {
        $gaps = new self($input);

        return [...$gaps->ofReading(), ...$gaps->ofHeights(), ...$gaps->ofTravel(), ...$gaps->ofCuts(), ...$gaps->ofOffsets()];
    }

    /**
     * What could not be read is missing from every other answer.
     *
     * @return list<Gap>
     */
    private function ofReading(): array
    {
        $counts = $this->input->trace->noticeCounts;
        $without = array_keys(array_filter([
            'what a missing program does' => isset($counts['missing-program']), 'codes that are not known' => isset($counts['unknown-code']), 'words that cannot be read' => isset($counts['bad-word']),
            'blocks behind a jump that leads nowhere' => isset($counts['no-target']), 'what is left of an endless run' => array_intersect_key($counts, ['runaway' => 1, 'endless' => 1, 'never-ends' => 1, 'called-too-often' => 1, 'nested-too-deep' => 1]) !== [],
        ]));
        $gaps = [];
        foreach ($without === [] ? [] : Question::cases() as $question) {
            if ($question !== Question::Reads) {
                $gaps[] = new Gap($question, 'Judged without '.implode(', ', $without).'.');
            }
        }

        return $gaps;
    }

    /** @return list<Gap> */
    private function ofHeights(): array
    {
        $setup = $this->input->setup;

        return array_values(array_filter([
            $setup->workpiece->stock === null ? new Gap(Question::Heights, 'No stock given: rapids and depths are held against nothing.', 'stock') : null,
            $setup->workholding->obstacles === [] ? new Gap(Question::Heights, 'No jaws or clamps given: nothing is looked at but the stock.', 'obstacles') : null,
            $setup->margins->clearance === null ? new Gap(Question::Heights, 'No clearance given: how close a rapid passes is not judged.', 'clearance') : null,
        ]));
    }

    /** @return list<Gap> */
    private function ofTravel(): array
    {
        $open = [];
        foreach ($this->input->setup->machine->axes as $name => $axis) {
            if (($axis->min === null || $axis->max === null) && ! $this->input->reach->machine[$name]->isEmpty() && ! $axis->isRotary()) {
                $open[] = $name;
            }
        }

        return $open === [] ? [] : [new Gap(Question::Fits, 'No limits given for '.implode(', ', $open).'.', 'machine')];
    }

    /** @return list<Gap> */
    private function ofCuts(): array
    {
        $setup = $this->input->setup;
        $isFollowed = $this->input->stock?->isComplete() === true;

        return array_values(array_filter([
            $isFollowed ? null : new Gap(Question::Cut, 'What is cut was not followed: depth, width, holder and load of each cut are not judged.', $setup->workpiece->stock === null ? 'stock' : null),
            $setup->workpiece->target !== null && ! $setup->workpiece->target->isWhole ? new Gap(Question::Cut, 'Of the drawing only the features given are compared: what is cut beside them is not.', 'target') : null,
            match (true) {
                $setup->workpiece->material === null => new Gap(Question::Cut, 'No material given: speeds, chips and power are not judged.', 'material'),
                MachiningPower::unitPower($setup->workpiece->material) === null => new Gap(Question::Cut, "No unit power is known of “{$setup->workpiece->material}”: what the cut asks of the machine is not judged.", 'material'),
                default => null,
            },
            $setup->workholding->grip === null ? new Gap(Question::Cut, 'How the part is held is not said.', 'grip') : null,
            $this->tools('holder', 'holder', static fn (Tool $tool): bool => $tool->holding->holder === [] || $tool->holding->stickout === null),
            $this->tools('fluteLength', 'flute length', static fn (Tool $tool): bool => $tool->geometry->fluteLength === null && $tool->kind->isStraight()),
            $this->tools('diameter', 'diameter', static fn (Tool $tool): bool => $tool->geometry->diameter === null),
            $this->tools('pitch', 'pitch', static fn (Tool $tool): bool => in_array($tool->kind, [ToolKind::Tap, ToolKind::ThreadMill], true) && $tool->geometry->pitch === null),
        ]));
    }

    /** @return list<Gap> */
    private function ofOffsets(): array
    {
        return $this->input->setup->tooling->lengthMethod === null
            ? [new Gap(Question::Offsets, 'How tools are touched off is not said: signs of lengths are not judged.', 'lengthSchool')] : [];
    }

    /** @param  callable(Tool): bool  $lacks */
    private function tools(string $field, string $words, callable $lacks): ?Gap
    {
        $numbers = [];
        foreach ($this->input->usedTools() as $tool) {
            if ($tool->kind !== ToolKind::Probe && $lacks($tool)) {
                $numbers[] = $tool->number;
            }
        }

        return $numbers === [] ? null : new Gap(Question::Cut, "No {$words} given for T".implode(', T', $numbers).'.', $this->input->toolField($numbers[0], $field));
    }
}
