<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('reading.rounded-word', [
    [
        "#1=12.3456\nG0 X-ROUND[#1]\nY[ROUND[#1]]", [7, 8], 'note',
        'This control rounds to X-12.346; one that rounds to whole numbers in a word would read X-12.', null,
    ],
    'inches' => [
        "G20\n#1=.12346\nG0 X[ROUND[#1]+1]", 8, 'note',
        'This control rounds to X1.1235; one that rounds to whole numbers in a word would read X1.', null,
    ],
    'one of the two has no value' => [
        'G0 X[3/ROUND[.3]]', 6, 'note', 'This control rounds to X10; one that rounds to whole numbers in a word would read nothing.', null,
    ],
]);

CheckCases::staysQuiet('reading.rounded-word', [
    'rounded to the increment by hand' => ["#1=12.34567\nG0 X[ROUND[#1*1000]/1000]"],
    'a whole number anyway' => ["#1=12.\nG0 X[ROUND[#1]]"],
    'a variable' => ["#1=ROUND[12.3]\nG0 X#1"],
    'numbers of tools and offsets' => ["#1=1.2\nG43 H[ROUND[#1]]"],
    'what is handed to a macro' => ["G65 P7 X[ROUND[2.6]]\nM30\nO7\nG0 X#24\nM99"],
]);

it('rounds a word as the profile says', function (string $lines, array $control, array $place): void {
    $rows = Bench::points($lines, ['machine' => ['control' => $control] + Bench::AT_ZERO['machine']] + Bench::AT_ZERO);
    expect($rows[count($rows) - 1])->toEqualWithDelta($place, 1e-9);
})->with([
    'to the increment, if it says nothing' => ["#1=12.3456\nG0 X-ROUND[#1] Y[ROUND[#1*2]/2]", ['dIs' => 'diameter'], ['rapid', -12.346, 12.3455, 0.0]],
    'to a whole number' => ["#1=12.3456\nG0 X-ROUND[#1] Y[ROUND[#1*2]/2]", ['roundInWord' => 'whole'], ['rapid', -12.0, 12.5, 0.0]],
    'an angle' => ["G68 X0. Y0. R90.\nG16\nG0 X10. Y[ROUND[.00049]]", ['dIs' => 'diameter'], ['rapid', 0.0, 10.0, 0.0]],
    'a macro gets whole numbers' => ["G65 P7 X[ROUND[2.6]]\nM30\nO7\nG0 X#24\nM99", ['dIs' => 'diameter'], ['rapid', 3.0, 0.0, 0.0]],
]);
