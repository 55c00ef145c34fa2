<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool that goes past the axis of the part. */
final class PastCenter extends LatheCheck
{
    /** Beyond the nose, which has to pass the centre to leave no pip, mm on the radius. */
    private const BEYOND = 0.05;

    /** A blade that parts off goes so far, to leave nothing standing (common practice). */
    private const PARTING = 0.25;

    private const NEVER = [ToolKind::Boring, ToolKind::BoringBar, ToolKind::Threading, ToolKind::Tap];

    public function name(): string
    {
        return 'turning.x-past-centre';
    }

    public function why(): string
    {
        return 'Past the axis the part comes up from below the edge and breaks it. Facing needs the nose to pass the centre, and no more.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->lathe->leastX as $number => [$x, $place]) {
            $tool = $input->setup->tooling->tools[$number] ?? null;
            $isNever = $tool !== null && in_array($tool->kind, self::NEVER, true);
            $may = $isNever ? 0.0 : -($tool->geometry->cornerRadius ?? 0.0) - ($tool?->kind === ToolKind::Parting ? self::PARTING : self::BEYOND);
            if ($tool === null || $x >= $may - 1e-9) {
                continue;
            }
            yield new Finding(
                $this->name(), $isNever ? Severity::Stop : Severity::Caution, $place, 1, 'T{tool} goes past the axis, to {x}.',
                ['tool' => $number, 'x' => Quantity::diameter(2 * $x)],
                $isNever ? 'This tool stays on its own side of the axis. Is the sign of X right?'
                    : 'As far as twice its nose radius is enough. Is the sign of X right?',
            );
        }
    }
}
