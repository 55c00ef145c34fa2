<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feed a turn that is too much for a blade or a drill. */
final class FeedHeavy extends LatheCheck
{
    /** The most a blade is fed, as a share of its width, and a drill with its two lips, of its diameter (common practice). */
    private const BLADE = 0.1;

    private const DRILL = 0.06;

    public function name(): string
    {
        return 'turning.feed-heavy';
    }

    public function why(): string
    {
        return 'A blade or a drill has little behind its edge. Fed too fast it breaks in the part, where it is hard to get out.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (CutFeeds::of($input) as $number => [$feed, $place]) {
            $tool = $input->setup->tooling->tools[$number] ?? null;
            $most = $tool === null ? null : self::most($tool);
            if ($tool === null || $most === null || $feed <= $most + 1e-6) {
                continue;
            }
            $isDrill = $tool->kind === ToolKind::Drill;
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1,
                $isDrill ? 'T{tool} is fed {feed} a turn with a drill of {size}.' : 'T{tool} is fed {feed} a turn with a blade of {size}.',
                [
                    'tool' => $number, 'feed' => Quantity::length($feed), 'most' => Quantity::length($most),
                    'size' => Quantity::length(($isDrill ? $tool->geometry->diameter : $tool->insert->width) ?? 0.0),
                ],
                'Is the decimal point of F right? {most} is about the most (common practice).',
            );
        }
    }

    private static function most(Tool $tool): ?float
    {
        return match ($tool->kind) {
            ToolKind::Parting, ToolKind::Grooving => $tool->insert->width === null ? null : self::BLADE * $tool->insert->width,
            ToolKind::Drill => $tool->geometry->diameter === null ? null : self::DRILL * $tool->geometry->diameter,
            default => null,
        };
    }
}
