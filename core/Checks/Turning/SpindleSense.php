<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A spindle that turns against the edge: the wrong way for how the insert sits, or for a drill. */
final class SpindleSense extends LatheCheck
{
    private const ON_CENTRE = [ToolKind::Drill, ToolKind::SpotDrill, ToolKind::CenterDrill, ToolKind::Reamer];

    public function name(): string
    {
        return 'turning.spindle-sense';
    }

    public function why(): string
    {
        return 'Turned the wrong way the part meets the back of the edge. The insert breaks, and the part may be thrown or unscrewed.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->machine->toolSide() === null) {
            yield $this->gap('The machine does not say on which side its tools stand: which way each insert wants the spindle was not checked.');

            return;
        }
        $open = array_filter(
            array_keys($input->turned->cutting ?? []), static fn (int $number): bool => $input->setup->tooling->tools[$number]->insert->face === null
                && ! in_array($input->setup->tooling->tools[$number]->kind, self::ON_CENTRE, true),
        );
        yield from $this->gapOf($input, $open, 'No insert face given for {tools}: which way it wants the spindle was not checked.', 'face');
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->firstFeed as $number => $place) {
            $state = $input->trace->states[$number];
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            $wants = $tool === null ? 0 : self::wants($tool, $input->setup->machine->toolSide());
            if ($wants === 0 || $state->spindle->turn === 0 || $state->spindle->turn === $wants || isset($told[$state->tool])) {
                continue;
            }
            $told[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $place, 1, 'T{tool} cuts with the spindle {sense}; as it sits it wants it {wants}.',
                ['tool' => $state->tool, 'sense' => self::words($state->spindle->turn), 'wants' => self::words($wants)],
                'Turn the spindle with '.($wants > 0 ? '{code spindle-clockwise}' : '{code spindle-counter-clockwise}').', or correct how the insert sits.',
                field: 'tools',
            );
        }
    }

    /** 1 clockwise as the spindle sees it, -1 the other way, 0 where nobody knows (common practice). */
    private static function wants(Tool $tool, ?string $side): int
    {
        if (in_array($tool->kind, self::ON_CENTRE, true)) {
            return $tool->geometry->hand === 'left' ? -1 : 1;
        }
        if ($side === null || $tool->insert->face === null || $tool->kind === ToolKind::Tap) {
            return 0;
        }

        return ($side === 'front') === ($tool->insert->face === 'up') ? 1 : -1;
    }

    private static function words(int $turn): string
    {
        return $turn > 0 ? 'clockwise' : 'counter-clockwise';
    }
}
