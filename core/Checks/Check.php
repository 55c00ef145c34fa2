<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Finding;

/** One thing to look for in the evidence. Stateless; one class a check, named in the catalogue. */
interface Check
{
    /** The stable name: group.what */
    public function name(): string;

    /** Why it matters, in two sentences, for whoever meets it the first time. */
    public function why(): string;

    /** Whether it means anything on such a machine. */
    public function appliesTo(Machine $machine): bool;

    /** @return iterable<Finding> one for each cause, at the line where it first shows */
    public function examine(CheckInput $input): iterable;

    /** @return iterable<Gap> what it could not look at, since nobody says what it needs */
    public function gaps(CheckInput $input): iterable;
}
