<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\OffsetMistakes\Mistake;
use OakTrace\Core\OffsetMistakes\MistakeResult;
use OakTrace\Core\OffsetMistakes\OffsetMistakes;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;

/** Writes what each offset mistake leads to, in sentences of the program's units and numbers of the setup's. */
final readonly class OffsetTable
{
    /**
     * @param  Units|null  $units  of everything; those of the program and of the setup where not given
     * @return list<array<string, mixed>>
     */
    public static function of(Verification $verification, ?Units $units = null): array
    {
        $wording = new Wording($units ?? $verification->trace->end->modes->units);
        $in = static fn (?float $length): ?float => $length === null ? null : Quantity::length($length)->in($units ?? $verification->setup->units);
        $sources = $verification->trace->sources;
        $axes = $verification->setup->machine->axes;
        $shown = static fn (Mistake $mistake): Quantity => $axes[$mistake->axis]->isDiameter ? Quantity::diameter(abs($mistake->by()))
            : Quantity::length(abs($mistake->by()));

        return array_map(static fn (MistakeResult $result): array => [
            'offset' => $result->mistake->offset,
            'axis' => $axes[$result->mistake->axis]->isDiameter ? $result->mistake->axis.'Ø' : $result->mistake->axis,
            'what' => $result->mistake->what,
            'right' => $in($result->mistake->right),
            'wrong' => $in($result->mistake->wrong),
            'meets' => $result->meets,
            'name' => $result->name,
            'line' => $result->place === null ? null : $sources->mainLine($result->place),
            'tool' => $result->tool,
            'height' => $in($result->height),
            'text' => $wording->sentence(self::sentence($result, $verification), [
                'line' => $result->place === null ? '' : $sources->words($result->place), 'tool' => $result->tool, 'name' => $result->name,
                'height' => Quantity::length(abs($result->height ?? 0.0)), 'by' => $shown($result->mistake),
                'axis' => $result->mistake->axis, 'side' => $result->mistake->by() > 0 ? 'plus' : 'minus',
            ]),
        ], OffsetMistakes::of($verification->trace, $verification->setup, $verification->input->reach));
    }

    private static function sentence(MistakeResult $result, Verification $of): string
    {
        $from = match (true) {
            $result->height === null => '',
            $result->height < 0.0 => ', coming from {height} below the top of the stock',
            default => ', coming from {height} above the stock',
        };

        return match ($result->meets) {
            'limit' => ($result->tool === 0 ? 'Line {line} overruns the {name} limit' : 'Line {line}: T{tool} overruns the {name} limit').$from.'.',
            'stock' => 'Line {line}: T{tool} rapids into the stock'.$from.'.',
            'below-stock' => 'Line {line}: T{tool} cuts below the stock'.$from.'.',
            'obstacle' => 'Line {line}: T{tool} hits {name}'.$from.'.',
            'too-deep' => 'Line {line}: T{tool} cuts deeper than it may.',
            default => self::harmless($result->mistake, $of),
        };
    }

    private static function harmless(Mistake $mistake, Verification $of): string
    {
        if ($of->setup->machine->isLathe() && $of->input->turned === null) {
            return 'Stays within the travel; without the stock nothing else was looked at.';
        }
        if ($of->setup->machine->isLathe()) {
            return $mistake->axis === AxisName::Z ? 'No crash: everything it moves lies {by} off to {axis} {side}.'
                : 'No crash: everything it moves runs {by} too '.($mistake->by() > 0 ? 'large.' : 'small.');
        }

        return $mistake->axis === AxisName::Z
            ? 'No crash: everything it moves runs {by} too '.($mistake->by() > 0 ? 'high.' : 'deep.')
            : 'No crash: everything it moves lies {by} off to {axis} {side}.';
    }
}
