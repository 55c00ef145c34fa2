<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Trace\MotionKind;

/**
 * Paths at feed, from one retract to the next, that a tool goes a second time: at every level, or, of a path long enough to be a
 * pocket, at the only one. One that follows upon itself is a spring pass, and a few moves at a single level may be meant.
 */
final class RepeatedPaths
{
    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    /** Moves from which a path is more than a way across. */
    private const LEAST = 3;

    /** Moves from which a path at a single level is a pocket that is cleared, and no outline that is gone round once more. */
    private const POCKET = 10;

    /** @var array<int, list<array{int, string, string, int}>> tool => its paths: first line, all places, lowest level, moves */
    private array $paths = [];

    private string $places = '';

    private int $moves = 0;

    private int $line = 0;

    private float $lowest = INF;

    private function __construct()
    {
    }

    /** @return array<int, list<array{int, int}>> tool => the first line of each path that is repeated, and the first line of where it was gone before */
    public static function of(CheckInput $input): array
    {
        $axes = $input->setup->machine->linearColumns();
        if ($axes === null || $input->trace->rows() > self::ROWS) {
            return [];
        }
        $read = new self;
        $tool = 0;
        $rotary = array_values(array_diff(array_keys($input->setup->machine->axisNames), $axes));
        foreach ($input->trace->chunks() as $chunk) {
            [$x, $y, $z] = array_map($chunk->axis(...), $axes);
            [$lines, $states] = [$chunk->lines(), $chunk->states()];
            $angles = array_map($chunk->axis(...), $rotary);
            [$atX, $atY] = [$chunk->before[$axes[0]], $chunk->before[$axes[1]]];
            foreach ($chunk->kinds() as $row => $kind) {
                if ($kind !== MotionKind::FEED && $kind !== MotionKind::ARC) {
                    $read->end($tool);
                } else {
                    $tool = $input->trace->states[$states[$row]]->tool;
                    $read->add(
                        $lines[$row], hypot($x[$row] - $atX, $y[$row] - $atY) > 1e-6, sprintf(
                            ' %.3F %.3F %.3F %s', $x[$row], $y[$row], $z[$row],
                            implode(' ', array_map(static fn (array $column): string => sprintf('%.3F', $column[$row]), $angles)),
                        ),
                        $z[$row],
                    );
                }
                [$atX, $atY] = [$x[$row], $y[$row]];
            }
        }
        $read->end($tool);

        return array_filter(array_map(self::repeated(...), $read->paths));
    }

    private function add(int $line, bool $isAcross, string $place, float $z): void
    {
        if ($this->places === '') {
            $this->line = $line;
        }
        $this->places .= $place;
        $this->moves += $isAcross ? 1 : 0;
        $this->lowest = min($this->lowest, $z);
    }

    private function end(int $tool): void
    {
        if ($this->moves >= self::LEAST) {
            $this->paths[$tool][] = [$this->line, md5($this->places), sprintf('%.3F', $this->lowest), $this->moves];
        }
        [$this->places, $this->moves, $this->lowest] = ['', 0, INF];
    }

    /**
     * @param  list<array{int, string, string, int}>  $paths
     * @return list<array{int, int}>
     */
    private static function repeated(array $paths): array
    {
        $seen = $found = $pockets = $levels = [];
        foreach ($paths as $number => [$line, $print, $level, $moves]) {
            if (isset($seen[$print]) && $seen[$print][0] < $number - 1) {
                $found[] = [$line, $seen[$print][1]];
                $levels[$level] = true;
                if ($moves >= self::POCKET) {
                    $pockets[] = [$line, $seen[$print][1]];
                }
            }
            $seen[$print] ??= [$number, $line];
        }

        return count($levels) > 1 ? $found : $pockets;
    }
}
