<?php

declare(strict_types=1);

namespace OakTrace\Core\Load;

use OakTrace\Core\Formulas\Cantilever;
use OakTrace\Core\Formulas\ChipThickness;
use OakTrace\Core\Formulas\Cusp;
use OakTrace\Core\Formulas\MachiningPower;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\State;

/** Reckons what every cut asks of spindle, tool and grip, and keeps the greatest of each tool. */
final class Loads
{
    /** Share of a way in air, percent, from which on what is seen of the cut is chance. */
    private const UNSEEN = 95;

    /** A stretch of cutting is at least so many diameters long, so that what is left in a corner is no load of its own. */
    private const STRETCH = 0.25;

    /** Wear factor W with tools as they are used, from the same table as the unit powers (from memory). */
    private const WEAR = ['face-mill' => 1.2, 'drill' => 1.3];

    private const USUAL_WEAR = 1.1;

    /** kW for each cm³/s; null where the material is not known. */
    public readonly ?float $unitPower;

    /** @var array<int, Load> tool => the stretch that takes the most power */
    public array $strongest = [];

    /** @var array<int, Load> tool => the stretch that bends it most */
    public array $peakDeflection = [];

    /** @var array<int, array{line: int, chip: float, width: float, feed: float}> tool => its long cut with the thinnest chips, mm */
    public array $thin = [];

    /** The stretch that pushes the part hardest. */
    public ?Load $peakPower = null;

    /**
     * @var array<int, array{float, float}> tool with a round end => length of its cuts beside a wall or another pass, and that length
     *      times how far they are apart
     */
    private array $steps = [];

    private int $tool = 0;

    private float $volume = 0.0;

    private float $seconds = 0.0;

    private float $length = 0.0;

    public function __construct(private readonly Setup $setup)
    {
        $this->unitPower = MachiningPower::unitPower($setup->workpiece->material);
    }

    /**
     * One move that cuts.
     *
     * @param  bool  $plunges  straight down
     * @param  array{volume: float, area: float, over: float, width: float, angle: float, depth: float, air: float|int}  $cut mm, degrees,
     *         the share of its way in air in percent, the most it takes for each mm of its way, 0 where it is too short to tell, and how high
     *         the material before a rounded edge stands
     * @param  float  $below  how far below the top of the stock, mm
     * @return array{float, float} power at the cut, kW, and the thickest chip, mm; NAN where they cannot be reckoned
     */
    public function of(Tool $tool, State $state, int $line, bool $plunges, array $cut, float $seconds, float $length, float $below): array
    {
        $diameter = $tool->geometry->diameter ?? 0.0;
        // What is asked while it cuts, not on the way there. A cut so light that hardly a place of it is seen goes on all along.
        $share = $cut['air'] >= self::UNSEEN ? 1.0 : 1 - $cut['air'] / 100;
        [$seconds, $length] = [$seconds * $share, $length * $share];
        if ($seconds <= 0.0 || $state->spindle->rpm <= 0.0 || $state->spindle->turn === 0 || $diameter <= 0.0) {
            return [NAN, NAN];
        }
        $feed = 60 * $length / $seconds / $state->spindle->rpm / max(1, $tool->geometry->flutes ?? 1);
        $chip = $tool->geometry->flutes === null ? NAN : ($plunges ? $feed : ChipThickness::thickest($feed, min($cut['width'], $diameter), $diameter));
        if (! $plunges) {
            $this->keepThinnest($tool, $line, $cut['width'], $chip, $feed, $length);
            $this->keepStep($tool, $cut, $length);
        }
        if ($this->unitPower === null || $tool->geometry->flutes === null) {
            return [NAN, $chip];
        }
        $wear = self::WEAR[$tool->kind->value] ?? self::USUAL_WEAR;
        $factor = MachiningPower::feedFactor($tool->kind->hasPoint() ? $feed * max(1, $tool->geometry->flutes) : $feed);
        $peak = $cut['area'] * $length / $seconds / 1000;
        $power = MachiningPower::atTheCut($this->unitPower, $factor, max($peak, $cut['volume'] / 1000 / $seconds), $wear);
        if ($tool->number !== $this->tool) {
            [$this->tool, $this->volume, $this->seconds, $this->length] = [$tool->number, 0.0, 0.0, 0.0];
        }
        $this->volume += $cut['volume'];
        $this->seconds += $seconds;
        $this->length += $length;
        if ($this->length >= self::STRETCH * $diameter) {
            $rate = max($peak, $this->volume / 1000 / $this->seconds);
            $this->keep($this->load($tool, $state->spindle->rpm, $line, $rate, $feed, $factor, $wear, $plunges ? null : $cut + ['chip' => $chip], $below));
            [$this->volume, $this->seconds, $this->length] = [0.0, 0.0, 0.0];
        }

        return [$power, $chip];
    }

    private function keepThinnest(Tool $tool, int $line, float $width, float $chip, float $feed, float $length): void
    {
        if ($chip > 0.0 && $chip < ($this->thin[$tool->number]['chip'] ?? INF) && $length > 4 * $tool->radius()) {
            $this->thin[$tool->number] = ['line' => $line, 'chip' => $chip, 'width' => $width, 'feed' => $feed];
        }
    }

    /**
     * Beside the pass before it a ball mill takes as wide a strip as the two are apart.
     *
     * @param  array{volume: float, over: float, width: float}  $cut
     */
    private function keepStep(Tool $tool, array $cut, float $length): void
    {
        if ($tool->kind === ToolKind::BallMill && $cut['over'] > 0.0 && $cut['width'] > 0.0 && $cut['width'] < $tool->radius() && $length > $cut['width']) {
            $step = $this->steps[$tool->number] ?? [0.0, 0.0];
            $this->steps[$tool->number] = [$step[0] + $length, $step[1] + $cut['volume'] / $cut['over']];
        }
    }

    /** How far apart the passes of a ball mill are, by the width of its cuts, mm; null where it made none beside another. */
    public function passesApart(int $tool): ?float
    {
        $step = $this->steps[$tool] ?? null;

        return $step === null ? null : $step[1] / $step[0];
    }

    /** What stands between the passes of a ball mill, mm. */
    public function cusp(int $tool): ?float
    {
        $apart = $this->passesApart($tool);

        return $apart === null ? null : Cusp::height($this->setup->tooling->tools[$tool]->radius(), $apart);
    }

    /**
     * @param  float  $rate  cm³/s
     * @param  array{angle: float, depth: float, chip: float}|null  $cut  null straight down
     */
    private function load(Tool $tool, float $rpm, int $line, float $rate, float $feed, float $factor, float $wear, ?array $cut, float $below): Load
    {
        $diameter = $tool->geometry->diameter ?? 0.0;
        $power = MachiningPower::atTheCut((float) $this->unitPower, $factor, $rate, $wear);
        $force = MachiningPower::force($power, $diameter, $rpm);
        $teeth = max(1, $tool->geometry->flutes ?? 1) * ($cut['angle'] ?? 0.0) / 360;
        if ($cut !== null && $teeth > 0.0 && $teeth < 1.0) {
            // Less than one tooth is in the cut at a time, and that one bears all of it while it is; but no more than its thickest chip takes.
            $force = max($force, min($force / $teeth, 1000 * (float) $this->unitPower * $factor * $wear * $cut['depth'] * $cut['chip']));
        }
        $deflection = $stress = 0.0;
        if ($cut !== null && $tool->holding->stickout !== null) {
            // Above its flutes it is a plain bar, as thick as its shank.
            $bar = [
                $tool->holding->stickout, $tool->geometry->fluteLength ?? $tool->holding->stickout, Cantilever::FLUTED * $diameter,
                $tool->holding->shankDiameter ?? $diameter,
            ];
            $deflection = Cantilever::deflection($force, ...$bar, modulus: $tool->isCarbide === true ? Cantilever::CARBIDE : Cantilever::HIGH_SPEED_STEEL);
            $stress = Cantilever::stress($force, ...$bar);
        }

        return new Load(
            $line, $tool->number, 60 * $rate, $power, MachiningPower::torque($power, $rpm), $force, $feed, $factor, $wear, $deflection, $stress, $below,
            isStraightDown: $cut === null,
        );
    }

    private function keep(Load $load): void
    {
        if ($load->power > ($this->strongest[$load->tool]->power ?? 0.0)) {
            $this->strongest[$load->tool] = $load;
        }
        if ($load->deflection > ($this->peakDeflection[$load->tool]->deflection ?? 0.0)) {
            $this->peakDeflection[$load->tool] = $load;
        }
        // Straight down the edges push against each other, and the part is only turned.
        if (! $load->isStraightDown && $load->force > ($this->peakPower->force ?? 0.0)) {
            $this->peakPower = $load;
        }
    }
}
