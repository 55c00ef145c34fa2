<?php

declare(strict_types=1);

namespace App\LongWork;

use RuntimeException;

/** Somebody has asked for the work to be stopped. */
final class Stopped extends RuntimeException
{
}
