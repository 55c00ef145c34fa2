<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Pecking in a material that hardens where a drill rubs. */
final class WorkHardeningPeck extends MillCheck
{
    /** Materials known for it (common practice). */
    private const HARDENS = '/stainless|titanium|nickel|manganese/i';

    public function name(): string
    {
        return 'cutting.work-hardening-peck';
    }

    public function why(): string
    {
        return 'This material hardens where it is rubbed. Each peck makes the next one harder to start.';
    }

    public function examine(CheckInput $input): iterable
    {
        $material = $input->setup->workpiece->material;
        if ($material === null || preg_match(self::HARDENS, $material) !== 1) {
            return;
        }
        foreach ($input->cuts->firstCut as $number => $line) {
            if (CycleCatalogue::inForce($input->trace->states[$number]->cycle)?->pecks() === true) {
                yield new Finding(
                    $this->name(), Severity::Note, $line, 1, 'Pecking in {material}: each peck rubs on the bottom it has hardened.',
                    ['material' => $material], 'Where the depth allows, drill through in one stroke at a firm feed.',
                );

                return;
            }
        }
    }
}
