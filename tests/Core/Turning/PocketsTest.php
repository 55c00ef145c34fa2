<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/**
 * A shape that rises and falls as it likes, outside or in a bore.
 *
 * @return non-empty-list<array{float, float}> Z and radius
 */
function pocketed(int $seed, bool $isBore): array
{
    mt_srand($seed);
    [$z, $x] = [0.0, $isBore ? 30.0 : (float) mt_rand(8, 14)];
    $points = [[$z, $x]];
    for ($i = mt_rand(3, 9); $i > 0; $i--) {
        $along = mt_rand(20, 60) / 10;
        $next = max(6.0, min($isBore ? 30.0 : 23.0, $x + mt_rand(-30, 30) / 10));
        // No steeper than the insert may fall.
        $x += max(-1.5 * $along, min(1.5 * $along, $next - $x));
        $points[] = [$z -= $along, $x];
        if (mt_rand(0, 1) === 1) {
            $points[] = [$z -= mt_rand(10, 50) / 10, $x];
        }
        if ($z < -46.0) {
            break;
        }
    }

    return $isBore ? array_map(static fn (array $point): array => [$point[0], 40.0 - $point[1]], $points) : $points;
}

it('roughs shapes that rise and fall down to themselves, and no rapid of it meets what is left', function (int $seed): void {
    $isBore = $seed % 3 === 2;
    $points = pocketed($seed, $isBore);
    $start = $isBore ? 2 * min(array_column($points, 1)) - 1 : 52.0;
    $blocks = array_map(static fn (array $point): string => sprintf('X%.3F Z%.3F', 2 * $point[1], $point[0]), array_slice($points, 1));
    $program = sprintf("G21 G99 G40\nT0303\nG97 S800 M3\nG0 X%.3F Z2.\nG71 U%.1F R0.4\nG71 P10 Q20 U0 W0 F0.2\n", $start, mt_rand(8, 20) / 10)
        .sprintf("N10 G0 X%.3F\nG1 Z0. F0.1\n%s\nN20 X%.3F\nG0 Z20.\nG28 U0 W0\nM30", 2 * $points[0][1], implode("\n", $blocks), $start);
    $run = Lathe::verify($program, array_replace_recursive(LatheCases::BAR, [
        'machine' => ['control' => ['roughKind' => 'pockets']],
        'stock' => ['diameter' => $isBore ? 90 : 50, 'length' => 80, 'face' => 0] + ($isBore ? ['bore' => $start] : []),
        'tools' => [2 => [
            'kind' => $isBore ? 'boring' : 'turning', 'approachAngle' => 95, 'includedAngle' => 20, 'cornerRadius' => 0, 'edgeLength' => $isBore ? 6 : 40,
        ]],
        'offsets' => ['T' => ['3' => ['R' => 0, 'tip' => $isBore ? 2 : 3]]], 'chuck' => ['jawFaceZ' => -75],
    ]));
    $found = array_column($run->findings, 'check');
    expect($found)->not->toContain('turning.rapid-into-stock')->not->toContain('turning.profile')->not->toContain('turning.gouge');
    foreach (array_slice($points, 1) as $n => [$z, $x]) {
        [$fromZ, $fromX] = $points[$n];
        $stands = $run->input->turned?->standing(($fromZ + $z) / 2) ?? [];
        expect($isBore ? $stands[0] ?? NAN : $stands[count($stands) - 1] ?? NAN)->toEqualWithDelta(($fromX + $x) / 2, 0.03);
    }
})->with(range(1, 120));
