<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\ToolKind;

/** What the comment beside a tool change says of the tool: “(T3 8.5 DRILL)”, “(1/2 END MILL)”, “(M8 X 1.25 TAP)”. */
final class ToolComment
{
    /** Words of a comment => the kind they mean; the first that fits. */
    private const KINDS = [
        '/SPOT/' => ToolKind::SpotDrill, '/CENT(RE|ER)\s*DRILL/' => ToolKind::CenterDrill, '/REAM/' => ToolKind::Reamer,
        '/THREAD\s*MILL/' => ToolKind::ThreadMill, '/BALL/' => ToolKind::BallMill, '/BULL/' => ToolKind::BullMill, '/FACE|SHELL/' => ToolKind::FaceMill,
        '/CHAMFER|DEBURR|SINK/' => ToolKind::ChamferMill, '/BOR(E|ING)\s*BAR|BORING/' => ToolKind::BoringBar, '/ENGRAV/' => ToolKind::Engraver,
        // Behind all that may be there for a thread: a tap drill is no tap.
        '/PROBE/' => ToolKind::Probe, '/DRILL/' => ToolKind::Drill, '/\bTAP\b|\bTAPPING/' => ToolKind::Tap, '/END\s*MILL|\bMILL\b|CUTTER/' => ToolKind::EndMill,
    ];

    private const NUMBER = '(\d+\s*\/\s*\d+|\d*\.\d+|\d+\.?)';

    /** @return array<string, string|float> fields of a tool in the units of the program; none where the comment says nothing of a tool */
    public static function tool(string $comment, Units $units): array
    {
        $text = strtoupper(trim((string) preg_replace('/\bT0*\d+\b\s*[-:=]?/i', ' ', $comment)));
        $fields = [];
        foreach (self::KINDS as $pattern => $kind) {
            if (preg_match($pattern, $text) === 1) {
                $fields['kind'] = $kind->value;

                break;
            }
        }
        if (preg_match('/(\d{2,3})\s*(?:°|DEG)/u', $text, $angle) === 1) {
            $fields['pointAngle'] = (float) $angle[1];
            $text = str_replace($angle[0], ' ', $text); // so that it is taken for no size
        }
        $cutsThread = in_array($fields['kind'] ?? null, [ToolKind::Tap->value, ToolKind::ThreadMill->value], true);
        if ($cutsThread && preg_match('/\bM(\d+(?:\.\d+)?)(?:\s*[X*]\s*(\d*\.?\d+))?/', $text, $thread) === 1) {
            // A metric thread is in millimetres whatever the program is in.
            $unit = $units === Units::Inch ? 25.4 : 1.0;
            $fields['diameter'] = round((float) $thread[1] / $unit, 5);
            $fields += isset($thread[2]) ? ['pitch' => round((float) $thread[2] / $unit, 5)] : [];
        } elseif (
            preg_match('/(?:Ø|\bDIA\.?|\bD\s*=?)\s*'.self::NUMBER.'/u', $text, $size) === 1
            || preg_match('/^[^A-Z0-9.]*'.self::NUMBER.'\s*(?:MM|IN|")?/', $text, $size) === 1
            || preg_match('/'.self::NUMBER.'\s*(?:MM\b|IN\b|")/', $text, $size) === 1
        ) {
            $diameter = self::number($size[1]);
            $fields += $diameter > 0.0 && $diameter < 1000.0 ? ['diameter' => $diameter] : [];
        }

        return isset($fields['kind']) ? $fields : [];
    }

    private static function number(string $text): float
    {
        [$over, $under] = array_pad(explode('/', str_replace(' ', '', $text)), 2, '1');

        return (float) $under > 0.0 ? round((float) $over / (float) $under, 5) : 0.0;
    }
}
