<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Drawing\Figure;

/** The questions about depth that all cutting operations share, and how they are answered where nobody did. Lengths in millimetres. */
final readonly class Depths
{
    /** Past the underside of the raw part (common practice). */
    private const BREAK_THROUGH = 0.5;

    /** Deepest cut of a mill at once, as a share of its diameter, by the first word met in the material (common practice). */
    private const STEPS = ['stainless' => 0.3, 'aluminium' => 1.0, 'aluminum' => 1.0, 'brass' => 0.75, 'bronze' => 0.5, 'steel' => 0.5];

    /** @param  non-empty-list<float>  $passes  below the top */
    private function __construct(public float $top, public float $depth, public array $passes)
    {
    }

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [
            ...self::reaches('Top of what is cut', 'Depth below the top'), Ask::length('first', 'First pass')->cutting(isKept: false)->rare(),
            Ask::length('step', 'Deepest pass')->cutting(), Ask::flag('even', 'All passes alike', true)->cutting()->rare(),
        ];
    }

    /** @return list<Ask> how deep it goes, without the passes */
    public static function reaches(string $top, string $depth): array
    {
        return [
            Ask::length('top', $top), Ask::flag('through', 'Through the part'), Ask::length('depth', $depth)->when('through', 'false'),
            Ask::length('breakThrough', 'Past the underside')->when('through', 'true'),
        ];
    }

    /** Puts how deep it goes to a small drawing, where that is answered. */
    public static function draw(Figure $figure, Answers $answers, Job $job, float $floor = 0.0): Figure
    {
        if (! $answers->has('depth') && ! $answers->flag('through')) {
            return $figure;
        }
        $depths = self::of($answers, $job, $floor);

        return $figure->reach($depths->top, ...$depths->passes);
    }

    /** @param  float  $floor  left for a pass of its own */
    public static function of(Answers $answers, Job $job, float $floor = 0.0): self
    {
        [$top, $depth] = self::reach($answers, $job, 0.0);
        $first = $answers->maybeLength('first');
        if ($first !== null && ($first <= 0.0 || $first > $depth)) {
            $answers->wrong('first', $first <= 0.0 ? 'This has to be more than 0.' : 'The first pass is deeper than the whole.');
            $first = null;
        }
        $step = $answers->has('step') ? $answers->size('step') : self::usualStep($answers, $job);

        if ($job->only === Only::Finish) {
            return new self($top, $depth, [$depth]);
        }

        return new self($top, $depth, Passes::of($depth, max($step, 1e-3), $first, min($floor, $depth), $answers->flag('even', true)));
    }

    /**
     * How deep it goes: as answered, or through the raw part and its point with it.
     *
     * @return array{float, float} top, and depth below it
     */
    public static function reach(Answers $answers, Job $job, float $point): array
    {
        $top = $answers->length('top', $job->usualTop);
        $bottom = $job->blank->bottom();
        if ($answers->flag('through')) {
            if ($answers->has('depth')) {
                $answers->wrong('depth', 'It goes through: give no depth.');
            }
            if ($bottom === null) {
                $answers->wrong('through', 'Through what? Give the stock, or the depth.');
            }

            return [$top, max(1e-6, $top - ($bottom ?? $top - 1.0) + $answers->length('breakThrough', self::BREAK_THROUGH) + $point)];
        }

        return [$top, $answers->size('depth', null, 'How deep is it?')];
    }

    private static function usualStep(Answers $answers, Job $job): float
    {
        $tool = $job->tool->tool;
        if ($tool->limits->maxAxialDepth !== null) {
            $job->decide(new Choice('step', 'as deep as T{tool} may cut: {step}', [
                'tool' => $tool->number, 'step' => Quantity::length($tool->limits->maxAxialDepth),
            ]));

            return $tool->limits->maxAxialDepth;
        }
        foreach (self::STEPS as $material => $share) {
            if (str_contains(strtolower($job->material), $material) && $job->tool->diameter() > 0.0) {
                $job->decide(new Choice('step', '{share} of the diameter in {material}, common practice: {step}', [
                    'share' => Quantity::written($share), 'material' => $material, 'step' => Quantity::length($share * $job->tool->diameter()),
                ]));

                return $share * $job->tool->diameter();
            }
        }
        $answers->wrong('step', "How deep may T{$tool->number} go at once?");

        return 1.0;
    }
}
