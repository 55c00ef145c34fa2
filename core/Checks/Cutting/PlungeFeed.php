<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An end mill plunged at the feed it cuts sideways with. */
final class PlungeFeed extends MillCheck
{
    public function name(): string
    {
        return 'cutting.plunge-feed';
    }

    public function why(): string
    {
        return 'Straight down only the ends of the flutes cut, and badly. At its sideways feed the tool is pushed, not cutting.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->setup->machine->isLengthByHand()) {
            return; // nobody has programmed how fast it goes down
        }
        $unfed = array_map(static fn (Notice $notice): int => $notice->line, iterator_to_array($input->trace->noticesOf('no-feed'), false));
        foreach ($input->heights->plunges as $number => [$move, $feed]) {
            if ($input->stock?->isFollowed() === true && ! isset($input->stock->plunges[$move->line])) {
                continue; // into a hole that is there already
            }
            $kind = ($input->setup->tooling->tools[$number] ?? null)?->kind;
            $side = $input->heights->sideFeeds[$number] ?? 0.0;
            if (
                $kind !== ToolKind::EndMill || $side <= 0.0 || $feed < $side || $input->entryErrors()->explainsDepth($move->line)
                || in_array($move->line, $unfed, true)
            ) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1, 'T{tool} plunges into the stock at {feed}, the feed it cuts sideways with.',
                ['tool' => $number, 'feed' => Quantity::feed($feed)], 'Plunge at a third to a half of that feed, or ramp in.',
                edit: $this->slower($input, $move->line, $feed),
            );
        }
    }

    /** A third of the feed for the plunge; the next move has to say its own then. */
    private function slower(CheckInput $input, int $line, float $feed): ?Edit
    {
        $word = $input->wordAt($line, 'F');
        $unit = $input->trace->end->modes->units->millimetres();
        $third = $feed / 3 / $unit;
        $step = 10 ** floor(log10(max(1e-3, $third)) - 1) * 5; // a figure somebody would write
        $written = $input->written(max($step, floor($third / $step) * $step) * $unit);

        return $word?->line === $line && $input->wordAt($line + 1, 'F')?->line === $line + 1
            ? $word->replacedBy($written)
            : null;
    }
}
