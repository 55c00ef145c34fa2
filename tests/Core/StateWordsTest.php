<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Trace\State;
use Tests\Core\Bench;

/**
 * The value a program gets when it reads a parameter, by moving X there.
 *
 * @param  array<string, mixed>  $changes
 */
function readsAs(string $before, string $parameter, array $changes = []): float
{
    $changes = array_replace_recursive(
        Bench::AT_ZERO, ['workOffsets' => ['G55' => ['X' => 11, 'Y' => 12, 'Z' => 13]], 'machine' => ['secondHome' => ['Z' => -50]]], $changes,
    );
    $moves = Bench::moves("G21 G90\n{$before}\nG69\nG92.1\nG54 G90 G49 G0 X0. Y0.\nX[{$parameter}+1000]\nM30", $changes);

    return end($moves)['to'][0] - 1000;
}

/** Parameter numbers of NISTIR 6556 (from memory), and those that are common practice beside it. */
it('lets a program read where it is and what is in force', function (string $before, string $parameter, float $value): void {
    $kept = "{$before}\n#199={$parameter}";
    expect(readsAs($kept, '#199'))->toEqualWithDelta($value, 1e-6);
})->with([
    'position in X' => ['G54 X7.5 Y3.', '#5421', 7.5],
    'position in Y' => ['G54 X7.5 Y3.', '#5422', 3.0],
    'position in another offset' => ['G55 X7.5', '#5421', 7.5],
    'position on the machine' => ['G55 X7.5', '#5021', 18.5],
    'position under a rotation' => ['G68 X0. Y0. R90. G0 X5. Y0.', '#5421', 5.0],
    'home' => ['', '#5161', 0.0],
    'second home' => ['', '#5183', -50.0],
    'number of the work offset' => ['G55', '#5220', 2.0],
    'a work offset' => ['', '#5242', 12.0],
    'a local shift' => ['G52 X4.', '#5211', 4.0],
    'a position that was set' => ["X10.\nG92 X2.", '#5211', 8.0],
    'the tool' => ['T3 M6', '#4120', 3.0],
    'the speed' => ['S1234', '#4119', 1234.0],
    'the feed' => ['F250.', '#4109', 250.0],
    'the length offset' => ['G43 H2', '#4111', 2.0],
    'the cutter offset' => ['D7', '#4107', 7.0],
    'the motion in force' => ['G1 F100. X1.', '#4001', 1.0],
    'the plane' => ['G19', '#4002', 19.0],
    'the distance mode' => ['G91', '#4003', 91.0],
    'the units' => ['', '#4006', 21.0],
]);

it('gives lengths in the units of the program', function (): void {
    $moves = Bench::moves("G20 G90\nG54 X2.\n#1=#5421\nG21 X0.\nX[#1*10]\nM30", Bench::AT_ZERO);
    expect(end($moves)['to'][0])->toEqualWithDelta(20.0, 1e-9);
});

it('sees an offset the program has changed', function (): void {
    expect(readsAs("G10 L2 P2 X40.\n#199=#5241", '#199'))->toEqualWithDelta(40.0, 1e-9)
        ->and(
            readsAs(
                "G10 L1 P7 R-9.5\n#199=#2007", '#199',
                ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'units', 'rapidPath' => 'straight']]],
            ),
        )->toEqualWithDelta(-9.5, 1e-9);
});

it('does not let a program change what belongs to the control', function (): void {
    expect(Bench::names(Bench::verify(Bench::sound("#5421=7.\nG0 X1."))))->toContain('reading.bad-word');
});

it('keeps a condition on the position from being taken for an endless loop', function (): void {
    // Nothing is assigned in the loop, but the position it asks for changes.
    $xs = array_column(Bench::points("G21 G91 G54\nN1 G0 X5.\nIF [#5421 LT 20] GOTO 1\nM30"), 1);
    expect($xs)->toEqual([5, 10, 15, 20]);
});

it('says at the cursor which switches of the profile have decided', function (array $control, string $lines, string $name, string $words): void {
    $run = Bench::verify(Bench::sound($lines), ['machine' => ['control' => $control]]);
    $state = new StateWords($run->setup);
    $said = array_filter(array_map(fn (State $at): string => array_column($state->words($at), 1, 0)[$name] ?? '', $run->trace->states));
    expect(implode(' | ', $said))->toContain($words);
})->with([
    'cutter offsets' => [['dIs' => 'radius'], "G0 X80. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 'Compensation', 'a radius by the profile'],
    'corners' => [['outsideCorner' => 'extended'], "G0 X80. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 'Compensation', 'by extended lines'],
    'rapids' => [['rapidPath' => 'independent'], 'G0 X1.', 'Rapids', 'by the profile'],
]);
