<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Drawing\Role;

/** Places of holes as a drawing gives them: one, a list, a line, a grid, a frame, a circle. Millimetres and degrees, counter-clockwise from three o'clock. */
final class Patterns
{
    private const KINDS = ['list', 'single', 'line', 'grid', 'frame', 'circle'];

    private const MOST = 5000;

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [
            Ask::choice('kind', 'Pattern', self::KINDS), Ask::points('places', 'Places')->when('kind', 'list'),
            Ask::point('place', 'Place')->when('kind', 'single'),
            Ask::point('centre', 'Centre')->when('kind', 'circle'), Ask::size('size', 'Circle')->when('kind', 'circle'),
            Ask::point('from', 'First hole')->when('kind', 'line', 'grid', 'frame'),
            Ask::count('holes', 'Holes')->when('kind', 'line', 'circle'), Ask::point('to', 'Last hole')->when('kind', 'line'),
            Ask::count('columns', 'Columns')->when('kind', 'grid', 'frame'), Ask::length('pitch', 'Apart')->when('kind', 'line', 'grid', 'frame'),
            Ask::count('rows', 'Rows')->when('kind', 'grid', 'frame'), Ask::length('rowPitch', 'Rows apart')->when('kind', 'grid', 'frame'),
            Ask::angle('angle', 'Angle')->when('kind', 'line', 'grid', 'frame'), Ask::angle('first', 'First hole at')->when('kind', 'circle'),
            Ask::point('firstAt', 'or its place')->when('kind', 'circle')->rare(),
            Ask::count('inFullCircle', 'Holes in a full circle')->when('kind', 'circle')->rare(),
            Ask::flag('clockwise', 'Clockwise')->when('kind', 'circle')->rare(), Ask::numbers('skip', 'Left out'),
        ];
    }

    /** @return array<int, array{float, float}> number of the hole on the drawing, from 1 => X, Y; those left out are not there */
    public static function places(Answers $at): array
    {
        $kind = $at->choice('kind', self::KINDS);
        $fields = match ($kind) {
            'single' => ['place'],
            'line' => ['from', 'to', 'angle', 'pitch', 'holes'],
            'grid' => ['from', 'columns', 'rows', 'pitch', 'rowPitch', 'angle'],
            'frame' => ['from', 'columns', 'rows', 'pitch', 'rowPitch', 'angle'],
            'circle' => ['centre', 'size', 'holes', 'inFullCircle', 'first', 'firstAt', 'clockwise'],
            default => ['places'],
        };
        $at->refuseOthers(['kind', 'skip', ...$fields]);
        $places = match ($kind) {
            'single' => [$at->point('place')],
            'line' => self::line($at),
            'grid' => self::grid($at, false),
            'frame' => self::grid($at, true),
            'circle' => self::circle($at),
            default => $at->points('places'),
        };
        $numbered = array_combine(range(1, count($places)), array_values($places));
        foreach ($at->numbers('skip') as $number) {
            if (! isset($numbered[$number])) {
                $at->wrong('skip', "There is no hole {$number}: there are ".count($places).'.');
            }
            unset($numbered[$number]);
        }
        if ($numbered === []) {
            $at->wrong('skip', 'No hole is left.');
        }

        return $numbered;
    }

    /**
     * What the places are measured by, on a small drawing.
     *
     * @param  array<int, array{float, float}>  $places
     */
    public static function draw(Figure $figure, Answers $at, array $places): void
    {
        $first = reset($places);
        if ($at->choice('kind', self::KINDS) === 'circle') {
            [$x, $y] = $at->point('centre', [0.0, 0.0]);
            $size = $at->across('size');
            $full = $at->count('inFullCircle', $at->count('holes', 1));
            $chord = $full < 2 ? '' : ', chord '.$at->drawn($size->nominal * sin(M_PI / $full));
            $leftOut = count($at->numbers('skip'));
            $figure->circle('at.size', $x, $y, $size->nominal / 2, Role::Helper)
                ->size('at.size', [$x, $y], [$x, $y - $size->nominal / 2])
                ->label('at.size', $x, $y, $at->drawnSize($size).$chord.($leftOut === 0 ? '' : ", {$leftOut} left out"));
        } elseif ($first !== false && isset($places[1], $places[2])) {
            $apart = hypot($places[2][0] - $places[1][0], $places[2][1] - $places[1][1]);
            $figure->size('at.pitch', $places[1], $places[2], $at->drawn($apart));
        }
    }

    /** @return list<array{float, float}> */
    private static function circle(Answers $at): array
    {
        [$cx, $cy] = $at->point('centre', [0.0, 0.0]);
        $radius = $at->across('size')->nominal / 2;
        $holes = $at->count('holes', null, 1, self::MOST);
        $full = $at->count('inFullCircle', $holes, 1, self::MOST);
        if ($holes > $full) {
            $at->wrong('holes', "A full circle has {$full}.");
        }
        if ($at->has('first') && $at->has('firstAt')) {
            $at->wrong('firstAt', 'Give the angle of the first hole or its place, not both.');
        }
        $first = deg2rad($at->angle('first'));
        if ($at->has('firstAt')) {
            [$fx, $fy] = $at->point('firstAt');
            if (hypot($fx - $cx, $fy - $cy) < 1e-9) {
                $at->wrong('firstAt', 'The first hole is at the centre.');
            }
            $first = atan2($fy - $cy, $fx - $cx);
        }
        $sense = $at->flag('clockwise') ? -1 : 1;
        $places = [];
        for ($n = 0; $n < max(1, $holes); $n++) {
            $angle = $first + $sense * $n * 2 * M_PI / $full;
            $places[] = [$cx + $radius * cos($angle), $cy + $radius * sin($angle)];
        }

        return $places;
    }

    /** @return list<array{float, float}> */
    private static function line(Answers $at): array
    {
        [$x, $y] = $at->point('from');
        $holes = $at->count('holes', null, 2, self::MOST);
        if ($at->has('to')) {
            if ($at->has('pitch') || $at->has('angle')) {
                $at->wrong('to', 'Give the end, or the pitch and the angle, not both.');
            }
            [$tx, $ty] = $at->point('to', null, [$x, $y]);
            $by = [($tx - $x) / ($holes - 1), ($ty - $y) / ($holes - 1)];
        } else {
            $pitch = $at->size('pitch');
            $by = [$pitch * cos(deg2rad($at->angle('angle'))), $pitch * sin(deg2rad($at->angle('angle')))];
        }
        $places = [];
        for ($n = 0; $n < $holes; $n++) {
            $places[] = [$x + $n * $by[0], $y + $n * $by[1]];
        }

        return $places;
    }

    /**
     * A grid there and back, so that the way between holes is short; or the holes on its edge alone, round once.
     *
     * @return non-empty-list<array{float, float}>
     */
    private static function grid(Answers $at, bool $isFrame): array
    {
        [$x, $y] = $at->point('from');
        [$columns, $rows] = [$at->count('columns', null, $isFrame ? 2 : 1, 500), $at->count('rows', null, $isFrame ? 2 : 1, 500)];
        $pitch = $columns > 1 ? $at->size('pitch') : 0.0;
        $rowPitch = $rows > 1 ? $at->size('rowPitch', $pitch > 0.0 ? $pitch : null) : 0.0;
        if ($columns * $rows > self::MOST) {
            $at->wrong('rows', 'These are more than '.self::MOST.' holes.');
            [$columns, $rows] = [1, 1];
        }
        [$c, $s] = [cos(deg2rad($at->angle('angle'))), sin(deg2rad($at->angle('angle')))];
        $cells = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($n = 0; $n < $columns; $n++) {
                $cells[] = [$row % 2 === 0 ? $n : $columns - 1 - $n, $row];
            }
        }
        if ($isFrame) {
            $cells = [
                ...array_map(static fn (int $n): array => [$n, 0], range(0, $columns - 1)),
                ...array_map(static fn (int $row): array => [$columns - 1, $row], range(1, $rows - 1)),
                ...array_map(static fn (int $n): array => [$n, $rows - 1], range($columns - 2, 0)),
                ...($rows > 2 ? array_map(static fn (int $row): array => [0, $row], range($rows - 2, 1)) : []),
            ];
        }

        /** @var non-empty-list<array{int, int}> $cells */
        return array_map(static fn (array $cell): array => [
            $x + $cell[0] * $pitch * $c - $cell[1] * $rowPitch * $s, $y + $cell[0] * $pitch * $s + $cell[1] * $rowPitch * $c,
        ], $cells);
    }
}
