<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** G41 where G42 is meant: the tool comes from outside of a closed outline and runs inside of it, or the other way round. */
final class WrongSide extends MillCheck
{
    public function name(): string
    {
        return 'compensation.wrong-side';
    }

    public function why(): string
    {
        return 'On the wrong side every wall is off by the diameter of the cutter. Outside becomes inside, and the part is scrap in one pass.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('compensation-wrong-side') as [$notice, $also]) {
            $isLeft = $notice->word('side') === 'left';
            $switch = $input->editWriter->placeOf($notice->line, $isLeft ? Code::CutterLeft : Code::CutterRight);
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, 1,
                'T{tool} comes from {comes} the outline and then runs {runs} it: it crosses the line that it should follow.',
                $notice->figures + ['tool' => $input->toolAt($notice->line)],
                'Swap {code cutter-left} and {code cutter-right}, or run the outline the other way round.', $also,
                $switch === null ? null : $input->editWriter->exchange(
                    $switch, $isLeft ? Code::CutterLeft : Code::CutterRight, $isLeft ? Code::CutterRight : Code::CutterLeft,
                ),
            );
        }
    }
}
