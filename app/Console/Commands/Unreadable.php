<?php

declare(strict_types=1);

namespace App\Console\Commands;

use RuntimeException;

/** Input of a command that cannot be read: a file, an option. The message says which and why. */
final class Unreadable extends RuntimeException
{
}
