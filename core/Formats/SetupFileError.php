<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Quantity;
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

    /**
     * What is wrong with one field.
     *
     * @param  string  $reason  with %s for each figure in it
     */
    public static function at(string $field, string $reason, float|string ...$figures): self
    {
        return new self([$field => vsprintf($reason, array_map(
            static fn (float|string $figure): string => is_string($figure) ? $figure : Quantity::written($figure), $figures,
        ))]);
    }
}
