<?php

declare(strict_types=1);

namespace App\LongWork;

use RuntimeException;

/** The reading takes longer than somebody should wait for a page. */
final class TooLong extends RuntimeException
{
}
