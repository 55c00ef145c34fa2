<?php

declare(strict_types=1);

namespace Tests\Core;

/** A lathe with a C axis and driven tools: M133 to 135 turn them, M43 and M44 switch the C axis. T7 is a drill of 5, T8 a tap, T9 a mill of 8. */
final class DrivenTools
{
    public const FACE_HOLES = "G21 G99\nT0707\nM5\nM43\nG97 S3000 M133\nG0 X30. Z5. C0.\nG83 Z-10. R-3. Q6000 F0.05\nC90.\nG80\nM135\nM44\n"
        ."G28 U0 W0\nM30";

    public const SIDE_HOLES = "G21 G99\nT0707\nM5\nM43\nG97 S3000 M133\nG0 X44. Z-20. C0.\nG87 X30. R-1. Q3000 F0.05\nC90.\nG80\nM135\nM44\n"
        ."G28 U0 W0\nM30";

    public const SIDE_THREAD = "G21 G99\nT0808\nM5\nM43\nG97 S500 M133\nG0 X46. Z-20. C0.\nG88 X30. R-1. F1.\nG80\nM135\nM44\nG28 U0 W0\nM30";

    /**
     * @param  string|null  $points  along or across; null where the setup does not say
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    public static function lathe(?string $points = null, array $changes = []): array
    {
        $driven = $points === null ? [] : ['driven' => $points];

        return array_replace_recursive(LatheCases::BAR, [
            'machine' => [
                'axes' => ['C' => ['min' => -9999, 'max' => 9999, 'rapid' => 3600]], 'spindles' => ['driven' => ['maxRpm' => 6000]],
                'control' => ['codes' => [
                    'driven-clockwise' => 'M133', 'driven-counter-clockwise' => 'M134', 'driven-stop' => 'M135', 'part-held' => 'M43', 'part-turns' => 'M44',
                ]],
            ],
            'tools' => [
                5 => ['number' => 7, 'kind' => 'drill', 'diameter' => 5] + $driven,
                6 => ['number' => 8, 'kind' => 'tap', 'diameter' => 6, 'pitch' => 1] + $driven,
                7 => ['number' => 9, 'kind' => 'end-mill', 'diameter' => 8] + $driven,
            ],
            'offsets' => ['T' => ['7' => ['X' => 0, 'Z' => 0], '8' => ['X' => 0, 'Z' => 0], '9' => ['X' => 0, 'Z' => 0]]],
        ], $changes);
    }
}
