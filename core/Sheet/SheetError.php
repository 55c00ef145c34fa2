<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use RuntimeException;

/** A sheet no program can be written from, with every reason by field. What was typed stays as it is. */
final class SheetError extends RuntimeException
{
    /** @param  array<string, string>  $fields  dotted field => what is wrong; '' for the sheet as a whole */
    public function __construct(public readonly array $fields)
    {
        parent::__construct(implode('; ', array_map(
            static fn (string $field, string $reason): string => $field === '' ? $reason : "{$field}: {$reason}", array_keys($fields), $fields,
        )));
    }
}
