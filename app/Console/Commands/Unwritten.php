<?php

declare(strict_types=1);

namespace App\Console\Commands;

use RuntimeException;

/** An answer that could not be written whole: the disk is full, or nobody reads on. */
final class Unwritten extends RuntimeException
{
}
