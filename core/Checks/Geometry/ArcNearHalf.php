<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** An arc by its radius of nearly half a turn. */
final class ArcNearHalf extends NoticeCheck
{
    public function name(): string
    {
        return 'geometry.arc-near-half';
    }

    public function why(): string
    {
        return 'Near half a turn, the last digit of the end point decides on which side the centre lies. The arc may bulge to the other side.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'arc-near-half', Severity::Caution,
                'This R arc sweeps {sweep}: so close to 180° that a rounded end point puts its centre on the other side.',
                'Give the centre with I and J.', ['sweep'],
            ),
        ];
    }
}
