<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$slot = "X-20.\nZ2.\nG1 Z-4. F100.\nX20. F300.\nG0 Z2.\n";
$plate = ['target' => ['whole' => true, 'features' => [['kind' => 'slot', 'from' => [-20, 0], 'to' => [20, 0], 'width' => 10, 'depth' => 4]]]];
$face = "X-60. Y-60.\nZ2.\nG1 Z-1. F300.\n".implode(
    '', array_map(fn (int $n): string => 'Y'.($n % 2 === 0 ? '60.' : '-60.')."\nX".(-60 + 8 * ($n + 1)).".\n", range(0, 14)),
).'G0 Z25.';

// A hole of 8.5, 20 deep at its full diameter, with the point of its drill of 118° below: 4.25 / tan 59° = 2.554.
$hole = fn (array $more): array => [
    'target' => ['features' => [['kind' => 'hole', 'at' => [0, 0], 'diameter' => 8.5, 'depth' => 20] + $more]],
    'stock' => ['min' => [-60, -40, -35], 'max' => [60, 40, 0]],
];
$drilled = "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 Z-22.55 R2. Q4. F100.\nG80";
// The edges of the slot broken by a chamfer mill of 90°, whose tip runs beside the wall, so wide on each side.
$broken = fn (float $by): string => "{$slot}T5 M6\nS3000 M3\nG54 G0 X-20. Y0.\nG43 H1 Z5.\n".implode(
    "\n", array_map(static fn (int $side): string => sprintf("G0 X-20. Y%.1F\nG1 Z-%.2F F200.\nX20.\nG0 Z5.", $side * 4.0, 1.0 + $by), [1, -1]),
).'';
$mills = [
    'tools' => [
        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'centerCutting' => true],
        ['number' => 5, 'kind' => 'chamfer-mill', 'diameter' => 6, 'pointAngle' => 90],
    ],
];

// A slot of 2 in a large plate, as far as X0; and a solid whose right half is 5 lower, cut by a mill of 20 beside a wall at X.
$narrow = ['tools' => [
    ['number' => 1, 'kind' => 'end-mill', 'diameter' => 2, 'centerCutting' => true],
], 'stock' => ['min' => [-150, -100, -12], 'max' => [150, 100, 0]],
    'target' => ['whole' => true, 'features' => [['kind' => 'slot', 'from' => [-40, 0], 'to' => [0, 0], 'width' => 2, 'depth' => 1]]]];
$along = fn (string $x): string => "X-40.\nZ2.\nG1 Z-1. F100.\nX{$x} F300.\nG0 Z25.";
$step = HeightField::box(Box::of([-50, -40, -25], [50, 40, 0]), 1.0);
foreach ($step->heights as $cell => $height) {
    $step->heights[$cell] = $step->middle($cell)[0] > 0.0 ? -5.0 : $height;
}
$solid = [
    'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 20, 'centerCutting' => true]],
    'target' => ['stl' => base64_encode(StlFile::of($step, 'step')), 'tolerance' => 0.05],
];
$toWall = fn (float $x): string => "X70. Y-70.\nZ2.\nG1 Z-5. F500.\n".implode(
    "\n", array_map(fn (int $n): string => sprintf("G1 X%.3F\nY%s70.", $x + 10 + [40, 30, 15, 0][$n], $n % 2 === 1 ? '-' : ''), range(0, 3)),
)."\nG0 Z25.";

CheckCases::raises('cutting.off-target', [
    'a slot of 2 cut too long in a large plate' => [$along('80.'), 9, 'stop', 'Gouged by 1.000 mm at X 3.085 mm Y −0.700 mm: Z −1.000 mm instead of 0.000 '
        .'mm. In all 159.8 mm³ too much is cut away.', null, $narrow],
    'a wall of a solid that stands 0.6 too far in' => [
        $toWall(-0.6), 16, 'stop', 'A wall is cut 0.600 mm too far in at X −0.438 mm Y −39.361 mm. In all 199.5 mm³ too much is cut away.', null, $solid,
    ],
    'a wall of a solid that stands 0.6 too far out' => [
        $toWall(0.6), 1, 'caution', 'A wall stands 0.600 mm too far out at X 0.062 mm Y −39.154 mm. In all 220.0 mm³ too much is left.', null, $solid,
    ],
    'a wall of a solid a third of a cell too far in' => [
        $toWall(-0.12), 16, 'stop', 'A wall is cut 0.120 mm too far in at X −0.116 mm Y −36.361 mm. In all 24.8 mm³ too much is cut away.', null, $solid,
    ],
    'a wall of a solid half a cell too far out' => [
        $toWall(0.2), 1, 'caution', 'A wall stands 0.200 mm too far out at X 0.062 mm Y −39.154 mm. In all 60.0 mm³ too much is left.', null, $solid,
    ],
    'a point below a floor that is to be flat' => [$drilled, 10, 'stop', 'Gouged by 2.461 mm at X 0.131 mm Y 0.070 mm: Z −22.461 mm instead of −20.000 '
        .'mm. In all 47.9 mm³ too much is cut away.', null, $hole(['floor' => 'flat'])],
    'an edge that is to be sharp' => [$broken(2.0), 21, 'stop', 'Gouged by 1.899 mm at X 2.777 mm Y −5.101 mm: Z −1.899 mm instead of 0.000 mm. In all '
        .'157.3 mm³ too much is cut away.', null, $mills + ['target' => ['edges' => 0] + $plate['target']]],
    'an edge that is broken too much' => [$broken(2.0), 21, 'stop', 'Gouged by 1.500 mm at X −18.723 mm Y −5.170 mm: Z −1.830 mm instead of −0.330 '
        .'mm. In all 149.8 mm³ too much is cut away.', null, $mills + $plate],
    'a gouge beside what is wanted' => ["{$slot}X30. Y20.\nG1 Z-1. F100.\nX35.\nG0 Z25.", 12, 'stop', 'Gouged by 1.000 mm at X 29.269 mm Y 15.085 mm: Z '
        .'−1.000 mm instead of 0.000 mm. In all 128.5 mm³ too much is cut away.', null, $plate],
    'an island left in a pocket whose size is off too' => [
        "X-25. Y-15.\nZ2.\nG1 Z-4. F200.\nX25.\nY15.\nX-25.\nY-15.\nX-16.\nY15.\nX-7.\nY-15.\nX16.\nY15.\nX7.\nY-15.\nG0 Z25.", 1, 'caution',
        '4.000 mm of material is left at X −1.461 mm Y −9.784 mm: Z 0.000 mm instead of −4.000 mm. In all 370.0 mm³ too much is left.', null,
        ['target' => ['features' => [['kind' => 'pocket', 'at' => [0, 0], 'length' => 60.5, 'width' => 40, 'corner' => 5, 'depth' => 4]]]],
    ],
    'a face that was left' => ["{$slot}G0 Z25.", 1, 'caution', '1.000 mm of material is left at X −49.246 mm Y −39.539 mm: Z 0.000 mm instead of −1.000 '
        .'mm. In all 7989.5 mm³ too much is left.', null, ['target' => ['whole' => true, 'top' => -1] + $plate['target']]],
]);

CheckCases::staysQuiet('cutting.off-target', [
    'a slot of 2 in a large plate' => [$along('0.'), $narrow],
    'a wall of a solid where it is wanted' => [$toWall(0.0), $solid],
    'a wall of a solid within its tolerance' => [$toWall(-0.04), $solid],
    'an edge of a solid that is broken' => [
        "{$toWall(0.0)}\nT5 M6\nS3000 M3\nG54 G0 X1. Y-60.\nG43 H1 Z5.\nG1 Z-1.4 F200.\nY60.\nG0 Z25.",
        ['tools' => [...$solid['tools'], $mills['tools'][1]]] + $solid,
    ],
    'the point of a drill below the depth of its full diameter' => [$drilled, $hole([])],
    'anything below it' => [$drilled, $hole(['floor' => 'open'])],
    'an edge that is broken' => [$broken(0.4), $mills + $plate],
    'a chamfer as it is drawn' => [
        $broken(2.0), $mills + ['target' => ['features' => [['chamfer' => 2.0] + $plate['target']['features'][0]]] + $plate['target']],
    ],
    'an outer edge that is broken' => ["{$slot}G0 Z25.\nT5 M6\nS3000 M3\nG54 G0 X-70. Y-40.9\nG43 H1 Z5.\nG1 Z-1.3 F200.\nX70.\nG0 Z25.", $mills + $plate],
    'a gouge beside a drawing of which only a part is given' => [
        "{$slot}X30. Y20.\nG1 Z-1. F100.\nX35.\nG0 Z25.", ['target' => ['whole' => false] + $plate['target']],
    ],
    'a round blank, whose corners were never there' => [
        "{$slot}G0 Z25.", $plate + ['stock' => ['shape' => 'cylinder', 'diameter' => 90, 'length' => 25, 'min' => null, 'max' => null]],
    ],
    'as drawn' => ["{$slot}G0 Z25.", $plate],
    'within tolerance' => ["{$slot}X30. Y20.\nG1 Z-.05 F100.\nX35.\nG0 Z25.", $plate],
    'a slot that is off itself, told by its size' => [str_replace('Z-4.', 'Z-5.', $slot), $plate],
    'faced as wanted' => [$face, ['target' => ['whole' => true, 'top' => -1]]],
]);

it('tells how far a wall stands off, however coarse the cells are', function (float $by, string $told) use ($solid, $toWall): void {
    $verification = Verification::of(Program::fromText(Bench::sound($toWall($by))), $setup = Bench::setup($solid), stock: StockRun::in($setup, 0.4));
    $finding = array_values(array_filter($verification->findings, static fn (Finding $finding): bool => $finding->check === 'cutting.off-target'))[0];
    expect($finding->figures['aside']->value)->toEqualWithDelta(abs($by), 1e-3)->and($finding->text)->toStartWith($told)->not->toContain('It is looked at');
})->with([[-0.6, 'A wall is cut {aside} too far in at X {x} Y {y}.'], [-0.123, 'A wall is cut {aside} too far in'], [
    0.2, 'A wall stands {aside} too far out at X {x} Y {y}.',
]]);

it('says how finely it looked at a solid where no wall has been measured', function () use ($solid): void {
    $verification = Verification::of(
        Program::fromText(Bench::sound("X20. Y0.\nZ2.\nG1 Z-6. F100.\nG0 Z25.")), $setup = Bench::setup($solid), stock: StockRun::in($setup, 0.4),
    );
    $finding = array_values(
        array_filter(
            $verification->findings,
            static fn (Finding $finding): bool => $finding->check === 'cutting.off-target' && $finding->severity === Severity::Stop,
        ),
    )[0];
    expect($finding->text)->toContain('Gouged by {by}')->toEndWith('Compared every {cell}.')->and($finding->figures['cell']->value)->toBe(0.4);
});
