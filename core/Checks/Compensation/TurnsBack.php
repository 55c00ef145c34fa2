<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A path that turns back on itself or crosses itself. */
final class TurnsBack extends MachineCheck
{
    private const TEXTS = [
        'back' => 'With compensation on, the path doubles back on itself: the cutter changes sides and gouges what it has left.',
        'across' => 'With compensation on, the path crosses itself: the cutter gouges what it has left.',
    ];

    public function name(): string
    {
        return 'compensation.turns-back';
    }

    public function why(): string
    {
        return 'Where the path doubles back or crosses itself, left becomes right. The cutter gouges what it has just left.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('compensation-turns-back', 'how') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, self::TEXTS[$notice->word('how')], [],
                'Check the order of the points and the side, or cancel compensation before the path comes back.',
                $also,
            );
        }
    }
}
