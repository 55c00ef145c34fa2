<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Formulas\Cantilever;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A bar that stands out of the jaws a long way. */
final class StickOut extends LatheCheck
{
    /** Lengths over the diameter (common practice). */
    private const CAUTION = 4.0;

    private const STOP = 6.0;

    /** What a light cut pushes with, N: a figure to go by, on a bar of steel. */
    private const FORCE = 100.0;

    /** With a centre in its end (common practice). */
    private const CENTERED = 10.0;

    public function name(): string
    {
        return 'turning.stick-out';
    }

    public function why(): string
    {
        return 'A long bar bends away from the tool, chatters, and may climb out of the jaws or whip. From four diameters on it wants a centre.';
    }

    public function examine(CheckInput $input): iterable
    {
        $chuck = $input->setup->workholding->chuck;
        $stock = $input->setup->workpiece->stock;
        if ($chuck?->jawFaceZ === null || $stock === null || $input->turned === null || $chuck->kind === 'between-centres') {
            return;
        }
        $out = $stock->around->high->z - $chuck->jawFaceZ;
        $times = $out / ($thick = 2 * $stock->around->high->x);
        $hasCenter = $input->setup->workholding->hasCenter()
            || array_filter($input->trace->states, static fn (State $state): bool => $state->modes->tailstockIn === true) !== [];
        if ($times > ($hasCenter ? self::CENTERED : self::CAUTION)) {
            yield new Finding(
                $this->name(), $times > self::STOP && ! $hasCenter ? Severity::Stop : Severity::Caution, $input->firstBlock(), 1,
                'The bar stands {out} out of the jaws: {times} times its diameter. {force} '.($hasCenter ? 'in its middle' : 'at its end').' bend it {bend}.',
                [
                    'out' => Quantity::length($out), 'times' => number_format($times, 2, '.', ''), 'force' => Quantity::force(self::FORCE),
                    'bend' => Quantity::length(
                        $hasCenter ? Cantilever::borne(self::FORCE, $out, $thick, Cantilever::HIGH_SPEED_STEEL)
                            : Cantilever::deflection(self::FORCE, $out, 0.0, $thick, $thick, Cantilever::HIGH_SPEED_STEEL),
                    ),
                ],
                $hasCenter ? 'Support it with a steady, or let it stand out less.' : 'Support it with a centre, or let it stand out less.',
                field: 'chuck.jawFaceZ',
            );
        }
    }
}
