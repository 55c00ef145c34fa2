<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\Generator\SequenceGenerator;
use Eris\Generator\TupleGenerator;
use Eris\TestTrait;
use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Transform\Expand;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

uses(TestTrait::class);

/**
 * Where the axes end up after every move of a program: kind and machine position.
 *
 * @return list<list<float|string>>
 */
function path(string $program, array $changes = Bench::AT_ZERO): array
{
    return array_map(fn (array $row): array => [$row['kind'], ...array_values($row['machineTo']), $row['sweep'] ?? 0.0], Bench::moves($program, $changes));
}

function expectSamePath(array $one, array $other, float $delta = 1e-6): void
{
    expect($other)->toHaveCount(count($one));
    foreach ($one as $i => $move) {
        expect($other[$i])->toEqualWithDelta($move, $delta);
    }
}

/** Steps in hundredths of a millimetre: what kind of move, and how far on X, Y and Z. */
function steps(): SequenceGenerator
{
    $way = new ChooseGenerator(-2000, 2000);

    return new SequenceGenerator(new TupleGenerator([new ChooseGenerator(0, 3), $way, $way, $way]));
}

/**
 * A program of steps, with every place written by $write from where the step ends and how far it goes, in millimetres.
 *
 * @param  list<array{int, int, int, int}>  $steps
 * @param  callable(array{float, float, float}, array{float, float, float}): string  $write
 */
function programOfSteps(array $steps, callable $write, string $head, float $unit = 1.0): string
{
    $at = [0.0, 0.0, 0.0];
    $text = $head.sprintf(" F%.6f\n", 500 / $unit);
    foreach ($steps as [$kind, $dx, $dy, $dz]) {
        $step = [$dx / 100, $dy / 100, $dz / 100];
        $end = [$at[0] + $step[0], $at[1] + $step[1], $at[2] + $step[2]];
        if ($kind < 2 || hypot($step[0], $step[1]) < 0.5) {
            $text .= ($kind === 0 ? 'G0 ' : 'G1 ').$write($end, $step)."\n";
        } else {
            // The centre to the side of the middle: both ends are as far from it.
            $i = $step[0] / 2 - $step[1];
            $j = $step[1] / 2 + $step[0];
            $text .= ($kind === 2 ? 'G2 ' : 'G3 ').$write($end, $step).sprintf(" I%.9f J%.9f\n", $i / $unit, $j / $unit);
        }
        $at = $end;
    }

    return $text;
}

beforeEach(fn () => $this->limitTo(25)->shrinkingTimeLimit(5));

it('makes the same motion in absolute and in incremental positions', function (): void {
    $this->forAll(steps())->then(function (array $steps): void {
        $absolute = programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $end), 'G21 G90');
        $incremental = programOfSteps($steps, fn (array $end, array $step): string => vsprintf('X%.9f Y%.9f Z%.9f', $step), 'G21 G91');
        expectSamePath(path($absolute), path($incremental));
    });
});

it('makes the same motion in inches and in millimetres', function (): void {
    $this->forAll(steps())->then(function (array $steps): void {
        $metric = programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $end), 'G21 G90');
        $inch = programOfSteps(
            $steps, fn (array $end): string => vsprintf('X%.12f Y%.12f Z%.12f', array_map(fn (float $mm): float => $mm / 25.4, $end)), 'G20 G90', 25.4,
        );
        expectSamePath(path($metric), path($inch), 1e-5);
    });
});

it('makes the same motion turned, in every plane', function (string $plane, array $axes): void {
    $this->forAll(steps())->then(function (array $steps) use ($plane, $axes): void {
        $flat = programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $end), 'G21 G17');
        // X Y Z of the flat program become the axes given; I and J become the letters of their centre words.
        $letters = ['X' => 'I', 'Y' => 'J', 'Z' => 'K'];
        $turned = strtr($flat, ['G17' => $plane, 'X' => $axes[0], 'Y' => $axes[1], 'Z' => $axes[2], 'I' => $letters[$axes[0]], 'J' => $letters[$axes[1]]]);
        $place = array_flip(['X', 'Y', 'Z']);
        $expected = array_map(function (array $move) use ($axes, $place): array {
            $to = [];
            foreach ($axes as $from => $axis) {
                $to[$place[$axis]] = $move[$from + 1];
            }

            return [$move[0], $to[0], $to[1], $to[2], $move[4]];
        }, path($flat));
        expectSamePath($expected, path($turned));
    });
})->with([['G18', ['Z', 'X', 'Y']], ['G19', ['Y', 'Z', 'X']]]);

it('reads centres given from program zero as those given from the start', function (): void {
    $this->forAll(steps())->then(function (array $steps): void {
        $relative = programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $end), 'G21 G91.1');
        $at = [0.0, 0.0];
        $absolute = preg_replace_callback('/X(\S+) Y(\S+) Z\S+(?: I(\S+) J(\S+))?/', function (array $m) use (&$at): string {
            $text = isset($m[3]) ? preg_replace('/ I.*/', sprintf(' I%.9f J%.9f', $at[0] + (float) $m[3], $at[1] + (float) $m[4]), $m[0]) : $m[0];
            $at = [(float) $m[1], (float) $m[2]];

            return (string) $text;
        }, str_replace('G91.1', 'G90.1', $relative));
        expectSamePath(path($relative), path((string) $absolute));
    });
});

it('goes round as often as it is told', function (): void {
    $this->forAll(new ChooseGenerator(1, 9), new ChooseGenerator(1, 359))->then(function (int $turns, int $angle): void {
        $end = sprintf('X%.9f Y%.9f', 10 - 10 * cos(deg2rad($angle)), -10 * sin(deg2rad($angle)));
        $arc = Bench::moves("F100.\nG3 {$end} Z-5. I10. P{$turns}", Bench::AT_ZERO)[0];
        expect($arc['sweep'])->toEqualWithDelta($angle + 360 * ($turns - 1), 1e-5);
    });
});

it('reads back what it has read, whatever the hand it was written in', function (): void {
    $word = new TupleGenerator([new ChooseGenerator(0, 20), new ChooseGenerator(-99999, 99999), new ChooseGenerator(0, 3)]);
    $this->forAll(new SequenceGenerator($word))->then(function (array $words): void {
        $read = function (string $line): array {
            $block = new Block;
            (new BlockReader)->read(1, Program::prepare($line), $block);

            return $block->words;
        };
        $loose = $plain = '';
        foreach (array_unique(array_column($words, 0)) as $i => $letter) {
            $name = 'ABCDFHIJKLNPQRSTUVWXYZ'[$letter];
            $value = $words[$i][1] / 10 ** $words[$i][2];
            $loose .= sprintf('%s %s%s  ', $i % 2 === 0 ? strtolower($name) : $name, $value < 0 ? '- ' : '+', ltrim(sprintf('%.4F', abs($value)), '0'));
            $plain .= $name.sprintf('%.4F', $value);
        }
        expect($read($loose))->toEqual($read($plain));
    });
});

/** Places of steps with the centres of arcs moved along with them: what a programmer would write who did the sums. */
function moved(array $steps, callable $place, callable $along, bool $swap, string $head): string
{
    $text = programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $place($end)), $head);
    $text = (string) preg_replace_callback('/I(\S+) J(\S+)/', fn (array $m): string => vsprintf('I%.9f J%.9f', $along([(float) $m[1], (float) $m[2]])), $text);

    return $swap ? strtr($text, ['G2 ' => 'G3 ', 'G3 ' => 'G2 ']) : $text;
}

it('undoes a mirror with a mirror, a turn with a turn and a scale with a scale', function (): void {
    $this->forAll(steps(), new ChooseGenerator(-179, 179), new ChooseGenerator(20, 400))->then(function (array $steps, int $angle, int $percent): void {
        $plain = path(programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $end), 'G21'));
        $mirrored = moved($steps, fn (array $p): array => [-$p[0], $p[1], $p[2]], fn (array $c): array => [-$c[0], $c[1]], true, 'G21 G51.1 X0.');
        expectSamePath($plain, path($mirrored));
        [$cos, $sin] = [cos(deg2rad(-$angle)), sin(deg2rad(-$angle))];
        $turn = fn (array $p): array => [$p[0] * $cos - $p[1] * $sin, $p[0] * $sin + $p[1] * $cos, ...array_slice($p, 2)];
        expectSamePath($plain, path(moved($steps, $turn, $turn, false, "G21 G68 X0. Y0. R{$angle}.")));
        $scale = fn (array $p): array => array_map(fn (float $x): float => $x * 100 / $percent, $p);
        expectSamePath($plain, path(moved($steps, $scale, $scale, false, sprintf('G21 G51 X0. Y0. Z0. P%.9f', $percent / 100))));
    });
});

it('makes the same motion in a subprogram, in a macro and in a loop as written out', function (): void {
    $this->forAll(steps(), new ChooseGenerator(1, 5))->then(function (array $steps, int $times): void {
        $lines = programOfSteps($steps, fn (array $end, array $step): string => vsprintf('X%.9f Y%.9f Z%.9f', $step), 'G21 G91');
        $body = explode("\n", $lines, 2)[1];
        $out = path("G21 G91 F500.\n".str_repeat($body, $times).'M30');
        expectSamePath($out, path("G21 G91 F500.\nM98 P50 L{$times}\nM30\nO50\n{$body}M99"));
        expectSamePath($out, path("G21 G91 F500.\n#100=0\nWHILE [#100 LT {$times}] DO 1\n{$body}#100=#100+1\nEND 1\nM30"));
        expectSamePath($out, path("G21 G91 F500.\nG65 P60 A{$times}.\nM30\nO60\nN1 IF [#1 LE 0] GOTO 2\n{$body}#1=[#1-1]\nGOTO 1\nN2 M99"));
    });
});

it('makes the same motion written out plainly', function (): void {
    $this->forAll(steps(), new ChooseGenerator(0, 3))->then(function (array $steps, int $kind): void {
        $head = ['G21', "G21 G68 X3. Y1. R33.\n", "G21 G51 X0. Y0. Z0. P1.7\n", "G20 G52 X1. Y-.5\n"][$kind];
        $text = programOfSteps($steps, fn (array $end): string => vsprintf('X%.9f Y%.9f Z%.9f', $end), $head);
        $setup = Bench::setup(Bench::AT_ZERO);
        $plain = implode("\n", iterator_to_array(Expand::of(Verification::trace(Program::fromText($text), $setup), $setup), false));
        // A centre is written to 1e-7 mm; the degrees between start and end follow from it.
        $inTurns = fn (array $path): array => array_map(fn (array $move): array => [...array_slice($move, 0, 4), $move[4] / 360], $path);
        expectSamePath($inTurns(path($text)), $inTurns(path($plain)));
    });
});
