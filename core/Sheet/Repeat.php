<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** Operations made again at other places: turned about a point, or in a line or a grid. Each copy is reckoned from the first, not from the last. */
final class Repeat
{
    public const KIND = 'repeat';

    private const MOST = 500;

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [
            Ask::operations('operations', 'Which operations'),
            Ask::group('rotate', 'Turned', [Ask::point('about', 'About'), Ask::count('times', 'More copies'), Ask::angle('by', 'By')])->when('grid', ''),
            Ask::group('grid', 'In a grid', [
                Ask::count('columns', 'Columns'), Ask::length('pitch', 'Apart along X'), Ask::count('rows', 'Rows'), Ask::length('rowPitch', 'Apart along Y'),
            ])->when('rotate', ''),
        ];
    }

    /** @return list<Placed> the further copies */
    public static function copies(Answers $answers): array
    {
        $copies = [];
        if ($answers->has('rotate') === $answers->has('grid')) {
            $answers->wrong('rotate', 'Say how it is repeated: turned, or in a grid.');
        }
        if ($answers->has('rotate')) {
            $rotate = $answers->group('rotate');
            $rotate->refuseOthers(['about', 'by', 'times']);
            $about = $rotate->point('about', [0.0, 0.0]);
            $times = $rotate->count('times', null, 1, self::MOST);
            $by = $rotate->has('by') ? $rotate->angle('by') : 360 / ($times + 1);
            for ($n = 1; $n <= $times; $n++) {
                $copies[] = Placed::turned($about, $rotate->has('by') ? $n * $by : $n * 360 / ($times + 1));
            }
            $answers->gather($rotate);
        } elseif ($answers->has('grid')) {
            $grid = $answers->group('grid');
            $grid->refuseOthers(['columns', 'rows', 'pitch', 'rowPitch']);
            [$columns, $rows] = [$grid->count('columns', 1, 1, self::MOST), $grid->count('rows', 1, 1, self::MOST)];
            [$pitch, $rowPitch] = [$columns > 1 ? $grid->length('pitch') : 0.0, $rows > 1 ? $grid->length('rowPitch') : 0.0];
            for ($n = 1; $n < min(self::MOST, $columns * $rows); $n++) {
                $copies[] = Placed::shifted($n % $columns * $pitch, intdiv($n, $columns) * $rowPitch);
            }
            $answers->gather($grid);
        }

        return $copies;
    }
}
