<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Setup\Obstacle;

/** The obstacles of a setup file, and those of its machine. */
final readonly class ObstacleFields
{
    /** @param  list<string>  $centers  rotary axes with a centre, which something can turn with */
    public function __construct(private float $unit, private array $centers)
    {
    }

    /**
     * @param  array<array-key, FileEntry>  $entries
     * @param  string  $field  they are in
     * @param  string  $usual  work offset of one that names none
     * @return list<Obstacle>
     *
     * @throws SetupFileError naming the field that is wrong
     */
    public function read(array $entries, string $field, string $usual, bool $isOfMachine = false): array
    {
        $obstacles = [];
        foreach (array_values($entries) as $i => $entry) {
            $box = $this->extent($entry, "{$field}.{$i}");
            $turnsWith = $entry->maybeString('turnsWith');
            if ($turnsWith !== null && ! in_array($turnsWith, $this->centers, true)) {
                throw new SetupFileError(["{$field}.{$i}.turnsWith" => "Where does {$turnsWith} turn? Give its rotary centre first."]);
            }
            $obstacles[] = new Obstacle(
                $entry->string('name', ($isOfMachine ? 'machine obstacle ' : 'obstacle ').($i + 1)),
                $isOfMachine ? Obstacle::MACHINE : $entry->string('workOffset', $usual),
                $box->times($this->unit), $turnsWith, $entry->float('angle', 0.0), $entry->string('shape') === 'cylinder', $isOfMachine,
            );
        }

        return $obstacles;
    }

    /**
     * @param  list<Obstacle>  $obstacles
     * @return list<array<string, mixed>> those of the machine, or the others
     */
    public function write(array $obstacles, bool $ofMachine): array
    {
        $rows = [];
        foreach ($obstacles as $obstacle) {
            if ($obstacle->isOfMachine === $ofMachine) {
                $rows[] = array_filter(
                    ['name' => $obstacle->name] + $this->shape($obstacle) + [
                        'workOffset' => $ofMachine ? null : $obstacle->workOffset, 'turnsWith' => $obstacle->turnsWith,
                    ],
                    static fn (mixed $value): bool => $value !== null,
                );
            }
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private function shape(Obstacle $obstacle): array
    {
        $written = fn (float $value): float => round($value / $this->unit, 9) + 0.0;
        [$low, $high] = [array_map($written, $obstacle->box->low->each()), array_map($written, $obstacle->box->high->each())];
        [$x, $y] = $obstacle->middle();

        return $obstacle->isRound ? [
            'shape' => 'cylinder', 'at' => [$written($x), $written($y)], 'diameter' => $written($obstacle->box->size(0)),
            'bottom' => $low[2], 'top' => $high[2],
        ] : ['shape' => 'box', 'min' => $low, 'max' => $high] + ($obstacle->angle === 0.0 ? [] : ['angle' => $obstacle->angle]);
    }

    private function extent(FileEntry $entry, string $field): Box
    {
        if ($entry->string('shape') === 'cylinder') {
            [$x, $y, $radius] = [$entry->entry('at')->float('0'), $entry->entry('at')->float('1'), $entry->float('diameter') / 2];
            [$bottom, $top] = [$entry->float('bottom'), $entry->float('top')];
            if ($bottom >= $top) {
                throw SetupFileError::at("{$field}.top", 'The obstacle ends (%s) below where it begins (%s).', $top, $bottom);
            }

            return Box::of([$x - $radius, $y - $radius, $bottom], [$x + $radius, $y + $radius, $top]);
        }
        [$min, $max] = [$entry->place('min'), $entry->place('max')];
        foreach (AxisName::LINEAR as $n => $axis) {
            if ($min[$n] >= $max[$n]) {
                throw SetupFileError::at("{$field}.max.$n", 'The obstacle ends in %s (%s) before it begins (%s).', $axis, $max[$n], $min[$n]);
            }
        }

        return Box::of($min, $max);
    }
}
