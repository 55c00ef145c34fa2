<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text\Path;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Transform\Text\Scope;
use OakTrace\Core\Transform\Text\TransformProblem;
use OakTrace\Core\Transform\Text\WordNumber;

/**
 * Takes the path of some lines elsewhere by changing its words, and sees to it that the lines behind them go where they
 * went before. What cannot be changed with certainty is refused with its line.
 */
final class PathLines
{
    /** Where a place stands for something else than a point of this path. */
    private const ELSEWHERE = [Code::MachineCoordinates, Code::Reference, Code::SecondReference, Code::LocalShift, Code::SetPosition, Code::SetOffsets];

    private const CALLS = [Code::CallMacro, Code::CallAfterMoves, Code::CallSubprogram, Code::CallBlocks];

    private const POCKETS = [Code::PocketClockwise, Code::PocketCounterClockwise];

    /** A mirror image is cut the other way about, and lies on the other side. */
    private const MIRRORED = [
        'arc-clockwise' => Code::ArcCounterClockwise, 'arc-counter-clockwise' => Code::ArcClockwise,
        'cutter-left' => Code::CutterRight, 'cutter-right' => Code::CutterLeft,
    ];

    private readonly PathModes $modes;

    /** What the program writes between two words. */
    private readonly string $gap;

    /** @var list<Edit> */
    private array $edits = [];

    /** Whether the selection has said itself which way its arcs turn. */
    private bool $turnStated = false;

    private bool $wasInside = false;

    /** @var array<string, true> axes that stand elsewhere at the end of the selection, until they are stated again */
    private array $open = [];

    private function __construct(private readonly Scope $scope, private readonly PlaneMap $map)
    {
        $this->modes = new PathModes;
        $this->gap = preg_match('/[\d.][ \t]+[A-Z]/i', $scope->program->text) === 1 ? ' ' : '';
    }

    /**
     * @return list<Edit>
     *
     * @throws TransformProblem
     */
    public static function edits(Scope $scope, PlaneMap $map): array
    {
        if ($scope->control->isOfLathe() && ! $map->isShift()) {
            throw new TransformProblem('A turned part cannot be turned, mirrored or scaled by its words; only shifted.');
        }
        $lines = new self($scope, $map);
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $lines->take($line, $scope->program->line($line));
        }

        return $lines->edits;
    }

    private function take(int $line, string $text): void
    {
        $inside = $this->scope->holds($line);
        $codes = array_column($this->scope->control->codesIn($text), 'code');
        if ($inside && strpbrk(LineWords::bare($text), '#[=') !== false) {
            throw new TransformProblem("Line {$line} uses variables; where it goes cannot be told from its text.");
        }
        $words = [];
        foreach (LineWords::of($text) as $word) {
            $words[$word['letter']] = $word;
        }
        $numbers = array_map(static fn (array $word): float => (float) $word['number'], $words);
        $hadMotion = $this->modes->motion;
        $this->refuseHalfCompensated($line, $inside, $words !== []);
        $this->modes->take($codes);
        if ($inside) {
            $this->change($line, $text, $words, $codes, $hadMotion);
        } elseif ($this->open !== []) {
            $this->close($line, $words, $codes);
        }
        $this->modes->move($numbers, $codes);
    }

    /**
     * @param  array<string, array{letter: string, number: string, at: int}>  $words
     * @param  list<Code>  $codes
     */
    private function change(int $line, string $text, array $words, array $codes, ?Code $hadMotion): void
    {
        $this->refuse($line, $words, $codes);
        if ($this->map->isMirror()) {
            $this->mirrorCodes($line, $text, $words, $codes, $hadMotion);
        }
        $isElsewhere = array_intersect(array_column($codes, 'value'), array_column(self::ELSEWHERE, 'value')) !== [];
        if ($isElsewhere || in_array(Code::Dwell, $codes, true)) {
            return;
        }
        foreach ($words as $word) {
            if (str_contains('XYZIJR', $word['letter'])) {
                $this->scope->refuseIncrements($line, $word);
            }
        }
        if (isset($words[AxisName::X]) || isset($words[AxisName::Y])) {
            $this->changePlace($line, $words);
        }
        if ($this->modes->isArc()) {
            $this->changeArc($line, $words);
        }
        foreach ($this->map->growth() === 1.0 ? [] : array_intersect_key($words, [',C' => 0, ',R' => 0]) as $corner) {
            $this->write($line, $corner, (float) $corner['number'] * $this->map->growth());
        }
        if ($this->map->z0 !== 0.0 && $this->modes->isAbsolute) {
            foreach ($this->modes->isCycle ? [AxisName::Z, 'R'] : [AxisName::Z] as $letter) {
                if (isset($words[$letter])) {
                    $this->write($line, $words[$letter], (float) $words[$letter]['number'] + $this->map->z0);
                }
            }
            $this->open[AxisName::Z] = true;
        }
        $this->open += [AxisName::X => true] + ($this->scope->control->isOfLathe() ? [] : [AxisName::Y => true]);
    }

    /**
     * @param  array<string, array{letter: string, number: string, at: int}>  $words
     * @param  list<Code>  $codes
     */
    private function refuse(int $line, array $words, array $codes): void
    {
        foreach ($codes as $code) {
            if (in_array($code, self::CALLS, true)) {
                throw new TransformProblem("Line {$line} calls another program ({$code->words()}), whose lines are not selected.");
            }
            if (in_array($code, self::ELSEWHERE, true) && (isset($words[AxisName::X]) || isset($words[AxisName::Y]))) {
                throw new TransformProblem("Line {$line} gives points that are not on this path ({$code->words()}); leave it out.");
            }
            if (in_array($code, self::POCKETS, true) && ! $this->map->isShift()) {
                throw new TransformProblem("Line {$line} is a pocket in one block ({$code->words()}), which can be shifted only.");
            }
        }
        if ($this->modes->frame !== null) {
            throw new TransformProblem("Line {$line} stands under a change of the path by the program itself ({$this->modes->frame->words()}).");
        }
        $isInPlane = $this->modes->plane === Code::PlaneXY || array_intersect(
            [AxisName::X, AxisName::Y, AxisName::Z, 'I', 'J', 'K', 'R'], array_keys($words),
        ) === [];
        if (! $isInPlane && $this->modes->isArc() && (! $this->map->isShift() || $this->modes->centerIsAbsolute)) {
            throw new TransformProblem("Line {$line} is an arc in another plane than X Y, which can be shifted only, and only with its centre given as a way.");
        }
        if (! $isInPlane && $this->modes->isCycle) {
            throw new TransformProblem("Line {$line} is a cycle in another plane than X Y; move it by hand.");
        }
    }

    /** A mirror image has its tool on the other side, so compensation must begin and end within it. */
    private function refuseHalfCompensated(int $line, bool $inside, bool $hasWords): void
    {
        if ($this->map->isMirror() && $this->modes->isCompensated && $hasWords && $inside !== $this->wasInside) {
            throw new TransformProblem(
                "Line {$line} continues cutter compensation, which would be on the wrong side. Select all of it, from where it starts to "
                    .'where it is cancelled.',
            );
        }
        $this->wasInside = $inside;
    }

    /**
     * @param  array<string, array{letter: string, number: string, at: int}>  $words
     * @param  list<Code>  $codes
     */
    private function mirrorCodes(int $line, string $text, array $words, array $codes, ?Code $hadMotion): void
    {
        foreach ($this->scope->control->codesIn($text) as ['code' => $code, 'at' => $at, 'length' => $length]) {
            $other = self::MIRRORED[$code->value] ?? null;
            if ($other !== null) {
                $this->edits[] = new Edit($line, $at + 1, $length, $this->codeOf($other), 'Mirror');
                $this->turnStated = $this->turnStated || $this->modes->motion === $code;
            }
        }
        // An arc that goes on from before the selection is told its new way.
        if (
            ! $this->turnStated && $this->modes->isArc() && $this->modes->motion === $hadMotion
            && (isset($words[AxisName::X]) || isset($words[AxisName::Y]) || isset($words['I']) || isset($words['J']))
        ) {
            $this->edits[] = new Edit(
                $line, strlen(LineWords::head($text)) + 1, 0, $this->codeOf(self::MIRRORED[$this->modes->motion->value ?? ''] ?? Code::Feed).' ',
                'Mirror',
            );
            $this->turnStated = true;
        }
    }

    /** @param  array<string, array{letter: string, number: string, at: int}>  $words */
    private function changePlace(int $line, array $words): void
    {
        $given = static fn (string $letter): ?float => isset($words[$letter]) ? (float) $words[$letter]['number'] : null;
        if (! $this->modes->isAbsolute) {
            $this->writePair($line, $words, AxisName::X, AxisName::Y, $this->map->way($given(AxisName::X) ?? 0.0, $given(AxisName::Y) ?? 0.0));

            return;
        }
        if ($this->map->isByAxis()) {
            [$x, $y] = $this->map->point($given(AxisName::X) ?? 0.0, $given(AxisName::Y) ?? 0.0);
            foreach ([AxisName::X => $x, AxisName::Y => $y] as $letter => $value) {
                if (isset($words[$letter])) {
                    $this->write($line, $words[$letter], $value);
                }
            }

            return;
        }
        $point = [];
        foreach ([AxisName::X, AxisName::Y] as $axis) {
            $point[] = $given($axis) ?? $this->modes->at[$axis] ?? throw new TransformProblem(
                "Line {$line} does not say {$axis}, and where {$axis} is there is not certain. Write X and Y in it first.",
            );
        }
        $this->writePair($line, $words, AxisName::X, AxisName::Y, $this->map->point(...$point), true);
    }

    /** @param  array<string, array{letter: string, number: string, at: int}>  $words */
    private function changeArc(int $line, array $words): void
    {
        if (isset($words['R']) && $this->map->growth() !== 1.0) {
            $this->write($line, $words['R'], (float) $words['R']['number'] * $this->map->growth());
        }
        if ($this->modes->plane !== Code::PlaneXY || (! isset($words['I']) && ! isset($words['J']))) {
            return;
        }
        if ($this->modes->centerIsAbsolute) {
            if (! isset($words['I'], $words['J'])) {
                throw new TransformProblem("Line {$line} gives one coordinate of its centre only. Write I and J in it first.");
            }
            $this->writePair($line, $words, 'I', 'J', $this->map->point((float) $words['I']['number'], (float) $words['J']['number']));
        } else {
            $this->writePair($line, $words, 'I', 'J', $this->map->way((float) ($words['I']['number'] ?? 0), (float) ($words['J']['number'] ?? 0)));
        }
    }

    /**
     * Two words that belong together; one that is missing is written where it is wanted.
     *
     * @param  array<string, array{letter: string, number: string, at: int}>  $words
     * @param  array{float, float}  $values
     * @param  bool  $both  whether a missing one is written though it is nothing
     */
    private function writePair(int $line, array $words, string $first, string $second, array $values, bool $both = false): void
    {
        foreach ([[$first, $second, $values[0]], [$second, $first, $values[1]]] as [$letter, $other, $value]) {
            if (isset($words[$letter])) {
                $this->write($line, $words[$letter], $value);
            } elseif ($both || abs($value) > 0.5 * 10 ** -$this->decimals()) {
                $this->insert($line, $words[$other], $letter, $value);
            }
        }
    }

    /** @param  array{letter: string, number: string, at: int}  $word */
    private function write(int $line, array $word, float $value): void
    {
        $like = $word['number'].(str_contains($word['number'], '.') ? '' : '.');
        $number = WordNumber::written($like, $value, $this->decimals());
        if ((float) $number !== (float) $word['number']) {
            $this->edits[] = new Edit($line, $word['at'] + 1, strlen($word['number']), $number, 'Move the path');
        }
    }

    /** @param  array{letter: string, number: string, at: int}  $beside */
    private function insert(int $line, array $beside, string $letter, float $value): void
    {
        $end = $beside['at'] + strlen($beside['number']);
        $this->edits[] = new Edit($line, $end + 1, 0, $this->gap.$letter.WordNumber::written('0.', $value, $this->decimals()), 'Move the path');
    }

    /**
     * The line behind the selection that goes on from where the path used to end.
     *
     * @param  array<string, array{letter: string, number: string, at: int}>  $words
     * @param  list<Code>  $codes
     */
    private function close(int $line, array $words, array $codes): void
    {
        $moves = array_intersect(AxisName::LINEAR, array_keys($words));
        if (array_intersect(array_column($codes, 'value'), array_column(self::ELSEWHERE, 'value')) !== []) {
            $this->open = array_diff_key($this->open, array_flip($moves));

            return;
        }
        if ($this->scope->control->options->turning->incrementWords && $this->open !== [] && array_intersect(['U', 'W'], array_keys($words)) !== []) {
            throw new TransformProblem("Line {$line} goes on in increments from where the selected lines end. Select it too, or state a position first.");
        }
        if ($moves === []) {
            return;
        }
        if ($this->modes->isArc()) {
            throw new TransformProblem("Line {$line} is an arc that starts where the selected lines end. Select it too, or state its start first.");
        }
        $isMove = array_intersect($moves, array_keys($this->open)) !== [] || isset($this->open[AxisName::Z]);
        if (! $this->modes->isAbsolute && $isMove) {
            throw new TransformProblem("Line {$line} goes on in increments from where the selected lines end. Select it too, or state a position first.");
        }
        foreach (array_keys($this->open) as $axis) {
            if (isset($words[$axis])) {
                unset($this->open[$axis]);
            } elseif ((
                $axis !== AxisName::Z && (isset($words[AxisName::X]) || isset($words[AxisName::Y]))
            ) || ($axis === AxisName::Z && ! $this->modes->isCycle)) {
                $value = $this->modes->at[$axis] ?? throw new TransformProblem(
                    "Line {$line} goes on from where the selected lines end without stating {$axis}. Write {$axis} in it first.",
                );
                $this->insert($line, $words[array_values($moves)[0]], $axis, $value);
                unset($this->open[$axis]);
            }
        }
    }

    private function codeOf(Code $code): string
    {
        return $this->scope->control->codeOf($code) ?? throw new TransformProblem("This control has no code for {$code->words()}.");
    }

    /** One decimal more than the unit shows, so that turned arcs still close. */
    private function decimals(): int
    {
        return $this->scope->units()->decimals() + 1;
    }
}
