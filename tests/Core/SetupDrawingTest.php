<?php

declare(strict_types=1);

use OakTrace\Core\Formats\DxfDrawing;
use OakTrace\Core\Formats\SetupDrawing;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

it('draws the setup with its sizes, and where zero lies in the stock', function (): void {
    $svg = (string) SetupDrawing::svg(Bench::setup(['obstacles' => [
        ['name' => 'jaw <A>', 'shape' => 'box', 'min' => [-60, 40, -30], 'max' => [60, 60, 5]],
        ['name' => 'rack', 'shape' => 'box', 'min' => [-700, -400, -400], 'max' => [-600, -300, -300], 'workOffset' => 'machine'],
    ]]));
    $texts = array_map(strval(...), (new SimpleXMLElement($svg))->xpath('//*[local-name()="text"]') ?: []);
    expect($texts)->toContain('100', '80', '25', '50', '40', 'G54', 'jaw <A>')->not->toContain('rack')
        ->and((new SimpleXMLElement($svg))->xpath('//*[local-name()="polygon"]'))->toHaveCount(2);
});

it('draws nothing where there is no stock', function (): void {
    expect(SetupDrawing::svg(Bench::setup(['stock' => null])))->toBeNull();
});

it('writes the path as lines in space, by layers, in pairs', function (): void {
    $setup = Bench::setup();
    $dxf = implode(
        '',
        iterator_to_array(DxfDrawing::of(Verification::trace(Program::fromText(Bench::sound("G0 X10. Y0. Z2.\nG1 Z-1. F100.\nX20.")), $setup), $setup), false),
    );
    $lines = explode("\r\n", trim($dxf));
    expect(count($lines) % 2)->toBe(0)->and(array_slice($lines, -2))->toBe(['  0', 'EOF'])
        ->and(substr_count($dxf, "LINE\r\n  8\r\nSTOCK"))->toBe(12)->and(substr_count($dxf, "LINE\r\n  8\r\nCUT"))->toBe(2)
        ->and($dxf)->toContain(" 10\r\n10\r\n 20\r\n0\r\n 30\r\n-1\r\n 11\r\n20\r\n 21\r\n0\r\n 31\r\n-1\r\n");
});
