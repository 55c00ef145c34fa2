<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

use OakTrace\Core\Quantities\Median;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\LengthMethod;

/** What is asked before a touched-off figure is taken: a sentence each, with its figures. What cannot be is refused instead. */
final class Questions
{
    /** Two things are never touched off so alike, mm. */
    private const SAME = 0.0005;

    /** A jump from the last value beyond this is asked about, mm. */
    private const JUMP = 5.0;

    /** A measured length and its offset agree better than this, mm (common practice). */
    private const MEASURED = 0.2;

    /** Holder and stick-out tell a length to about this, mm (common practice). */
    private const ASSEMBLED = 3.0;

    /** A fixture is put back better than this, mm (common practice). */
    private const PLACE = 1.0;

    /**
     * @param  array<string, float>  $values  the readings, mm
     * @return list<array{string, array<string, Quantity|string|int>}> pattern and figures
     *
     * @throws ReadingProblem where the sign is against the school, or an axis cannot get there
     */
    public static function about(Worksheet $worksheet, Subject $subject, Situation $situation, Method $method, array $values): array
    {
        $value = $worksheet->value;
        self::refuse($value, $subject, $situation);
        $asks = [];
        $last = $situation->value($subject);
        if ($last !== null && abs($last - $value) < self::SAME) {
            $asks[] = ['The value is the same as before, {value}. Was it really read?', ['value' => Quantity::length($value)]];
        } elseif ($last !== null && abs($last - $value) > self::JUMP) {
            $asks[] = [
                'It was {last} and would be {value}: {by} off. Is this the right tool, and every figure in its place?',
                ['last' => Quantity::length($last), 'value' => Quantity::length($value), 'by' => Quantity::length(abs($last - $value))],
            ];
        }

        array_push($asks, ...AmongOthers::asks($method, $values, $worksheet, $subject, $situation));

        return [...$asks, ...($subject->isLength() ? self::ofLength($value, $subject, $situation) : self::ofPlace($worksheet, $subject, $situation))];
    }

    private static function refuse(float $value, Subject $subject, Situation $situation): void
    {
        $sign = $situation->school()->sign();
        if ($subject->isLength() && $sign !== 0 && $value * $sign <= 0.0) {
            throw ReadingProblem::at('at', $sign < 0
                ? '{offset} would be {value}. Lengths touched off from home are negative in this setup.'
                : '{offset} would be {value}. Lengths from the gauge line are positive in this setup.', [
                    'offset' => $subject->offset, 'value' => Quantity::length($value),
                ]);
        }
        [$min, $max] = $subject->isLength() ? [null, null] : $situation->travel((string) $subject->axis);
        if ($subject->axis !== $situation->lengthAxis() && (($min !== null && $value < $min - self::SAME) || ($max !== null && $value > $max + self::SAME))) {
            throw ReadingProblem::at('at', '{offset} would be {value}: {axis} goes from {min} to {max}.', [
                'offset' => $subject->words(), 'value' => Quantity::length($value), 'axis' => (string) $subject->axis,
                'min' => $min === null ? 'no limit' : Quantity::length($min), 'max' => $max === null ? 'no limit' : Quantity::length($max),
            ]);
        }
    }

    /** @return list<array{string, array<string, Quantity|string|int>}> */
    private static function ofLength(float $value, Subject $subject, Situation $situation): array
    {
        $asks = [];
        foreach ($situation->otherLengths($subject) as $number => $other) {
            if (abs($other - $value) < self::SAME) {
                $asks[] = ['H{number} has the same value. Is this the reading of the other tool?', ['number' => $number]];
            }
        }
        foreach ([[true, self::MEASURED], [false, self::ASSEMBLED]] as [$isMeasured, $tolerance]) {
            $by = self::besideLength($value, $subject, $situation, $isMeasured);
            if ($by !== null && abs($by) > $tolerance) {
                $asks[] = [
                    $isMeasured ? '{offset} would be {by} off what its length says.' : '{offset} would be {by} off what its holder and stick-out say.',
                    ['offset' => $subject->offset, 'by' => Quantity::length(abs($by))],
                ];

                break;
            }
        }

        return $asks;
    }

    /** How far a length is off what is known of the tool besides; null where nothing is. */
    private static function besideLength(float $value, Subject $subject, Situation $situation, bool $isMeasured): ?float
    {
        $length = $situation->knownLength($subject->number(), $isMeasured);
        if ($length === null) {
            return null;
        }
        if ($situation->school() === LengthMethod::GaugeLine) {
            return $value - $length;
        }
        $apart = [];
        foreach ($situation->otherLengths($subject) as $number => $other) {
            $known = $situation->knownLength($number, $isMeasured);
            if ($known !== null) {
                $apart[] = $other - $known;
            }
        }

        return $apart === [] ? null : $value - $length - Median::of($apart);
    }

    /** @return list<array{string, array<string, Quantity|string|int>}> */
    private static function ofPlace(Worksheet $worksheet, Subject $subject, Situation $situation): array
    {
        $usual = $situation->usualPlace($subject);
        if ($usual === null || abs($worksheet->value - $usual) <= self::PLACE) {
            return [];
        }
        $figures = ['by' => Quantity::length(abs($worksheet->value - $usual)), 'usual' => Quantity::length($usual)];
        foreach ($worksheet->slips as $slip => $value) {
            if (abs($value - $usual) <= self::PLACE) {
                return [['It would be {by} off the usual place, {usual}; {slip} it would be {other}.', $figures + [
                    'slip' => $slip, 'other' => Quantity::length($value),
                ]]];
            }
        }

        return [['It would be {by} off the usual place, {usual}.', $figures]];
    }
}
