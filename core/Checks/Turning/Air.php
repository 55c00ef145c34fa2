<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A turning tool that is fed a long way through air. */
final class Air extends LatheCheck
{
    /** Seconds nobody minds. */
    private const FEW = 10.0;

    public function name(): string
    {
        return 'turning.air';
    }

    public function why(): string
    {
        return 'Feeding through air costs time on every part. It may also mean that a diameter is left out, or that a pass takes nothing.';
    }

    public function examine(CheckInput $input): iterable
    {
        $works = ($input->turned->cutting ?? []) + array_fill_keys(array_column($input->turned->offCenter->cuts ?? [], 'tool'), true);
        foreach ($input->turned?->isComplete() === true ? $input->turned->air : [] as $number => $cut) {
            if ($cut->by > self::FEW && isset($works[$number])) {
                yield new Finding(
                    $this->name(), Severity::Note, $cut->place, 1, 'T{tool} feeds for {seconds} s without cutting.',
                    ['tool' => $number, 'seconds' => (int) round($cut->by)], 'Should it cut here? If not, go at rapid to just before the part.',
                );
            }
        }
    }
}
