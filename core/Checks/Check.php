<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Wording\Finding;

/** One thing to look for in the evidence. Stateless; one class a check, named in the catalogue. */
interface Check
{
    /** The stable name: group.what */
    public function name(): string;

    /** @return iterable<Finding> one for each cause, at the line where it first shows */
    public function examine(CheckInput $input): iterable;
}
