<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use RuntimeException;

/** A change of text that cannot be made as asked. The message says why, in the machinist's words. */
final class TransformProblem extends RuntimeException
{
}
