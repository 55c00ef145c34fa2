<?php

declare(strict_types=1);

use Tests\Core\Bench;

/** Tools for holes and their lengths, by number. */
const HOLE_TOOLS = [
    'tools' => [
        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3], ['number' => 2, 'kind' => 'drill', 'diameter' => 6.8],
        ['number' => 3, 'kind' => 'spot-drill', 'diameter' => 10, 'pointAngle' => 90], ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25],
        ['number' => 5, 'kind' => 'chamfer-mill', 'diameter' => 12, 'pointAngle' => 90], ['number' => 6, 'kind' => 'reamer', 'diameter' => 8],
        ['number' => 7, 'kind' => 'probe', 'diameter' => 6], ['number' => 8, 'kind' => 'thread-mill', 'diameter' => 6, 'pitch' => 1.25],
        ['number' => 9, 'kind' => 'drill', 'diameter' => 7.8],
    ],
    'offsets' => ['H' => ['1' => -250, '2' => -230, '3' => -240, '4' => -220, '5' => -245, '6' => -228, '7' => -210, '8' => -226, '9' => -231]],
];

/** Home, the next tool, and down to 25 over the zero. */
function nextTool(int $number, int $speed): string
{
    $start = $speed === 0 ? 'M5' : "S{$speed} M3";

    return "G0 Z50.\nG91 G28 Z0.\nG90\nT{$number} M6\nG54 G0 X0. Y0.\n{$start}\nG43 H{$number} Z25.\n";
}

/** A cycle at three places, or at one. */
function atPlaces(string $cycle, string $f): string
{
    return "{$cycle} {$f}\nX-20.\nY-10.\nG80\n";
}

it('finds nothing in right programs for holes, each written another way', function (string ...$lines): void {
    expect(Bench::names(Bench::verify(Bench::sound(implode('', $lines)), HOLE_TOOLS)))->toBe([]);
})->with([
    'spotted, drilled, tapped' => [
        nextTool(3, 1200), atPlaces('G99 G81 X20. Y10. Z-4.2 R2.', 'F100.'), nextTool(2, 1400), atPlaces('G99 G83 X20. Y10. Z-20. R2. Q3.', 'F140.'),
        nextTool(4, 300), atPlaces('G99 G84 X20. Y10. Z-14. R5.', 'F375.'),
    ],
    'one hole, and the tap lifted behind its cycle' => [
        nextTool(2, 1400), "G83 X0. Y0. Z-20. R2. Q3. F140.\nG80\n", nextTool(4, 300), "G84 X0. Y0. Z-14. R5. F375.\nG80\nG0 Z100.",
    ],
    'tapped by blocks of their own' => [
        nextTool(2, 1400), "G83 X0. Y0. Z-20. R2. Q3. F140.\nG80\n", nextTool(4, 300), "Z5.\nG1 Z-14. F375.\nM5\nM4\nG1 Z5.\nM5\nG0 Z100.",
    ],
    'tapped with a feed for a turn' => [
        nextTool(2, 1400), "G83 X0. Y0. Z-20. R2. Q3. F140.\nG80\n", nextTool(4, 300), "G95\nG98 G84 X0. Y0. Z-14. R5. F1.25\nG80\nG94",
    ],
    'drilled and reamed' => [
        nextTool(9, 1200), "G98 G83 X0. Y0. Z-24. R2. Q3. F140.\nG80\n", nextTool(6, 400), "G98 G85 X0. Y0. Z-18. R2. F120.\nG80",
    ],
    'the same without cycles' => [
        nextTool(9, 1200), "Z2.\nG1 Z-10. F120.\nG0 Z2.\nZ-9.\nG1 Z-24.\nG0 Z2.\n", nextTool(6, 400), "Z2.\nG1 Z-18. F120.\nZ2. F400.\nG0 Z50.",
    ],
    'a milled thread' => [
        nextTool(2, 1400), "G98 G83 X0. Y0. Z-20. R2. Q3. F140.\nG80\n", nextTool(8, 2000),
        "G0 Z2.\nG1 Z-14. F500.\nG3 X1. Y0. I.5 J0. Z-13.7 F80.\nG3 I-1. Z-12.45\nG3 X0. Y0. I-.5 J0. Z-12.15\nG0 Z25.",
    ],
    'countersunk' => [
        nextTool(2, 1400), atPlaces('G99 G83 X20. Y10. Z-20. R2. Q3.', 'F140.'), nextTool(5, 800), atPlaces('G99 G82 X20. Y10. Z-4.2 R2. P.3', 'F80.'),
    ],
    'spotted and drilled by one tool' => [
        nextTool(2, 1400), atPlaces('G99 G81 X20. Y10. Z-1.5 R2.', 'F100.'), atPlaces('G99 G83 X20. Y10. Z-15. R2. Q3.', 'F140.'),
    ],
    'probed from above and from the side' => [
        nextTool(7, 0), "G0 Z10.\nG31 Z-2. F200.\nG0 Z10.\nG1 X-60. F2000.\nZ-5.\nG31 X-45. F100.\nG1 X-60. F2000.\nG0 Z50.",
    ],
    'a keyhole, and a slot with round ends' => [
        "G0 X-20. Y0.\nZ2.\nG1 Z-2. F100.\nX10. F300.\nG3 I5.\nG1 X-20.\nG0 Z5.\n",
        "X-20. Y17.\nG1 Z-2. F100.\nX20. F300.\nG3 Y23. J3.\nG1 X-20.\nG3 Y17. J-3.\nG0 Z25.",
    ],
]);
