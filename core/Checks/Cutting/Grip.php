<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Formulas\GripStrength;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Jaws or a dovetail that hold too little of the part for the force of the cut. Estimated, never promised. */
final class Grip extends MillCheck
{
    /** Holds no deeper than this are shallow, mm (common practice). */
    private const SHALLOW = ['jaws' => 3.0, 'dovetail' => 2.0];

    /** What a grip is to hold of the force it is reckoned against (common practice). */
    private const MARGIN = 2.0;

    public function name(): string
    {
        return 'cutting.grip';
    }

    public function why(): string
    {
        return 'If the cut pushes harder than the jaws hold, the part moves or flies. That is the danger people get hurt by.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->workholding->grip === null) {
            yield $this->gap('Workholding not specified.', 'grip');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $grip = $input->setup->workholding->grip;
        $stock = $input->setup->workpiece->stock;
        if ($grip === null || $stock === null) {
            return;
        }
        $load = $input->stock?->loads->peakPower;
        $arm = $load === null ? 0.0 : max(0.0, $stock->thickness() - $grip->depth - $load->below);
        $slides = $load !== null && $grip->force !== null && GripStrength::againstSliding($grip->force) < self::MARGIN * $load->force;
        $tips = $load !== null && $grip->force !== null && GripStrength::againstTipping($grip->force, $grip->depth) < self::MARGIN * $load->force * $arm / 1000;
        $isShallow = $grip->depth <= self::SHALLOW[$grip->kind];
        if (! $isShallow && ! $slides && ! $tips) {
            return;
        }
        $hold = $grip->kind === 'jaws' ? 'The jaws hold {depth}' : 'The dovetail is {depth} deep';
        $push = $load === null ? '' : ' The heaviest cut, by T{tool}, pushes with about {force}, {arm} above the clamping: {moment} to tip it over.';
        $strength = $load === null
            || $grip->force === null
                ? ''
                : ' A clamping force of {press} holds {slide} against sliding (friction {friction} on two faces) and {tip} against tipping (half the '
                    .'depth); twice the load is the rule.';
        yield new Finding(
            $this->name(), Severity::Caution, $load === null || $isShallow && ! $slides && ! $tips ? $input->firstBlock() : $load->line, 1,
            $hold.' of a part that stands {above} above it'.($isShallow ? ', which is shallow' : '').'.'.$push.$strength,
            [
                'depth' => Quantity::length($grip->depth), 'above' => Quantity::length($stock->thickness() - $grip->depth), 'tool' => $load->tool ?? 0,
                'force' => Quantity::force($load->force ?? 0.0),
                'arm' => Quantity::length($arm), 'moment' => Quantity::torque(($load->force ?? 0.0) * $arm / 1000),
                'press' => Quantity::force($grip->force ?? 0.0),
                'slide' => Quantity::force(GripStrength::againstSliding($grip->force ?? 0.0)), 'tip' => Quantity::torque(
                    GripStrength::againstTipping($grip->force ?? 0.0, $grip->depth),
                ),
                'friction' => Quantity::written(GripStrength::FRICTION),
            ],
            'Grip more of it, clamp harder, or take a lighter cut. A part that comes loose flies.', field: 'grip',
        );
    }
}
