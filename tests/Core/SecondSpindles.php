<?php

declare(strict_types=1);

namespace Tests\Core;

/** A lathe whose second spindle takes the part: a bar of Ø20, gripped at Z-2 from the front, parted off at Z-40. */
final class SecondSpindles
{
    /** Grips with both turning at 1000 rev/min, parts off, and goes back. */
    public const TAKES = "G21 G99\nT0404\nG97 S1000 M3\nG0 X30. Z-40.\nM60\nM64\nG4 X2.\nM62\nG1 X0. F0.05\nG0 X30.\nM65\nM61\nG28 U0 W0\nM30";

    /**
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    public static function lathe(array $changes = []): array
    {
        return array_replace_recursive(LatheCases::BAR, [
            'stock' => ['diameter' => 20], 'secondSpindle' => ['jawFaceZ' => -25, 'jawOuter' => 80, 'faceZ' => 0, 'bodyDiameter' => 110],
            'machine' => [
                'spindles' => ['sub' => ['maxRpm' => 4000, 'secondsToSpeed' => 4]],
                'control' => ['codes' => [
                    'second-forward' => 'M60', 'second-back' => 'M61', 'second-clamp' => 'M62', 'second-unclamp' => 'M63', 'spindles-together' => 'M64',
                    'spindles-apart' => 'M65', 'spindles-in-phase' => 'M66', 'second-clockwise' => 'M67', 'second-counter-clockwise' => 'M68',
                    'second-stop' => 'M69', 'main-clamp' => 'M70', 'main-unclamp' => 'M71',
                ]],
            ],
        ], $changes);
    }
}
