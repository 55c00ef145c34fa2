<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\Code;

/** A hole stroke by stroke, for a control that has no cycle for it. */
final class WrittenHole
{
    /** Short of what is drilled already, on the way back down, and back to break a chip, mm (common practice). */
    private const SHORT = 0.5;

    private const BREAK = 0.25;

    /** Whether it can be made without a cycle: not what turns the spindle back or stops it at the bottom. */
    public static function has(Code $code): bool
    {
        return in_array($code, [Code::Drill, Code::DrillDwell, Code::PeckDrill, Code::ChipBreakDrill, Code::Bore, Code::BoreDwell], true);
    }

    /** From above its place down and up again. */
    public static function add(Path $path, HoleCall $call, float $x, float $y): void
    {
        $path->rapid($x, $y)->rapid(z: $call->r);
        for ($z = $call->r - ($call->peck ?? INF); $z > $call->bottom + 1e-6; $z -= $call->peck ?? INF) {
            $path->feed($call->feed, z: $z);
            $call->code === Code::ChipBreakDrill ? $path->rapid(z: $z + self::BREAK) : $path->rapid(z: $call->r)->rapid(z: $z + self::SHORT);
        }
        $path->feed($call->feed, z: $call->bottom);
        if ($call->dwell !== null) {
            $path->add(new Move(MoveKind::Dwell, seconds: $call->dwell));
        }
        $isFed = $call->code === Code::Bore || $call->code === Code::BoreDwell;
        $isFed ? $path->feed($call->feed, z: $call->r) : $path->rapid(z: $call->r);
        if ($call->toInitial) {
            $path->add(new Move(MoveKind::Retract));
        }
    }
}
