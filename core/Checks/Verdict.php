<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** The answer to "may I run this?". Clear means nothing was found, never more than that. */
enum Verdict: string
{
    case Stop = 'stop';
    case Caution = 'caution';
    case Clear = 'clear';

    /** @param  iterable<Finding>  $findings */
    public static function of(iterable $findings): self
    {
        $verdict = self::Clear;
        foreach ($findings as $finding) {
            if ($finding->severity === Severity::Stop) {
                return self::Stop;
            }
            if ($finding->severity === Severity::Caution) {
                $verdict = self::Caution;
            }
        }

        return $verdict;
    }
}
