<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** What has to be known of a turned size beside where it is and how large. */
interface SizeShape
{
}
