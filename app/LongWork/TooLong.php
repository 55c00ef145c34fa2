<?php

declare(strict_types=1);

namespace App\LongWork;

use RuntimeException;

/** The run has more rows, or takes longer, than somebody should wait for with a page. */
final class TooLong extends RuntimeException
{
}
