<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;

/** A check that has nothing to weigh: what the reading has noticed is the finding. */
abstract class NoticeCheck extends MachineCheck
{
    public function examine(CheckInput $input): iterable
    {
        foreach ($this->cases() as $case) {
            foreach ($input->folded($case->notice, ...$case->apart) as [$notice, $also]) {
                yield new Finding(
                    $this->name(), $case->severity, $notice->line, $notice->column, $case->text, $notice->figures, $case->remedy,
                    $also, $this->edit($input, $notice),
                );
            }
        }
    }

    /** The change of text that would mend it; most need a hand. */
    protected function edit(CheckInput $input, Notice $notice): ?Edit
    {
        return null;
    }

    /** @return list<NoticeCase> */
    abstract protected function cases(): array;
}
