<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DIs;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Interpreter\Moment;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Wording\Wording;

/** What each word of a block does, in the block it stands in and with what is in force there. */
final readonly class WordMeanings
{
    private const CENTRES = ['I' => AxisName::X, 'J' => AxisName::Y, 'K' => AxisName::Z];

    private Wording $wording;

    public function __construct(private Setup $setup, private Moment $moment)
    {
        $this->wording = new Wording($moment->after->state->modes->units);
    }

    /** @return list<array{string, string}> word and meaning, codes first */
    public function all(): array
    {
        $block = $this->moment->block;
        $control = $this->setup->machine->control;
        $meanings = [];
        foreach (['G' => $block->g, 'M' => $block->m] as $letter => $numbers) {
            $table = $letter === 'G' ? $control->gCodes : $control->mCodes;
            foreach ($numbers as $number) {
                $code = $table[$number] ?? null;
                $meanings[] = [$control::written($letter, $number), $code === null ? 'not a code of '.$control->title : $this->code($code, $number)];
            }
        }
        foreach ($block->words as $letter => $value) {
            $meanings[] = [$letter.self::number($value), $this->word($letter, $value)];
        }
        foreach ($this->switches() as $switch => $decides) {
            $meanings[] = [$switch, $decides];
        }

        return $meanings;
    }

    /** Only what is under the letter of its own may be milliseconds. */
    private function wait(string $letter, float $value): string
    {
        $control = $this->setup->machine->control;
        $isMilliseconds = $letter === $control->letters->dwell && $control->options->dwellUnit === DwellUnit::Milliseconds;

        return 'time to wait: '.self::number($isMilliseconds ? $value / 1000 : $value).' s';
    }

    private function code(Code $code, int $number): string
    {
        $state = $this->moment->after->state;

        return match (true) {
            $code === Code::WorkOffset || $code === Code::ExtendedWorkOffset => 'work offset '.$state->work->name,
            $code === Code::CutterLeft, $code === Code::CutterRight => $code->words().', with '
                .$this->setup->machine->control->letters->cutterNumber.$state->cutter->number.': '.$this->length($state->cutter->radius).' beside it',
            default => $code->words(),
        };
    }

    private function word(string $letter, float $value): string
    {
        if ($this->has(Code::Dwell) && in_array($letter, [$this->setup->machine->control->letters->dwell, AxisName::X, 'U'], true)) {
            return $this->wait($letter, $value);
        }
        $words = new TurningWords($this->setup, $this->moment, $this->wording);

        return ($this->setup->machine->isLathe() ? $words->of($letter, $value) : $words->corner($letter, $value)) ?? $this->usual($letter, $value);
    }

    private function usual(string $letter, float $value): string
    {
        $state = $this->moment->after->state;
        $words = $this->setup->machine->control->letters;
        if (isset($this->setup->machine->axisIndex[$letter])) {
            return $this->place($letter, $value);
        }

        return match (true) {
            $letter === 'N' => 'block number; nothing moves',
            $letter === 'F' => $this->feed($value),
            $letter === 'S' => $state->spindle->surfaceSpeed === null
                ? 'spindle speed '.self::number($value).' rev/min'
                : 'surface speed '.self::number($value),
            $letter === 'T' => 'selects tool '.(int) $value.' ('.(
                ($this->setup->tooling->tools[(int) $value] ?? null)->name ?? 'not in the setup'
            ).'); it comes in at the tool change',
            $letter === $words->lengthNumber => 'length offset '.(int) $value.': '.$this->offset($this->setup->tooling->lengthOffsets[(int) $value] ?? null),
            $letter === $words->cutterNumber => 'cutter offset '.(int) $value.': '.$this->offset($this->setup->tooling->diameterOffsets[(int) $value] ?? null),
            default => $this->byContext($letter, $value),
        };
    }

    private function place(string $letter, float $value): string
    {
        $state = $this->moment->after->state;
        if ($this->has(Code::MachineCoordinates)) {
            return "{$letter} to machine position ".$this->onAxis($letter, $value);
        }
        if ($this->has(Code::SetPosition, Code::LocalShift, Code::SetOffsets)) {
            return "{$letter} is part of the shift: ".$this->onAxis($letter, $value);
        }
        if ($state->modes->polar && ($letter === $state->modes->plane->first() || $letter === $state->modes->plane->second())) {
            return $letter === $state->modes->plane->first() ? 'radius '.$this->onAxis($letter, $value) : 'angle '.self::number($value).'°';
        }
        if ($state->cycle !== null && $letter === $this->setup->machine->holeAxis($state->modes->plane, $state->cycle)) {
            return 'bottom of the hole: '.$this->onAxis($letter, $value).($state->modes->absolute ? ' from program zero' : ' from R');
        }

        return $state->modes->absolute
            ? "{$letter} to ".$this->onAxis($letter, $value).' from program zero'
            : "{$letter} on by ".$this->onAxis($letter, $value).' from the present position';
    }

    private function byContext(string $letter, float $value): string
    {
        $state = $this->moment->after->state;
        $words = $this->setup->machine->control->letters;
        if ($this->has(Code::CallBlocks)) {
            return $letter === $words->program ? 'the block it begins at: N'.(int) $value : 'run '.(int) $value.' times';
        }
        if ($this->has(Code::CallSubprogram, Code::CallMacro, Code::CallAfterMoves)) {
            return match ($letter) {
                $words->program => 'the program called: O'.(int) $value,
                $words->callRepeats => 'run '.(int) $value.' times',
                default => 'handed to the macro as its '.$letter,
            };
        }
        if ($this->has(Code::RotateOn) && $letter === 'R') {
            return 'angle of rotation: '.self::number($value).'°, counter-clockwise';
        }
        if ($state->cycle !== null) {
            return match ($letter) {
                'R' => 'R level: '.$this->length($value * $this->unit()),
                $words->peck => 'depth of each peck, or step aside: '.$this->length($value * $this->unit()),
                $words->dwell => 'wait at the bottom',
                $words->cycleRepeats => (int) $value.' times',
                default => 'belongs to the cycle',
            };
        }
        if (isset(self::CENTRES[$letter])) {
            return 'centre of the arc in '.self::CENTRES[$letter].': '.$this->length($value * $this->unit()).' from '.(
                $this->has(Code::CenterAbsolute) ? 'program zero' : 'its start'
            );
        }

        return match ($letter) {
            'R' => 'radius '.$this->length(abs($value) * $this->unit()).($value < 0 ? ', the long way round' : ''),
            default => 'belongs to the codes of this block',
        };
    }

    private function feed(float $value): string
    {
        $state = $this->moment->after->state;

        return match ($state->modes->feedMode) {
            Code::FeedPerRevolution => 'feed '.$this->length($value * $this->unit()).' a revolution',
            Code::InverseTime => 'the whole move takes '.self::number($value === 0.0 ? 0.0 : 60 / $value).' s',
            default => 'feed '.(
                $this->turnsAlone()
                    ? self::number($value).'° a minute, since rotary axes alone move' : $this->wording->figure(Quantity::feed($value * $this->unit()))
            ),
        };
    }

    /** Whether nothing but rotary axes moves in the block. */
    private function turnsAlone(): bool
    {
        [$before, $after] = [$this->moment->before->axes, $this->moment->after->axes];
        $moved = array_filter(array_keys($after), static fn (int $axis): bool => $after[$axis] !== $before[$axis]);
        $names = array_map(fn (int $axis): string => $this->setup->machine->axisNames[$axis], $moved);

        return $names !== [] && array_filter($names, AxisName::isRotary(...)) === $names;
    }

    /** @return array<string, string> switches of the profile that decided something here, and what */
    private function switches(): array
    {
        $block = $this->moment->block;
        $switches = $this->setup->machine->control->options;
        $letter = $this->setup->machine->control->letters->cutterNumber;
        $words = new TurningWords($this->setup, $this->moment, $this->wording);
        $found = $this->setup->machine->isLathe() ? (new TurningSwitches($this->setup, $this->moment, $words))->all() : [];
        $saysCycle = TurningCatalogue::repeated(array_intersect_key($this->setup->machine->control->gCodes, array_flip($block->g))) !== null;
        $corners = $switches->turning->cornerWords->letters();
        if (array_intersect_key($block->words, array_flip($corners)) !== []) {
            $found['Corner words'] = 'this control breaks corners with '.implode(' and ', $corners);
        }
        // What a peck without a point is on a lathe is a switch of its own.
        $counts = $this->setup->machine->isLathe() && $this->moment->after->state->cycle !== null ? 'XYZUVWABCIJKR' : 'XYZUVWABCIJKRQ';
        if (! $saysCycle && $block->withoutPoint !== '' && strpbrk($block->withoutPoint, $counts) !== false) {
            $found['No decimal point'] = $switches->bareNumbers === BareNumbers::LeastIncrements
                ? 'this control counts a number without a point in least increments'
                : 'this control takes a number without a point in whole units';
        }
        if ($this->has(Code::Dwell) && isset($block->words[$this->setup->machine->control->letters->dwell])) {
            $found['Dwell'] = 'this control counts the dwell in '.$switches->dwellUnit->value;
        }
        if ($this->moment->after->state->cutter->side !== 0 && ($this->has(Code::CutterLeft, Code::CutterRight) || isset($block->words[$letter]))) {
            $found[$letter] = 'this control takes the cutter offset as a '.($switches->dIs === DIs::Diameter ? 'diameter' : 'radius');
        }

        return $found + $this->switchesOfMotion();
    }

    /** @return array<string, string> */
    private function switchesOfMotion(): array
    {
        $switches = $this->setup->machine->control->options;
        $found = [];
        if (
            $this->moment->after->motion === Code::Rapid && $switches->rapidPath->value === 'independent'
            && $this->moment->before->axes !== $this->moment->after->axes && $this->moment->after->state->cycle === null
        ) {
            $found['Rapid'] = 'this control moves each axis at its own rate, so the path bends';
        }
        if ($this->moment->after->state->cycle === Code::PeckDrill) {
            $found['Peck'] = 'this control comes back to '.$this->length($switches->peckClearance).' above the last depth';
        }
        if ($this->moment->after->state->cycle === Code::ChipBreakDrill) {
            $found['Chip break'] = 'this control backs off '.$this->length($switches->chipBreakRetract);
        }

        return $found;
    }

    private function has(Code ...$codes): bool
    {
        $control = $this->setup->machine->control;
        foreach ([
            ...array_map(static fn (int $number): ?Code => $control->gCodes[$number] ?? null, $this->moment->block->g),
            ...array_map(static fn (int $number): ?Code => $control->mCodes[$number] ?? null, $this->moment->block->m),
        ] as $code) {
            if ($code !== null && in_array($code, $codes, true)) {
                return true;
            }
        }

        return false;
    }

    private function unit(): float
    {
        return $this->moment->after->state->modes->units->millimetres();
    }

    private function onAxis(string $letter, float $value): string
    {
        $axis = $this->setup->machine->axes[$letter];

        return $this->wording->figure($axis->shown($axis->isRotary() ? $value : $value * $this->unit() * ($axis->isDiameter ? 0.5 : 1.0)));
    }

    private function length(float $millimetres): string
    {
        return $this->wording->figure(Quantity::length($millimetres));
    }

    private function offset(?Offset $offset): string
    {
        return $offset === null ? 'not set' : $this->length($offset->total()).($offset->wear === 0.0 ? '' : ', '.$this->length($offset->wear).' of it wear');
    }

    private static function number(float $value): string
    {
        return rtrim(rtrim(sprintf('%.4F', $value), '0'), '.');
    }
}
