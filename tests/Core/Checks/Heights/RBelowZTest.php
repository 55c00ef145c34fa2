<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('heights.r-below-z', [
    ['G98 G81 X0. Y0. Z-2. R-5. F100.', 6, 'stop', 'The cycle starts at R −5.000 mm, below its bottom at Z −2.000 mm.', 'Put R5. @ 6:23 3 “5.”'],
    ["G98 G81 X0. Y0. Z-5. R-1. F100.\nG80", 6, 'stop', 'The cycle brings T1 at rapid to R −1.000 mm, which is 1.000 mm below the top of the stock.', null],
    'R that would stand high enough without its minus' => [
        "G98 G81 X0. Y0. Z-5. R-3. F100.\nG80", 6, 'stop', 'The cycle brings T1 at rapid to R −3.000 mm, which is 3.000 mm below the top of the stock.',
        'Put R3. @ 6:23 3 “3.”',
    ],
    'once, for all its holes' => [
        "G98 G81 X0. Y0. Z-5. R-1. F100.\nX10.\nX20.\nG80", [6, 7, 8], 'stop',
        'The cycle brings T1 at rapid to R −1.000 mm, which is 1.000 mm below the top of the stock.', null,
    ],
    'a point that is lost, hardly above the part' => [
        "G98 G81 X0. Y0. Z-5. R.02 F100.\nX10.\nG80", [6, 7], 'caution',
        'The cycle brings T1 at rapid to R 0.020 mm, 0.020 mm above the part; the clearance is 2.000 mm.', null,
    ],
    'no minus to take away' => ['G98 G81 X0. Y0. Z8. R5. F100.', 6, 'stop', 'The cycle starts at R 5.000 mm, below its bottom at Z 8.000 mm.', null],
]);

CheckCases::staysQuiet('heights.r-below-z', [
    ["G98 G81 X0. Y0. Z-5. R2. F100.\nG80"],
    ["G98 G81 X60. Y0. Z-5. R-1. F100.\nG80"],
    'as low as some set it' => ["G98 G81 X0. Y0. Z-5. R.2 F100.\nG80"],
    'back to its peck' => ["G98 G83 X0. Y0. Z-15. R2. Q3. F100.\nG80", ['machine' => ['control' => ['peckClearance' => 0.05]]]],
    'hardly above the raw top, over ground that was milled' => ["G0 X-60. Y0.\nG1 Z-4. F300.\nX60.\nG0 Z5.\nG98 G81 X0. Y0. Z-8. R.02 F100.\nG80"],
    'between the raw top and the ground that was milled' => ["G0 X-60. Y0.\nG1 Z-4. F300.\nX60.\nG0 Z5.\nG98 G81 X0. Y0. Z-8. R-2. F100.\nG80"],
]);

it('names the other holes', function (): void {
    $run = Bench::verify(Bench::sound("G98 G81 X0. Y0. Z-5. R-1. F100.\nX10.\nX20.\nG80\nG98 G81 X0. Y20. Z-2. R-5. F100.\nX10.\nG80"));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt], Bench::findings('heights.r-below-z', $run)))
        ->toBe([[6, [7, 8]], [10, []]]);
});

CheckCases::raises('heights.r-below-z', [
    'between the raw top and the ground that was milled, where nobody cut it' => [
        "G0 X-60. Y0.\nG1 Z-4. F300.\nX60.\nG0 Z5.\nG98 G81 X0. Y0. Z-8. R-2. F100.\nG80", 10, 'stop',
        'The cycle brings T1 at rapid to R −2.000 mm, which is 2.000 mm below the top of the stock.', 'Put R2. @ 10:23 3 “2.”',
    ],
], isCut: false);
