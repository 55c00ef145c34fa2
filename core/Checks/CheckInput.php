<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;

/** What the checks look at: the run, and the slips of the pen that explain what is odd about it. */
final class CheckInput extends SurveyedRun
{
    private ?EntryErrorSurvey $entryErrors = null;

    private ?Outline $outline = null;

    public function entryErrors(): EntryErrorSurvey
    {
        return $this->entryErrors ??= EntryErrorSurvey::of($this);
    }

    public function outline(): Outline
    {
        return $this->outline ??= Outline::of($this->trace, $this->setup);
    }

    /**
     * What moves did to the stock, where it was simulated: of each tool at each piece the first of them, the lowest or the deepest, and
     * the lines of all. What a slip of a depth explains is not told again.
     *
     * @return list<array{Cut, list<int>}>
     */
    public function incidents(Incident $incident, bool $lowest = false, bool $deepest = false): array
    {
        $found = [];
        foreach ($this->stock?->incidents->of($incident) ?? [] as $cuts) {
            $byPiece = [];
            foreach ($cuts as $cut) {
                if (! $this->entryErrors()->explainsDepth($cut->line)) {
                    $byPiece[$cut->stock][] = $cut;
                }
            }
            foreach ($byPiece as $cuts) {
                $told = $cuts[0];
                foreach ($lowest ? $cuts : [] as $cut) {
                    $told = $cut->z < $told->z - 1e-6 || ($cut->z < $told->z + 1e-6 && $cut->by > $told->by + 1e-6) ? $cut : $told;
                }
                foreach ($deepest ? $cuts : [] as $cut) {
                    $told = $cut->by > $told->by + 1e-6 ? $cut : $told;
                }
                $found[] = [$told, array_map(static fn (Cut $cut): int => $cut->line, $cuts)];
            }
        }

        return $found;
    }
}
