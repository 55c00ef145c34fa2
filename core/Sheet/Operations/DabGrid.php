<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Drawing\Role;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** Overlapping spots pressed into a face by a turning stick: a decorative finish. */
final class DabGrid implements Operation
{
    private const OVERLAP = 0.35;

    private const DWELL = 0.6;

    private const PRESS = 0.3;

    private const FEED = 400.0;

    private const MOST = 20_000;

    /** Spots in the small drawing. */
    private const DRAWN = 60;

    public function kind(): string
    {
        return 'dab-grid';
    }

    public function words(): string
    {
        return 'Spotted finish';
    }

    public function asks(): array
    {
        return [
            Ask::point('corner', 'Lower left corner'), Ask::length('width', 'Along X'), Ask::length('height', 'Along Y'),
            Ask::length('top', 'Height of the face'),
            Ask::share('overlap', 'Overlap, as a share of the stick')->cutting(), Ask::length('pitch', 'Distance of two spots')->cutting()->rare(),
            Ask::flag('stagger', 'Rows staggered')->cutting()->rare(), Ask::length('inset', 'From the edge')->cutting()->rare(),
            Ask::seconds('dwell', 'Dwell')->cutting(),
            Ask::length('pressDepth', 'Pressed in by')->cutting(), Ask::length('feed', 'Feed down')->cutting(),
            Ask::flag('serpentine', 'Rows there and back')->cutting()->rare(), Ask::count('dressEvery', 'Spots until the stick is dressed')->cutting()->rare(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $corner = $answers->point('corner', [0.0, 0.0]);
        $size = [$answers->size('width'), $answers->size('height')];
        $top = $answers->length('top', $job->usualTop);
        $stick = $job->tool->diameter();
        $press = $answers->size('pressDepth', self::PRESS);
        $stroke = $job->tool->springStroke;
        if ($stroke === null) {
            $answers->wrong('pressDepth', "T{$job->tool->tool->number} has no spring: it would be pressed in by the machine’s force. Give its springStroke.");
        } elseif ($press > $stroke + 1e-9) {
            $answers->wrong('pressDepth', "The spring gives {$answers->said($stroke)}, no more.");
        }
        if ($job->isByHand) {
            $answers->wrong('pressDepth', 'Z is moved by hand: nobody presses so many spots alike.');
        }
        $overlap = $answers->share('overlap', self::OVERLAP);
        $pitch = $answers->has('pitch') ? $answers->size('pitch') : $stick * (1 - $overlap);
        $isStaggered = $answers->flag('stagger');
        $inset = $answers->has('inset') ? $answers->length('inset') : null;
        [$columns, $x] = self::spaced($size[0], $pitch, $inset, $stick / 2);
        [$rows, $y] = self::spaced($size[1], $pitch, $inset, $stick / 2);
        if ($columns * $rows > self::MOST) {
            $answers->wrong('width', 'These are more than '.self::MOST.' spots.');
        }
        $this->checkTravel($answers, $job, $corner[1] + $y[0], $rows, $y[1]);
        $dress = $answers->count('dressEvery', 0, 0, self::MOST);
        [$feed, $dwell] = [$answers->size('feed', self::FEED), $answers->seconds('dwell', self::DWELL)];
        $isSerpentine = $answers->flag('serpentine');
        $answers->settle();
        $job->decide(new Choice('pitch', '{columns} × {rows} spots, {x} and {y} apart; {bare} % stay bare', [
            'columns' => $columns, 'rows' => $rows, 'x' => Quantity::length($x[1]), 'y' => Quantity::length($y[1]),
            'bare' => sprintf('%.2F', 100 * self::bare(max($x[1], $y[1]), $stick / 2)),
        ]));
        $path = new Path;
        $path->rapid($corner[0] + $x[0], $corner[1] + $y[0])->rapid(z: $top + $job->clearance);
        $made = 0;
        for ($row = 0; $row < $rows; $row++) {
            $isBack = $isSerpentine && $row % 2 === 1;
            for ($n = 0; $n < $columns; $n++) {
                $shift = $isStaggered && $row % 2 === 1 ? $x[1] / 2 : 0.0;
                $column = $isBack ? $columns - 1 - $n : $n;
                if ($shift > 0.0 && $column === $columns - 1) {
                    continue; // a staggered row has one spot less
                }
                $path->rapid($corner[0] + $x[0] + $column * $x[1] + $shift, $corner[1] + $y[0] + $row * $y[1]);
                $path->feed($feed, z: $top - $press)->add(new Move(MoveKind::Dwell, seconds: $dwell))->rapid(z: $top + $job->clearance);
                if ($dress > 0 && ++$made % $dress === 0) {
                    $path->add(Move::stop('DRESS THE STICK'));
                }
            }
        }

        return $path;
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        if (! $answers->has('width') || ! $answers->has('height')) {
            return $figure;
        }
        [$x, $y] = $answers->point('corner', [0.0, 0.0]);
        [$width, $height] = [$answers->size('width'), $answers->size('height')];
        $radius = $job->tool->radius();
        $pitch = $answers->has('pitch') ? $answers->size('pitch') : 2 * $radius * (1 - $answers->share('overlap', self::OVERLAP));
        [$columns, [$inset, $apart]] = self::spaced($width, max($pitch, 0.1), $answers->has('inset') ? $answers->length('inset') : null, $radius);
        // The first row tells how they lie.
        for ($n = 0; $n < min($columns, self::DRAWN); $n++) {
            $figure->circle('overlap', $x + $inset + $n * $apart, $y + $inset, $radius, Role::Helper);
        }

        return $figure->box('corner', $x, $y, $x + $width, $y + $height)->size('width', [$x, $y], [$x + $width, $y], $answers->drawn($width))
            ->size('height', [$x, $y], [$x, $y + $height], $answers->drawn($height));
    }

    /** Rows the travel of the machine does not hold are made in a second clamping. */
    private function checkTravel(Answers $answers, Job $job, float $first, int $rows, float $pitch): void
    {
        $short = $job->travel === null ? 0.0 : $first + ($rows - 1) * $pitch - $job->travel->y[1];
        if ($short <= 1e-6 || $pitch <= 0.0) {
            return;
        }
        $held = max(0, $rows - (int) ceil($short / $pitch - 1e-9));
        $answers->wrong('height', sprintf(
            'Y holds %d of %d rows: the last one is %s short. Make %d rows here, and clamp again %d rows on, %s, for the rest.', $held, $rows,
            $answers->said($short), $held, $held, $answers->said($held * $pitch),
        ));
    }

    /**
     * Spots along a length: the first from the edge, how far they are apart, evened. Without an inset the outer spots just reach
     * the corners of their cells.
     *
     * @param  float|null  $inset  of the first spot from the edge; null so that nothing bare is left there
     * @return array{int, array{float, float}} how many, and inset and pitch
     */
    public static function spaced(float $length, float $pitch, ?float $inset, float $radius): array
    {
        $at = $inset ?? sqrt(max(0.0, $radius ** 2 - ($pitch / 2) ** 2));
        $count = 1;
        $even = $pitch;
        // The inset follows from the pitch and the pitch from the inset; they settle quickly.
        for ($n = 0; $n < 50; $n++) {
            $rest = max(0.0, $length - 2 * $at);
            $count = (int) ceil($rest / $pitch - 1e-9) + 1;
            $even = $count > 1 ? $rest / ($count - 1) : 0.0;
            $next = $inset ?? sqrt(max(0.0, $radius ** 2 - ($even / 2) ** 2));
            if (abs($next - $at) < 1e-9) {
                break;
            }
            $at = $next;
        }

        return [$count, [$count > 1 ? $at : $length / 2, $even]];
    }

    /** Share of a face that spots in a square grid leave bare (geometry): a cell less the circle in it, whose segments overlap the neighbours. */
    public static function bare(float $pitch, float $radius): float
    {
        if ($pitch <= $radius * M_SQRT2) {
            return 0.0;
        }
        $half = $pitch / 2;
        $segment = $half >= $radius ? 0.0 : $radius ** 2 * acos($half / $radius) - $half * sqrt($radius ** 2 - $half ** 2);

        return max(0.0, 1 - (M_PI * $radius ** 2 - 4 * $segment) / $pitch ** 2);
    }
}
