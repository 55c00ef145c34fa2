<?php

declare(strict_types=1);

namespace App\LongWork;

use RuntimeException;

/** Whoever asked has asked about a newer text meanwhile. */
final class Superseded extends RuntimeException
{
}
