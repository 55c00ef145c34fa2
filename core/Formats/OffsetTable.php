<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\OffsetMistakes\OffsetMistakes;
use OakTrace\Core\OffsetMistakes\Outcome;
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
        $wording = new Wording($units ?? $verification->trace->end->units);
        $in = static fn (?float $length): ?float => $length === null ? null : Quantity::length($length)->in($units ?? $verification->setup->units);
        $library = $verification->trace->library;

        return array_map(static fn (Outcome $outcome): array => [
            'offset' => $outcome->mistake->offset,
            'axis' => $outcome->mistake->axis,
            'what' => $outcome->mistake->what,
            'right' => $in($outcome->mistake->right),
            'wrong' => $in($outcome->mistake->wrong),
            'meets' => $outcome->meets,
            'name' => $outcome->name,
            'line' => $outcome->place === null ? null : $library->mainLine($outcome->place),
            'tool' => $outcome->tool,
            'height' => $in($outcome->height),
            'text' => $wording->sentence(self::sentence($outcome), [
                'line' => $outcome->place === null ? '' : $library->words($outcome->place), 'tool' => $outcome->tool, 'name' => $outcome->name,
                'height' => Quantity::length(abs($outcome->height ?? 0.0)), 'by' => Quantity::length(abs($outcome->mistake->by())),
                'axis' => $outcome->mistake->axis, 'side' => $outcome->mistake->by() > 0 ? 'plus' : 'minus',
            ]),
        ], OffsetMistakes::of($verification->trace, $verification->setup, $verification->evidence->reach));
    }

    private static function sentence(Outcome $outcome): string
    {
        $from = match (true) {
            $outcome->height === null => '',
            $outcome->height < 0.0 => ', coming from {height} below the top of the stock',
            default => ', coming from {height} above the stock',
        };

        return match ($outcome->meets) {
            'limit' => ($outcome->tool === 0 ? 'Line {line} meets the {name} limit' : 'Line {line}: T{tool} meets the {name} limit').$from.'.',
            'stock' => 'Line {line}: T{tool} goes into the stock at rapid'.$from.'.',
            'below-stock' => 'Line {line}: T{tool} cuts below the stock'.$from.'.',
            'obstacle' => 'Line {line}: T{tool} hits {name}'.$from.'.',
            default => $outcome->mistake->axis === 'Z'
                ? 'Nothing is met: all it carries runs {by} too '.($outcome->mistake->by() > 0 ? 'high.' : 'deep.')
                : 'Nothing is met: all it carries lies {by} off to {axis} {side}.',
        };
    }
}
