<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\OutsideCorner;
use OakTrace\Core\Control\RapidPath;
use OakTrace\Core\Geometry\Placement;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\CutterState;
use OakTrace\Core\Trace\SecondSpindle;
use OakTrace\Core\Trace\SpindleState;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Wording\Wording;

/** What is in force, in words: the state at the cursor. */
final readonly class StateWords
{
    private Tip $tip;

    /** @param  Units|null  $units  of everything; those of the setup and of the program where not given */
    public function __construct(private Setup $setup, private ?Units $units = null)
    {
        $this->tip = Tip::inPart($setup);
    }

    /**
     * `words` are what, how it stands, and the same with its figures in the other unit. `shift` is, for each axis, what to take
     * off the machine position to have the one the control shows. `limits` are the heights of the tip at the ends of the tool
     * axis' travel, in the coordinates of the stock and the
     * setup's units.
     *
     * @return array{tool: int, work: string, words: list<array{string, string, string}>, limits: array{float|null, float|null}, shift: object}
     */
    public function of(State $state): array
    {
        $axis = $this->setup->machine->lengthAxis();
        $limits = $this->setup->machine->axes[$axis] ?? null;
        $index = $this->setup->machine->axisIndex[$axis] ?? null;
        $shift = $index === null ? 0.0 : $this->tip->shift($state)[$index];
        $height = fn (?float $limit): ?float => $limit === null ? null : Quantity::length($limit - $shift)->in($this->units ?? $this->setup->units);

        return [
            'tool' => $state->tool,
            'work' => $state->work->name,
            'words' => array_map(
                static fn (array $word, array $other): array => [...$word, $other[1]], $this->words($state, $this->units),
                $this->words($state, ($this->units ?? $state->modes->units) === Units::Inch ? Units::Millimetre : Units::Inch),
            ),
            'limits' => [$height($limits?->min), $height($limits?->max)],
            'shift' => (object) array_combine(
                $this->setup->machine->axisNames,
                array_map(fn (int $axis): float => $this->scaled($axis, $state->shift($axis)), array_keys($this->setup->machine->axisNames)),
            ),
        ];
    }

    private function scaled(int $axis, float $position): float
    {
        $isRotary = $this->setup->machine->axes[$this->setup->machine->axisNames[$axis]]->isRotary();

        return $isRotary ? $position : $position / ($this->units ?? $this->setup->units)->millimetres();
    }

    /**
     * @param  Units|null  $units  the program's where not given
     * @return list<array{string, string}> what, and how it stands
     */
    public function words(State $state, ?Units $units = null): array
    {
        $wording = new Wording($units ?? $state->modes->units);
        $tool = $this->setup->tooling->tools[$state->tool] ?? null;
        $words = [
            ['Tool', $state->tool === 0 ? 'none selected yet' : 'T'.$state->tool.' '.($tool->name ?? '(not in the setup)')],
            ['Spindle', self::spindle($state->spindle, $wording)],
            ['Coolant', $state->coolant->flood ? 'flood' : ($state->coolant->mist ? 'mist' : 'off')],
            ['Work offset', $state->work->name.($state->work->isStated ? '' : ' (not stated)').': '.$this->position($state, $wording)],
            $this->setup->machine->isLathe() ? ['Tool offset', $this->toolOffset($state, $wording)] : ['Length offset', $this->length($state, $wording)],
            [
                'Positions',
                ($state->modes->absolute ? 'absolute' : 'incremental').', '.(
                    $state->modes->units === Units::Inch ? 'inch' : 'millimetre'
                ).', plane '.$state->modes->plane->value,
            ],
        ];
        if ($state->modes->partHeld) {
            $words[] = ['C axis', 'on: the spindle holds the part'];
        }
        if ($state->modes->feedMode !== Code::FeedPerMinute) {
            $words[] = ['Feed', $state->modes->feedMode === Code::FeedPerRevolution ? 'per revolution' : 'inverse time'];
        }
        if ($this->setup->machine->control->options->rapidPath === RapidPath::Independent) {
            $words[] = ['Rapids', 'each axis at its own rate, the path bends (by the profile)'];
        }
        if ($state->cutter->side !== 0) {
            $words[] = ['Compensation', $this->compensation($state->cutter, $wording)];
        }
        if ($state->modes->second !== null) {
            $words[] = ['Second spindle', $this->second($state->modes->second, $wording)];
        }
        if ($state->placement !== null) {
            $words[] = ['Placed', $this->placement($state->placement, $wording)];
        }
        if ($state->modes->polar) {
            $words[] = ['Coordinates', 'radius and angle'];
        }
        if ($state->modes->exactStop) {
            $words[] = ['Corners', 'exact stop'];
        }
        if ($state->cycle !== null) {
            $words[] = ['Cycle', $this->cycle($state->cycle, $state, $wording)];
        }

        return $words;
    }

    /**
     * What a line has changed, with what it has put an end to.
     *
     * @param  list<array{string, string}>  $before
     * @param  list<array{string, string}>  $after
     * @return list<array{string, string}>
     */
    public static function changes(array $before, array $after): array
    {
        $changed = array_values(array_filter($after, static fn (array $word): bool => ! in_array($word, $before, true)));
        foreach (array_diff(array_column($before, 0), array_column($after, 0)) as $name) {
            $changed[] = [$name, match ($name) {
                'Feed' => 'per minute',
                'Coordinates' => 'X, Y and Z',
                'Corners' => 'without exact stop',
                default => 'off',
            }];
        }

        return $changed;
    }

    private function compensation(CutterState $cutter, Wording $wording): string
    {
        $control = $this->setup->machine->control;
        // On a lathe it is the nose, and that stands under the number of the tool offset.
        $from = $this->setup->machine->isLathe() ? ''
            : ', '.$control->letters->cutterNumber.$cutter->number.' (a '.$control->options->dIs->value.' by the profile)';

        return ($cutter->side > 0 ? 'left' : 'right').' of the path by '.$wording->figure(Quantity::length(abs($cutter->radius))).$from.', corners '
            .($control->options->outsideCorner === OutsideCorner::Arc ? 'by arcs' : 'by extended lines');
    }

    private function second(SecondSpindle $second, Wording $wording): string
    {
        $turns = match (true) {
            $second->joined === Code::SpindlesTogether => 'with the main one',
            $second->joined === Code::SpindlesInPhase => 'with the main one, at its angle',
            $second->turn === 0 => 'stopped',
            default => $wording->figure(Quantity::rpm($second->rpm)).($second->turn > 0 ? ' clockwise' : ' counter-clockwise'),
        };
        $isForward = $second->isForward ?? $this->setup->workholding->second->forward ?? false;

        return $turns.($isForward ? ', at the part' : ', back').($second->clamps ? ', its chuck closed' : ', its chuck open')
            .($second->mainOpen ? '; chuck of the main one open' : '');
    }

    private function cycle(Code $cycle, State $state, Wording $wording): string
    {
        $options = $this->setup->machine->control->options;
        $byProfile = match ($cycle) {
            Code::PeckDrill => '; pecks come back to '.$wording->figure(Quantity::length($options->peckClearance)).' above the last depth (by the profile)',
            Code::ChipBreakDrill => '; pecks back off '.$wording->figure(Quantity::length($options->chipBreakRetract)).' (by the profile)',
            default => '',
        };

        return $cycle->words().', back to '.($state->modes->returnToInitial ? 'the initial level' : 'R').$byProfile;
    }

    private function placement(Placement $placement, Wording $wording): string
    {
        $parts = $placement->angle === 0.0 ? [] : ['rotated by '.$wording->figure(Quantity::angle($placement->angle))];
        foreach ($this->setup->machine->axisNames as $axis => $name) {
            $factor = $placement->factors[$axis];
            if ($factor < 0) {
                $parts[] = $name.' mirrored';
            }
            if (abs(abs($factor) - 1) > 1e-9) {
                $parts[] = $name.' scaled by '.rtrim(rtrim(sprintf('%.4F', abs($factor)), '0'), '.');
            }
        }

        return implode(', ', $parts);
    }

    private function position(State $state, Wording $wording): string
    {
        $parts = [];
        foreach ($this->setup->machine->axisNames as $axis => $name) {
            $parts[] = $name.' '.$wording->figure($this->setup->machine->shown($name, $state->work->shift[$axis]));
        }

        return implode('  ', $parts);
    }

    private static function spindle(SpindleState $spindle, Wording $wording): string
    {
        if ($spindle->turn === 0) {
            return 'stopped';
        }
        if ($spindle->surfaceSpeed === null) {
            return ($spindle->isDriven() ? 'driven tool ' : '').$wording->figure(Quantity::rpm($spindle->rpm))
                .($spindle->turn > 0 ? ' clockwise' : ' counter-clockwise');
        }

        return $wording->figure(Quantity::surfaceSpeed($spindle->surfaceSpeed / 1000))
            .($spindle->limit === null ? ', no limit' : ', at most '.$wording->figure(Quantity::rpm($spindle->limit)))
            .($spindle->turn > 0 ? ', clockwise' : ', counter-clockwise');
    }

    /** Of a lathe: what it adds on each axis, and the nose it stands for. */
    private function toolOffset(State $state, Wording $wording): string
    {
        if ($state->length->number === 0) {
            return 'none';
        }
        $offset = $this->setup->turningOffset($state->tool, $state->length->number);
        if ($offset === null) {
            return $state->length->number.': not set';
        }
        $parts = [];
        foreach ($offset->axes as $axis => $value) {
            $parts[] = $axis.' '.$wording->figure($this->setup->machine->shown($axis, $value->total()));
        }

        return $state->length->number.': '.implode('  ', $parts)
            .($offset->nose->total() > 0.0 ? '  R '.$wording->figure(Quantity::length($offset->nose->total())).', tip '.$offset->quadrant : '');
    }

    private function length(State $state, Wording $wording): string
    {
        if ($state->length->number === 0) {
            return 'none';
        }
        $offset = $this->setup->tooling->lengthOffsets[$state->length->number] ?? null;

        return $this->setup->machine->control->letters->lengthNumber.$state->length->number.': '
            .($offset === null ? 'not set' : $wording->figure(Quantity::length($offset->total())))
            .($state->length->sinceToolChange ? '' : ' (of the tool before)');
    }
}
