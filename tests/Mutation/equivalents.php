<?php

declare(strict_types=1);

// Faults that change nothing a test could find, by file: what stands there, what the fault makes of it, and why. Each was read by itself; none
// stands here because no test has found it.

return [
    'core/Checks/Cutting/Deflection.php' => [
        [
            '$load->deflection <= self::MOST', '$load->deflection < self::MOST',
            'A length that is reckoned from a power of a diameter is never just the limit.',
        ],
    ],
    'core/Checks/Geometry/ArcReversed.php' => [
        ['$found[$line] < 0.0', '$found[$line] < 1.0', 'goesBack() takes no arc of less than half a circle.'],
    ],
    'core/Checks/Heights/RapidLow.php' => [
        [
            "margins->clearance ?? 0.0), 'z'", "margins->clearance ?? 1.0), 'z'",
            'Where there is no clearance nothing is held against it.',
        ],
    ],
    'core/Checks/Turning.php' => [
        ['new self([], $center, $setup, 0.0)', 'new self([], $center, $setup, -1.0)', 'It is asked where things stand, which does not hang on its zero.'],
    ],
    'core/Compensation/Intersection.php' => [
        ['$other->center ?? [0.0, 0.0], $other->radius', '$other->center ?? [0.0, -1.0], $other->radius', 'Here both have a centre.'],
    ],
    'core/Compensation/Segment.php' => [
        [
            'hypot($a[0] - $center[0], $a[1] - $center[1]) ?: 1.0', 'hypot($a[0] - $center[0], $a[1] - $center[1]) ?: 0.0',
            'No arc begins in its centre: the interpreter refuses it.',
        ],
    ],
    'core/Control/Profiles/WideTableMill.php' => [
        ['[120 => 1, 130 => 1, 541 => 1]', '[120 => 2, 130 => 1, 541 => 1]', 'Its keys alone are read.'],
    ],
    'core/Cycles/Turning/Stretch.php' => [
        ['radius($this->fromZ, $this->fromX) ?? 0.0', 'radius($this->fromZ, $this->fromX) ?? -1.0', 'The radius of a line is not asked for.'],
    ],
    'core/Interpreter/Arcs.php' => [
        ['($this->solver->sweep < 0 ? -360.0', '($this->solver->sweep <= 0 ? -360.0', 'No arc goes round by nothing.'],
    ],
    'core/Interpreter/Compensator.php' => [
        ['turningInForce()?->noseToTip()', 'turningInForce()->noseToTip()', 'Nothing is compensated with no offset in force.'],
    ],
    'core/Interpreter/CycleRunner.php' => [
        [
            "\$modal->cycle = \$cycle;\n            \$this->context->recorder->stateChanged();", "\$modal->cycle = \$cycle;\n            ",
            'A block that names a code has changed the state before.',
        ],
    ],
    'core/Interpreter/ProbeContact.php' => [
        ['[($n - 1) / $steps, $n / $steps]', '[($n - 2) / $steps, $n / $steps]', 'The place is sought from a step further back, and found as well.'],
    ],
    'core/Interpreter/StraightLine.php' => [
        ["(\$shape['seen'] & 1 << \$axis)", "(\$shape['seen'] | 1 << \$axis)", 'Blocks that are not taken the quick way are taken the usual one.'],
    ],
    'core/Interpreter/SubprogramText.php' => [
        ['round((float) $code * 10)', 'round($code * 10)', 'Ten times the text of a number is ten times the number.'],
        ['for ($line = 1, $last', 'for ($line = 0, $last', 'There is no line 0, and it reads as an empty one.'],
    ],
    'core/Kinematics/ThreadLag.php' => [
        ['$acceleration <= 0.0 ? 0.0 :', '$acceleration <= 0.0 ? -1.0 :', 'It is the lesser of two, of which the other is never below nothing.'],
    ],
    'core/Kinematics/TurningSolid.php' => [
        ['if (abs($toX - $x) < 1.0E-12) {', 'if (abs($toX - $x) < -0.999999999999) {', 'Where an upright edge ends the next one begins.'],
        ['/ 2 - $center[$a] + $radius * cos(', '/ 2 - $center[$a] - $radius * cos(', 'The corners are the same ones, the other way round.'],
        ['max(0.0, min(1.0, ($across - $x)', 'max(-1.0, min(1.0, ($across - $x)', 'An edge that lies outside is passed over before.'],
        ['$min = $max = [0.0, 0.0, 0.0];', '$min = $max = [0.0, 0.0];', 'All three are set before they are read.'],
    ],
    'core/Language/BlockReader.php' => [
        ["if (\$letter < 'A' || \$letter > 'Z'", "if (\$letter <= 'A' || \$letter > 'Z'", 'A block with A is then read the careful way, which reads the same.'],
    ],
    'core/Language/Expressions/Expression.php' => [
        ['Operation::Xor => ($left != 0.0)', 'Operation::Xor => ($left !== 0.0)', 'Both sides are floats.'],
    ],
    'core/Language/Expressions/ExpressionParser.php' => [
        [
            "if ((\$this->text[\$this->at] ?? '') === '<')", "if ((\$this->text[\$this->at] ?? 'PEST Mutator was here!') === '<')",
            'What stands for the end of the text is no bracket either way.',
        ],
    ],
    'core/Language/LineWords.php' => [
        ["str_contains(\$text, '[') ? 1 : 0", "str_contains(\$text, '[') ? 1 : 1", 'Where there is no bracket one look finds none.'],
    ],
    'core/Language/Program.php' => [
        [
            "\$number <= self::NEAR) {\n            return \$this->nearLine(\$number);", "\$number <= self::NEAR) {\n            ",
            'The same line is then taken out of all of them.',
        ],
    ],
    'core/Language/SourceMap.php' => [
        ['return $this->lines ??= array_sum', 'return $this->lines = array_sum', 'It is counted again, and comes to as much.'],
    ],
    'core/Stock/Body.php' => [
        ['($struck > self::GRAZE ||', '($struck >= self::GRAZE ||', 'struck() gives nothing, or more than that.'],
        [
            '* $field->dx && max($move->y0, $move->y1) + $reach > $field->y && min(', '* $field->dx && max($move->y0, $move->y1) + $reach > $field->y || min(',
            'What does not come over it is only cut for nothing.',
        ],
    ],
    'core/Stock/Measure/Measurement.php' => [
        [
            "\$one->away + \$two->away < \$narrowest['width'] - 1.0E-6", "\$one->away + \$two->away <= \$narrowest['width'] - 1.0E-6",
            'Two widths that differ by just that are one as good as the other.',
        ],
    ],
    'core/Stock/StockRun.php' => [
        ['$this->plunges[$stroke->line] = true', '$this->plunges[$stroke->line] = false', 'Its keys alone are read.'],
        ['if ($number === 0 || $stock === null)', 'if ($number === -1 || $stock === null)', 'The first divided by itself is one.'],
    ],
    'core/Timing/RunTimes.php' => [
        ['max($lines) < $until && min(', 'max($lines) <= $until && min(', 'On the line of a heading nothing moves.'],
        ['$found < $this->heading && (', '$found <= $this->heading && (', 'What is found is the heading itself, and stays so.'],
    ],
    'core/Timing/SurfaceSpeedTime.php' => [
        ['$slow = $this->clamped <= $near', '$slow = $this->clamped < $near', 'Where the two are the same the share worked out is nothing too.'],
    ],
    'core/Timing/Timer.php' => [
        ['$changeX = $x > $beforeX', '$changeX = $x >= $beforeX', 'Of two that are the same the difference is nothing either way.'],
        ['if ($this->stillIn !== $chunk)', 'if ($this->stillIn === $chunk)', 'Then all of a turned contour is timed move by move, which takes as long.'],
        [
            '[$beforeX, $beforeY, $beforeZ] = $this->heading ?: [0.0, 0.0, 0.0]', '[$beforeX, $beforeY, $beforeZ] = $this->heading ?: [0.0, 0.0, -1.0]',
            'With no heading before it, it is not asked for.',
        ],
        [
            '[$fed, $under] = [$feeds[$row], self::runsOn($states[$number], $marks[$row]) ? $number : null]',
            '[$fed] = [$feeds[$row], self::runsOn($states[$number], $marks[$row]) ? $number : null]',
            'Then every move is timed by itself, which takes as long.',
        ],
        [
            '[$beforeX, $beforeY, $beforeZ] = $this->heading ?: [0.0, 0.0, 0.0]', '[$beforeX, $beforeY, $beforeZ] = $this->heading ?: [1.0, 0.0, 0.0]',
            'With no heading before it, it is not asked for.',
        ],
        [
            'if ($axis !== $this->crossAxis && $axis !== $this->alongAxis && array_filter(',
            'if (($axis !== $this->crossAxis || $axis !== $this->alongAxis) && array_filter(',
            'Then a contour is timed move by move where anything moves, which takes as long.',
        ],
        [
            'if ($distance === 0.0 || $rate === INF && $acceleration === INF)', 'if ($distance === 0.0 && ($rate === INF && $acceleration === INF))',
            'No way, or one at no known rate, takes no time in what follows either.',
        ],
        ['$speed * $size > $this->rates[$axis]', '$speed * $size >= $this->rates[$axis]', 'What divides to the rate is the rate.'],
        ['if ($sizeZ > 0.0 && $acceleration', 'if ($sizeZ > -1.0 && $acceleration', 'Nothing times an acceleration is not above the most.'],
    ],
];
