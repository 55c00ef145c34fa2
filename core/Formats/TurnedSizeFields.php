<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Target\CornerShape;
use OakTrace\Core\Target\GrooveShape;
use OakTrace\Core\Target\LengthShape;
use OakTrace\Core\Target\ProfileShape;
use OakTrace\Core\Target\SizeShape;
use OakTrace\Core\Target\ThreadShape;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/** What a setup file says is wanted of a turned part, in millimetres: an entry is one size, or those a groove or a thread has. */
final readonly class TurnedSizeFields
{
    /** Depth of an outside thread in pitches where the drawing does not say (ISO 68-1, from memory); in a bore its root is the major diameter. */
    private const DEPTH = 0.6134;

    /** What the root of a thread may be off where nobody says, pitches (common practice). */
    private const ROOT = 0.1;

    /** What a pitch may be off, mm: the rounding of a figure. */
    private const PITCH = 0.001;

    /** How far short of its end a thread may be, and how far past it, pitches (common practice). */
    private const SHORT = 0.5;

    private const PAST = 3.0;

    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit, private float $tolerance, private Stock $stock)
    {
    }

    /**
     * @return non-empty-list<TurnedSize>
     *
     * @throws SetupFileError where it lies outside the stock, or its points go back along Z
     */
    public function read(FileEntry $file, int $number): array
    {
        $field = "target.turned.$number";
        $kind = $file->string('kind');
        $name = $file->string('name', $kind.' '.($number + 1));
        [$from, $to] = $this->reach($file);
        $diameter = $file->float('diameter', 0.0) * $this->unit;
        $isBore = $kind === 'bore' || $file->string('side', 'outside') === 'bore';
        if ($from < $this->stock->around->low->z - 1e-6 || $to > $this->stock->around->high->z + 1e-6 || $diameter > 2 * $this->stock->around->high->x + 1e-6) {
            throw new SetupFileError([$field => 'This size lies outside the stock.']);
        }
        $size = fn (string $name, TurnedKind $kind, float $wanted, array $deviation, int $grows, ?SizeShape $shape = null): TurnedSize => new TurnedSize(
            $name, $kind, $from, $to, $diameter, $wanted, $wanted + $deviation[0], $wanted + $deviation[1], $file->maybeFloat('ra'), $grows, $shape,
        );
        $deviation = $this->deviation($file, 'tolerance', $this->tolerance);
        $across = $isBore ? TurnedKind::Bore : TurnedKind::Diameter;

        return match ($kind) {
            'face' => [$size($name, TurnedKind::Face, $from, $deviation, -1)],
            'length' => [
                $size(
                    $name, TurnedKind::Length, $to - $from, $deviation, -1,
                    new LengthShape($file->has('toDiameter') ? $file->float('toDiameter') * $this->unit : $diameter),
                ),
            ],
            'groove' => [
                $size("{$name}, bottom", $across, $diameter, $deviation, $isBore ? 1 : -1),
                $size(
                    "{$name}, width", TurnedKind::Width, $to - $from, $this->deviation($file, 'widthTolerance', $this->tolerance), 1,
                    new GrooveShape($isBore),
                ),
            ],
            'corner' => [$this->corner($size, $file, $name, $isBore, $deviation)],
            'thread' => $this->thread($size, $file, $name, $diameter, $isBore, $from),
            'profile' => [$size($name, TurnedKind::Profile, 0.0, $deviation, -1, new ProfileShape($isBore, $this->points($file, $field)))],
            default => [$size($name, $across, $diameter, $deviation, $isBore ? 1 : -1)],
        };
    }

    /** @return array{float, float} along Z */
    private function reach(FileEntry $file): array
    {
        if ($file->has('points')) {
            $places = array_map(fn (FileEntry $point): float => $point->float('0') * $this->unit, array_values($file->entries('points')));

            return [min($places ?: [0.0]), max($places ?: [0.0])];
        }
        [$from, $to] = $file->has('at') ? [$file->float('at'), $file->float('at')] : [$file->float('from', 0.0), $file->float('to', 0.0)];

        return [min($from, $to) * $this->unit, max($from, $to) * $this->unit];
    }

    /**
     * @param  callable(string, TurnedKind, float, array{float, float}, int, CornerShape): TurnedSize  $size
     * @param  array{float, float}  $deviation
     */
    private function corner(callable $size, FileEntry $file, string $name, bool $isBore, array $deviation): TurnedSize
    {
        $isRound = $file->has('radius');
        $shape = new CornerShape($isBore, $file->string('towards', 'plus') === 'minus' ? -1 : 1, $file->bool('hollow'));

        return $size(
            $name, $isRound ? TurnedKind::Round : TurnedKind::Chamfer, $file->float($isRound ? 'radius' : 'chamfer', 0.0) * $this->unit, $deviation,
            $shape->isHollow ? -1 : 1, $shape,
        );
    }

    /**
     * @param  callable(string, TurnedKind, float, array{float, float}, int, ThreadShape): TurnedSize  $size
     * @return non-empty-list<TurnedSize>
     */
    private function thread(callable $size, FileEntry $file, string $name, float $diameter, bool $isBore, float $from): array
    {
        $pitch = $file->float('pitch', 1.0) * $this->unit;
        $depth = $file->has('depth') ? $file->float('depth') * $this->unit : self::DEPTH * $pitch;
        $shape = new ThreadShape($isBore, (int) $file->float('starts', 1.0));

        return [
            $size(
                "{$name}, root", TurnedKind::ThreadRoot, $isBore ? $diameter : $diameter - 2 * $depth,
                $this->deviation($file, 'tolerance', self::ROOT * $pitch), $isBore ? 1 : -1, $shape,
            ),
            $size("{$name}, pitch", TurnedKind::ThreadPitch, $pitch, [-self::PITCH, self::PITCH], 0, $shape),
            $size("{$name}, end", TurnedKind::ThreadEnd, $from, [-self::PAST * $pitch, self::SHORT * $pitch], -1, $shape),
        ];
    }

    /**
     * @return non-empty-list<array{float, float}> Z and radius, from minus to plus
     *
     * @throws SetupFileError
     */
    private function points(FileEntry $file, string $field): array
    {
        $points = (new ProfilePoints($this->unit))->read($file, 'points', $field);
        $points = $points !== [] && $points[0][0] > $points[count($points) - 1][0] ? array_reverse($points) : $points;
        foreach ($points as $n => [$z, $across]) {
            if ($z < ($points[$n - 1][0] ?? -INF) - 1e-9 || $across < 0.0) {
                throw SetupFileError::at("$field.points", 'Give its points along Z, each with a diameter: Z%s Ø%s is none such.', $z, $across);
            }
        }

        return array_map(fn (array $point): array => [$point[0] * $this->unit, $point[1] / 2 * $this->unit], $points ?: [[0.0, 0.0]]);
    }

    /**
     * @param  float  $usual  plus and minus, mm
     * @return array{float, float} lower and upper, mm
     */
    private function deviation(FileEntry $file, string $name, float $usual): array
    {
        if (is_array($file->values[$name] ?? null)) {
            [$lower, $upper] = $file->floats($name);

            return [$lower * $this->unit, $upper * $this->unit];
        }
        $both = $file->has($name) ? $file->float($name) * $this->unit : $usual;

        return [-$both, $both];
    }
}
