<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;

/** The letters that are ways along an axis, beside those that are places on it. */
final readonly class WayLetters
{
    /** Common practice. */
    private const WAYS = [AxisName::X => 'U', AxisName::Y => 'V', AxisName::Z => 'W', AxisName::C => 'H'];

    /** @var array<int, string> axis => letter of a way along it */
    public array $letters;

    /** @var list<string> letter of a place, by axis */
    private array $places;

    public function __construct(Machine $machine)
    {
        $letters = [];
        foreach ($machine->control->options->turning->incrementWords ? $machine->axisNames : [] as $axis => $name) {
            $letter = self::WAYS[$name] ?? '';
            if ($letter !== '' && ! isset($machine->axisIndex[$letter])) {
                $letters[$axis] = $letter;
            }
        }
        $this->letters = $letters;
        $this->places = $machine->axisNames;
    }

    /**
     * Whether words name an axis, by its place or a way along it.
     *
     * @param  array<string, float>  $words
     */
    public function names(array $words, int $axis): bool
    {
        return isset($words[$this->places[$axis]]) || isset($words[$this->letters[$axis] ?? '']);
    }

    /**
     * The way along an axis some words give, as written; null where they give none.
     *
     * @param  array<string, float>  $words
     */
    public function way(array $words, int $axis): ?float
    {
        return $words[$this->letters[$axis] ?? ''] ?? null;
    }
}
