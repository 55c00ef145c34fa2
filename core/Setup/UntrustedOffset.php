<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** Why an offset of the setup is not to be relied on, until it is touched off anew. */
final readonly class UntrustedOffset
{
    /**
     * @param  bool  $isCopied  whether it came with a copied setup; otherwise touching it off was begun and not finished
     * @param  string|null  $at  when that was, as somebody would write it
     * @param  string|null  $from  the setup it was copied from
     */
    public function __construct(public bool $isCopied, public ?string $at = null, public ?string $from = null)
    {
    }
}
