<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;

/**
 * Operations made again at other places: turned about a point, in a line or a grid, mirrored, or at other work offsets. Each copy is reckoned from the first,
 * not from the last.
 */
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
            Ask::group('mirror', 'Mirrored', [Ask::choice('across', 'Left to right, or front to back', ['X', 'Y']), Ask::length('at', 'About')])
                ->when('rotate', ''),
            Ask::text('workOffsets', 'At other work offsets')->rare(),
            Ask::choice('written', 'Written', ['out', 'as a subprogram'])->cutting(isKept: false)->rare(),
        ];
    }

    /** @return list<string>|null where else it is made; null for where the first is */
    public static function workOffsets(Answers $answers): ?array
    {
        if (! $answers->has('workOffsets')) {
            return null;
        }
        $offsets = preg_split('/[\s,;]+/', strtoupper(trim($answers->text('workOffsets')))) ?: [];
        if (preg_grep('/^G5[4-9]$/', $offsets) !== $offsets) {
            $answers->wrong('workOffsets', 'Give work offsets such as G55 G56.');
        }

        return $offsets;
    }

    /** Whether the copies are calls of a subprogram. */
    public static function isCalled(Answers $answers, ControlProfile $control): bool
    {
        if ($answers->choice('written', ['out', 'as a subprogram']) === 'out') {
            return false;
        }
        $needs = [Code::CallSubprogram, Code::SubprogramEnd, $answers->has('rotate') ? Code::RotateOn : Code::LocalShift];
        if ($answers->has('mirror') || $answers->has('workOffsets')) {
            $answers->wrong('written', 'Copies that are mirrored or at other work offsets are written out.');
        } elseif (array_filter($needs, static fn (Code $code): bool => $control->codeOf($code) === null) !== []) {
            $answers->wrong('written', 'This control cannot shift or turn a subprogram.');
        }

        return true;
    }

    /** @return list<Placed> the further copies; the first itself where only the work offset is another */
    public static function copies(Answers $answers): array
    {
        $copies = [];
        $ways = array_filter(['rotate', 'grid', 'mirror'], $answers->has(...));
        if (count($ways) > 1 || $ways === [] && ! $answers->has('workOffsets')) {
            $answers->wrong('rotate', 'Say how it is repeated: turned, in a grid, mirrored, or at other work offsets.');
        }
        if ($ways === []) {
            return [Placed::shifted(0.0, 0.0)];
        }
        if ($answers->has('rotate')) {
            $rotate = $answers->group('rotate');
            $rotate->refuseOthers(['about', 'by', 'times']);
            $about = $rotate->point('about', [0.0, 0.0]);
            $times = $rotate->count('times', null, 1, self::MOST);
            $by = $rotate->has('by') ? $rotate->angle('by') : 360 / ($times + 1);
            for ($n = 1; $n <= $times; $n++) {
                $copies[] = Placed::turnedBy($about, $rotate->has('by') ? $n * $by : $n * 360 / ($times + 1));
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
        } elseif ($answers->has('mirror')) {
            $mirror = $answers->group('mirror');
            $mirror->refuseOthers(['across', 'at']);
            $copies[] = Placed::mirrored($mirror->choice('across', ['X', 'Y']) === 'X', $mirror->length('at', 0.0));
            $answers->gather($mirror);
        }

        return $copies;
    }
}
