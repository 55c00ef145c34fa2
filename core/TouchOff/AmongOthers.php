<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\LengthMethod;

/** What readings say of each other: a hole that is not round, a setter that was moved, a first bore that is not where it was. */
final class AmongOthers
{
    /** A bore that is rounder than this raises no question, mm (common practice). */
    private const ROUND = 0.05;

    /** A setter, and a bore measured again, repeat better than this, mm (common practice). */
    private const REPEATS = 0.02;

    private const BORES = ['bore', 'boss'];

    /**
     * @param  array<string, float>  $values  mm
     * @return array<string, float> figures that follow from this reading and another one
     */
    public static function besides(Method $method, array $values, Subject $subject, Situation $situation): array
    {
        $across = self::across($method->name(), $values);
        $other = $across === null ? null : self::otherAxis($method, $subject, $situation);

        return $across === null || $other === null ? [] : ["size across {$other[0]}" => $other[1], 'out of round' => abs($across - $other[1])];
    }

    /**
     * @param  array<string, float>  $values  mm
     * @return list<array{string, array<string, Quantity|string|int>}> pattern and figures of each question
     */
    public static function asks(Method $method, array $values, Worksheet $worksheet, Subject $subject, Situation $situation): array
    {
        $asks = [];
        $across = self::across($method->name(), $values);
        $other = $across === null ? null : self::otherAxis($method, $subject, $situation);
        if ($across !== null && $other !== null && abs($across - $other[1]) > self::ROUND) {
            $asks[] = [
                'Across {axis} it is {size}, across {otherAxis} {other}: {by} out of round. Did all four touches meet the wall?',
                [
                    'axis' => (string) $subject->axis, 'size' => Quantity::length($across), 'otherAxis' => $other[0], 'other' => Quantity::length($other[1]),
                    'by' => Quantity::length(abs($across - $other[1])),
                ],
            ];
        }
        $first = $situation->measuredFirst;
        if ($first !== null && abs($worksheet->value - $first) > self::REPEATS) {
            $asks[] = [
                '{offset}, the first of the row, is {by} off where it was before the others were measured. Did the part or the probe move?',
                ['offset' => $subject->words(), 'by' => Quantity::length(abs($worksheet->value - $first))],
            ];
        }

        return $method->name() === 'setter' ? [...$asks, ...self::setter($values, $subject, $situation)] : $asks;
    }

    /**
     * The bores of a row, by axis, in the order they were measured. The first is measured again when all are done.
     *
     * @param  list<Taken>  $taken
     * @return array<string, non-empty-list<string>> X => G54 X, G55 X; only where there are two and more
     */
    public static function rows(array $taken): array
    {
        $rows = [];
        foreach ($taken as $one) {
            if (in_array($one->method, self::BORES, true)) {
                $rows[substr($one->subject, (int) strrpos($one->subject, ' ') + 1)][] = $one->subject;
            }
        }

        return array_filter($rows, static fn (array $row): bool => count($row) > 1);
    }

    /**
     * @param  array<string, float>  $values
     * @return list<array{string, array<string, Quantity|string|int>}>
     */
    private static function setter(array $values, Subject $subject, Situation $situation): array
    {
        $zero = $values['zero'];
        foreach ($situation->taken as $taken) {
            $was = $taken->method === 'setter' && $taken->subject !== $subject->words() ? $taken->readings['zero'] ?? null : null;
            if ($was !== null && abs($was - $zero) > self::REPEATS) {
                return [[
                    'The zero of the setter is {zero}; with {other} it was {was}. Was the setter moved? Then measure the other tools again.',
                    ['zero' => Quantity::length($zero), 'other' => $taken->subject, 'was' => Quantity::length($was)],
                ]];
            }
        }
        // The master is the tool the setter's zero was read with, so its own length is nothing.
        $isMaster = $situation->school() === LengthMethod::MasterTool && $situation->value($subject) === 0.0;

        return $isMaster && abs($values['at'] - $zero) > self::REPEATS ? [[
            '{offset} is the master’s, and reads {by} off the zero of the setter. Was the setter moved? Then read its zero again, and every tool.',
            ['offset' => $subject->offset, 'by' => Quantity::length(abs($values['at'] - $zero))],
        ]] : [];
    }

    /** @return array{string, float}|null another axis of the same bore, and its size across that */
    private static function otherAxis(Method $method, Subject $subject, Situation $situation): ?array
    {
        foreach ($situation->taken as $taken) {
            $size = $taken->method === $method->name() && str_starts_with($taken->subject, $subject->offset.' ') && $taken->subject !== $subject->words()
                ? self::across($taken->method, $taken->readings) : null;
            if ($size !== null) {
                return [substr($taken->subject, strlen($subject->offset) + 1), $size];
            }
        }

        return null;
    }

    /** @param  array<string, float>  $values */
    private static function across(string $method, array $values): ?float
    {
        if (! in_array($method, self::BORES, true) || ! isset($values['first'], $values['second'], $values['ball'])) {
            return null;
        }

        return abs($values['second'] - $values['first']) + ($method === 'bore' ? $values['ball'] : -$values['ball']);
    }
}
