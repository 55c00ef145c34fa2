<?php

declare(strict_types=1);

namespace App\Shop;

use RuntimeException;

/** Why something cannot be done with a record of the shop, in words for whoever asked for it; nothing was changed. */
final class ShopProblem extends RuntimeException
{
}
