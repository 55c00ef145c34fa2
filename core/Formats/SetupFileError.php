<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use RuntimeException;

/** A setup file that cannot be used, with every reason by field. */
final class SetupFileError extends RuntimeException
{
    /** @param  array<string, string>  $fields dotted field => what is wrong; '' for the file as a whole */
    public function __construct(public readonly array $fields)
    {
        $lines = [];
        foreach ($fields as $field => $reason) {
            $lines[] = $field === '' ? $reason : $field.': '.$reason;
        }
        parent::__construct(implode('; ', $lines));
    }
}
