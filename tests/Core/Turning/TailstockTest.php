<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** A centre that M78 sends in and M79 out; how it is set up is said by each case. */
function withCenter(bool $retracted): array
{
    return [
        'machine' => ['control' => ['codes' => ['tailstock-in' => 'M78', 'tailstock-out' => 'M79']]],
        'tailstock' => ['mouth' => 4, 'faceZ' => 1, 'quillDiameter' => 30, 'quillReach' => 40, 'bodyDiameter' => 80, 'retracted' => $retracted],
    ];
}

const TO_THE_QUILL = "G0 X90. Z30.\nX28.\nX90.";
const PART_OFF = "G0 X44. Z-20.\nG1 X-0.4 F0.05\nG0 X60.";

it('moves the tailstock where the program says so', function (bool $retracted, string $lines, string $check, array $at): void {
    $found = Lathe::found($check, "G21 G99\nT0404\nG97 S500 M3\n{$lines}", array_replace_recursive(LatheCases::BAR, withCenter($retracted)));
    expect(array_column($found, 'line'))->toBe($at);
})->with([
    'as it was set up, in' => [false, TO_THE_QUILL, 'turning.zone', [5]],
    'sent out' => [false, "M79\n".TO_THE_QUILL, 'turning.zone', []],
    'as it was set up, out' => [true, TO_THE_QUILL, 'turning.zone', []],
    'sent in' => [true, "M78\n".TO_THE_QUILL, 'turning.zone', [6]],
    'sent in and out again' => [true, "M78\nM79\n".TO_THE_QUILL, 'turning.zone', []],
    'parted off from the centre' => [true, "M78\n".PART_OFF, 'turning.part-off', [6]],
    'taken back before' => [false, "M79\n".PART_OFF, 'turning.part-off', []],
]);

it('writes it where the program is written out', function (): void {
    $changes = array_replace_recursive(LatheCases::BAR, withCenter(false));
    $text = "G21 G99\nT0404\nG97 S500 M3\nM79\n".PART_OFF."\nM78\nG0 X70.\nM30";
    expect(Lathe::moves(Lathe::expand($text, $changes), $changes))->toHaveCount(count(Lathe::moves($text, $changes)))
        ->and(substr_count(Lathe::expand($text, $changes), 'M79'))->toBe(1)->and(substr_count(Lathe::expand($text, $changes), 'M78'))->toBe(1);
});
