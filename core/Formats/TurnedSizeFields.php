<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/** What a setup file says is wanted of a turned part, in millimetres. */
final readonly class TurnedSizeFields
{
    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit, private float $tolerance, private Stock $stock)
    {
    }

    /** @throws SetupFileError where it lies outside the stock, or ends before it begins */
    public function read(FileEntry $file, int $number): TurnedSize
    {
        $kind = TurnedKind::from($file->string('kind'));
        $diameter = $file->float('diameter') * $this->unit;
        if ($kind === TurnedKind::Face) {
            $from = $to = $wanted = $file->float('at') * $this->unit;
        } else {
            [$from, $to] = [$file->float('from') * $this->unit, $file->float('to') * $this->unit];
            [$from, $to, $wanted] = [min($from, $to), max($from, $to), $diameter];
        }
        if ($from < $this->stock->min[2] - 1e-6 || $to > $this->stock->max[2] + 1e-6 || $diameter > 2 * $this->stock->max[0] + 1e-6) {
            throw new SetupFileError(["target.turned.$number" => 'This size lies outside the stock.']);
        }
        [$lower, $upper] = match (true) {
            is_array($file->values['tolerance'] ?? null) => array_map(fn (float $value): float => $value * $this->unit, $file->floats('tolerance')),
            $file->has('tolerance') => [-$file->float('tolerance') * $this->unit, $file->float('tolerance') * $this->unit],
            default => [-$this->tolerance, $this->tolerance],
        };

        return new TurnedSize(
            $file->string('name', $kind->value.' '.($number + 1)), $kind, $from, $to, $diameter, $wanted, $wanted + $lower, $wanted + $upper,
            $file->maybeFloat('ra'),
        );
    }
}
