<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Median;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * A length offset against what is known of the tool's length besides: its measured length or, to a few millimetres, its holder
 * and stick-out. From the gauge line both are the same; touched off or by a master tool they differ by the same for every tool.
 */
final class LengthDisagrees extends MillCheck
{
    /** A measured length and a touched off one agree better than this, mm (common practice). */
    private const MEASURED = 0.2;

    /** Beyond this a measured length and its offset are not of the same tool, mm. */
    private const ANOTHER = 2.0;

    /** How well holder and stick-out give a length, mm (common practice). */
    private const ASSEMBLED = 3.0;

    public function name(): string
    {
        return 'offsets.length-disagrees';
    }

    public function why(): string
    {
        return 'Two ways to the same length have to agree. Where they do not, one figure was read, typed or remembered wrongly.';
    }

    public function examine(CheckInput $input): iterable
    {
        $school = $input->setup->tooling->lengthMethod;
        if ($school === null) {
            return;
        }
        foreach ([true, false] as $isMeasured) {
            $offsets = $this->offsets($input, $isMeasured);
            $apart = array_map(static fn (array $row): float => $row['offset'] - $row['length'], $offsets);
            // Of two that differ nobody can say which is wrong.
            $expected = $school === LengthMethod::GaugeLine ? 0.0 : (count($apart) < 3 ? null : Median::of($apart));
            foreach ($expected === null ? [] : $apart as $number => $by) {
                if (abs($by - $expected) > ($isMeasured ? self::MEASURED : self::ASSEMBLED)) {
                    yield $this->finding($number, $offsets[$number], $by - $expected, $isMeasured);
                }
            }
            if ($expected === null && count($apart) === 2) {
                yield from $this->pair($offsets, $apart, $isMeasured ? self::MEASURED : self::ASSEMBLED);
            }
        }
    }

    /** @param  array{line: int, tool: int, offset: float, length: float}  $row */
    private function finding(int $number, array $row, float $by, bool $isMeasured): Finding
    {
        return new Finding(
            $this->name(), $isMeasured && abs($by) > self::ANOTHER ? Severity::Stop : Severity::Caution, $row['line'], 1,
            $isMeasured
                ? 'H{number} is {by} off what its length says: T{tool} measures {length}.'
                : 'H{number} is {by} off what its length says: holder and stick-out of T{tool} come to {length}.',
            [
                'number' => $number, 'by' => Quantity::length(abs($by)), 'tool' => $row['tool'], 'length' => Quantity::length($row['length']),
                'expected' => Quantity::length($row['offset'] - $by),
            ],
            'By its length, H{number} is '.($isMeasured ? '' : 'about ').'{expected}. Touch T{tool} off again, or correct its length.',
            field: "offsets.H.{$number}",
        );
    }

    /**
     * @param  array<int, array{line: int, tool: int, offset: float, length: float}>  $offsets
     * @param  array<int, float>  $apart
     * @return iterable<Finding>
     */
    private function pair(array $offsets, array $apart, float $tolerance): iterable
    {
        [$one, $two] = array_keys($apart);
        $by = abs($apart[$one] - $apart[$two]);
        if ($by > $tolerance) {
            yield new Finding(
                $this->name(), Severity::Caution, $offsets[$two]['line'], 1,
                'H{one} and H{two} are {by} off each other, by the lengths of T{tool} and T{other}.',
                [
                    'one' => $one, 'two' => $two, 'by' => Quantity::length($by), 'tool' => $offsets[$one]['tool'], 'other' => $offsets[$two]['tool'],
                ],
                'Touch both off again, or correct their lengths.', field: "offsets.H.{$two}",
            );
        }
    }

    /**
     * Offsets in use whose tool has a length known besides.
     *
     * @return array<int, array{line: int, tool: int, offset: float, length: float}> by H number
     */
    private function offsets(CheckInput $input, bool $isMeasured): array
    {
        $tooling = $input->setup->tooling;
        $offsets = [];
        foreach ($input->trace->states as $state => $modes) {
            $number = $modes->length->number;
            $holding = ($tooling->tools[$modes->tool] ?? null)?->holding;
            $length = $isMeasured ? $holding?->length : ($holding?->length === null ? $holding?->assembledLength() : null);
            $line = $input->cuts->firstRow[$state] ?? null;
            // While the next tool is brought in, the offset of the last one is still active.
            $isOwn = $number === $modes->tool || isset($input->cuts->firstCut[$state]);
            if ($length !== null && $line !== null && $isOwn && isset($tooling->lengthOffsets[$number])) {
                $offsets[$number] ??= [
                    'line' => $input->wordAt($line, 'H')->line ?? $line, 'tool' => $modes->tool, 'offset' => $tooling->lengthOffsets[$number]->geometry,
                    'length' => $length,
                ];
            }
        }

        return $offsets;
    }
}
