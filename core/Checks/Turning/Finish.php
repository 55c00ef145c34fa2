<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Checks\WantedSizes;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A surface whose feed leaves it rougher than the drawing wants it. */
final class Finish extends LatheCheck
{
    /** Ra of the ridges a round nose leaves, in feed² / radius: 1 / (18 √3) (geometry). */
    private const RIDGES = 0.0321;

    public function name(): string
    {
        return 'turning.finish';
    }

    public function why(): string
    {
        return 'A round nose leaves a fine thread behind it. How deep hangs on feed and nose alone; chatter and wear only add to it.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (WantedSizes::of($input) as $measured) {
            $surface = $measured->surface;
            $nose = $surface === null ? 0.0 : ($input->setup->tooling->tools[$surface->tool] ?? null)->geometry->cornerRadius ?? 0.0;
            if ($surface === null || $measured->size->roughness === null || $nose <= 0.0) {
                continue;
            }
            $roughness = 1000 * self::RIDGES * $surface->feed ** 2 / $nose;
            if ($roughness > $measured->size->roughness + 0.005) {
                yield new Finding(
                    $this->name(), Severity::Caution, $surface->place, 1,
                    '{size} is fed {feed} a turn with a nose of R{nose}: Ra {roughness} µm at best; the drawing wants {wanted} µm.',
                    [
                        'size' => $measured->size->name, 'feed' => Quantity::length($surface->feed), 'nose' => Quantity::length($nose),
                        'roughness' => number_format($roughness, 2, '.', ''), 'wanted' => number_format($measured->size->roughness, 2, '.', ''),
                    ],
                    'Feed less in the last cut, or take a larger nose.', field: 'target',
                );
            }
        }
    }
}
