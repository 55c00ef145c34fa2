<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A narrow cut whose chips are thinner than the tool should cut, though the feed per tooth is not. */
final class ThinChip extends MillCheck
{
    public function name(): string
    {
        return 'cutting.thin-chip';
    }

    public function why(): string
    {
        return 'A chip thinner than the edge is sharp is not cut but rubbed. The edge wears faster though the load looks light.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->stock->loads->thin ?? [] as $number => $thin) {
            $tool = $input->setup->tooling->tools[$number];
            $least = CuttingData::feedPerTooth($tool)[0] ?? 0.0;
            if ($tool->limits->feedPerTooth === null && ! in_array($tool->kind, [ToolKind::EndMill, ToolKind::BallMill, ToolKind::BullMill], true)) {
                continue; // of others nobody knows how wide the cone or the inserts are where they cut
            }
            if ($thin['chip'] >= $least * (1 - 1e-6) || $thin['feed'] < $least) {
                continue; // a feed that is too small itself is told by cutting.feed-per-tooth
            }
            $word = $input->wordAt($thin['line'], 'F');
            yield new Finding(
                $this->name(), Severity::Note, $word->line ?? $thin['line'], $word->column ?? 1,
                'T{tool} cuts {width} wide: at {feed} a tooth its chips are {chip} at most, and it rubs below {least}.',
                [
                    'tool' => $number, 'width' => Quantity::length($thin['width']), 'feed' => Quantity::length($thin['feed']),
                    'chip' => Quantity::length($thin['chip']), 'least' => Quantity::length($least),
                    'wanted' => Quantity::length($thin['feed'] * $least / $thin['chip']),
                ],
                'A feed of {wanted} a tooth brings the chips to full thickness.', $word === null || $word->line === $thin['line'] ? [] : [$thin['line']],
            );
        }
    }
}
