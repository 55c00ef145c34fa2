<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Quantities\Units;

/**
 * Writes the program of a plan in the words of a control: a safe start, the tools and the raw part as comments, a comment and a
 * block number for each operation, X and Y before Z on the way down and Z first on the way up, no word that says nothing.
 */
final class ProgramWriter
{
    private const BLOCK_STEP = 10;

    private const FIRST_CALLED = 7001;

    /** In tenths. */
    private const REWIND = 300;

    /** @var list<string> */
    private array $lines = [];

    /** @var array<string, string> axis or F => figure in force */
    private array $said = [];

    private string $motion = '';

    private ?float $z = null;

    private ?SheetTool $tool = null;

    private string $offset = '';

    private ?HoleCall $cycle = null;

    private string $pending = '';

    private int $block = 0;

    /** A height somebody is to go to before the next move, where Z is moved by hand. */
    private ?float $asked = null;

    /** @var list<float> depths of the operation at hand, in their order */
    private array $depths = [];

    /** @var list<array{PlannedStep, int}> what is called, and its number */
    private array $called = [];

    private function __construct(private readonly Plan $plan)
    {
    }

    public static function write(Plan $plan): BuiltProgram
    {
        return (new self($plan))->program();
    }

    private function program(): BuiltProgram
    {
        $sheet = $this->plan->sheet;
        if ($sheet->programNumber !== null) {
            $this->lines[] = sprintf('O%04d (%s)', $sheet->programNumber, self::comment($sheet->name));
        } else {
            $this->remark($sheet->name);
        }
        $this->head();
        $operations = [];
        foreach ($this->plan->order() as [$step, $offset]) {
            $from = count($this->lines) + 1;
            $this->step($step, $offset);
            if (count($this->lines) >= $from) {
                $operations[] = ['id' => $step->step->id, 'offset' => $offset, 'lines' => [$from, count($this->lines)]];
            }
        }
        $this->end();

        array_push($operations, ...$this->subprograms());

        return new BuiltProgram($this->lines, $operations);
    }

    private function head(): void
    {
        $sheet = $this->plan->sheet;
        if ($sheet->blank->box !== null) {
            [$low, $high] = [$sheet->blank->box->low, $sheet->blank->box->high];
            $this->remark(sprintf(
                'RAW PART X%s TO %s, Y%s TO %s, Z%s TO %s', ...array_map($this->figure(...), [$low->x, $high->x, $low->y, $high->y, $low->z, $high->z]),
            ));
        }
        $used = array_map(static fn (PlannedStep $step): ?SheetTool => $step->tool, $this->plan->steps);
        foreach ($sheet->tools as $number => $tool) {
            in_array($tool, $used, true) && $this->remark("T{$number} {$tool->tool->name}".($tool->note === '' ? '' : ", {$tool->note}"));
        }
        foreach ($sheet->notes as $note) {
            $this->remark($note);
        }
        $sheet->isByHand && $this->remark('Z by hand: go to each height, then start again');
        $codes = array_filter(array_map($this->code(...), [
            $sheet->units === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre, Code::PlaneXY, Code::Absolute, Code::FeedPerMinute, Code::CutterOff,
            Code::LengthOff, Code::CycleOff,
        ]));
        $this->lines[] = implode(' ', $codes);
    }

    private function end(): void
    {
        $this->cycleOff();
        $this->home();
        $this->say($this->code(Code::SpindleStop));
        // Of several codes that end a program the one that goes back to its start.
        $isRewound = ($this->plan->control->mCodes[self::REWIND] ?? null) === Code::ProgramEnd;
        $this->lines[] = $isRewound ? ControlProfile::written('M', self::REWIND) : (string) $this->code(Code::ProgramEnd);
    }

    private function step(PlannedStep $planned, string $offset): void
    {
        $this->cycleOff();
        if ($planned->tool !== null && $planned->tool !== $this->tool) {
            $this->change($planned->tool);
        }
        // Each operation says all of its words again: it may be begun at, and does not hang on what hands make of the one before.
        $this->said = [];
        $this->motion = '';
        $title = $planned->step->name.(count($this->plan->sheet->workOffsets) > 1 && $planned->tool !== null ? ", {$offset}" : '');
        $this->block += self::BLOCK_STEP;
        $this->lines[] = "N{$this->block} (".self::comment($title).')';
        $figures = $this->plan->sheet->hasFigures ? $this->figuresOf($planned->step) : '';
        $figures === '' || $this->remark($figures);
        if ($planned->tool !== null && $offset !== $this->offset) {
            $this->lift($this->plan->sheet->crossing);
            $this->lines[] = $offset;
            $this->offset = $offset;
        }
        if ($planned->copies !== null) {
            $this->call($planned, $planned->copies);

            return;
        }
        $this->depths = self::depthsOf($planned->moves);
        $this->moves($planned->moves);
    }

    /** @param  list<Move>  $moves */
    private function moves(array $moves): void
    {
        foreach ($moves as $move) {
            $this->move($move);
        }
        $this->cycleOff();
        $this->askForHeight();
    }

    /**
     * Copies as calls of a subprogram, its zero shifted or its path turned.
     *
     * @param  list<Placed>  $copies
     */
    private function call(PlannedStep $planned, array $copies): void
    {
        $number = $this->numberOf($planned);
        $first = $planned->moves[0] ?? new Move(MoveKind::Rapid, 0.0, 0.0);
        $isTurned = false;
        foreach ($copies as $copy) {
            [$x, $y] = $copy->place($first->x ?? 0.0, $first->y ?? 0.0);
            $this->rapid(new Move(MoveKind::Rapid, $x, $y));
            $turned = $copy->turned();
            [$dx, $dy] = $copy->shift() ?? [0.0, 0.0];
            $isTurned = $turned !== null;
            $turned === null
                ? $this->say($this->code(Code::LocalShift), 'X'.$this->figure($dx), 'Y'.$this->figure($dy))
                : $this->say(
                    $this->code(Code::RotateOn), 'X'.$this->figure($turned[0]), 'Y'.$this->figure($turned[1]), 'R'.self::trimmed(sprintf('%.4F', $turned[2])),
                );
            $this->say($this->code(Code::CallSubprogram), $this->plan->control->letters->program.$number);
            $isTurned ? $this->say($this->code(Code::RotateOff)) : $this->say($this->code(Code::LocalShift), 'X0. Y0.');
            $this->said = [];
            $this->motion = '';
            $this->z = $this->endOf($planned);
        }
    }

    /** The same moves are the same subprogram, at whatever work offset they are called. */
    private function numberOf(PlannedStep $planned): int
    {
        foreach ($this->called as [$known, $number]) {
            if ($known === $planned) {
                return $number;
            }
        }
        $number = self::FIRST_CALLED + count($this->called);
        $this->called[] = [$planned, $number];

        return $number;
    }

    /** The height the tool is left at. */
    private function endOf(PlannedStep $planned): float
    {
        $z = $this->plan->sheet->clearHeight();
        foreach ($planned->moves as $move) {
            $z = match ($move->kind) {
                MoveKind::Cycle => $move->cycle?->toInitial === true ? $z : $move->cycle->r ?? $z,
                MoveKind::Retract => max($z, $this->plan->sheet->crossing),
                default => $move->z ?? $z,
            };
        }

        return $z;
    }

    /** @return list<array{id: string, offset: string, lines: array{int, int}}> the subprograms, behind the end of the program */
    private function subprograms(): array
    {
        $written = [];
        foreach ($this->called as [$planned, $number]) {
            $from = count($this->lines) + 1;
            $this->lines[] = sprintf('O%04d (%s)', $number, self::comment($planned->step->name));
            $this->said = [];
            $this->motion = '';
            $this->tool = $planned->tool;
            $this->z = $this->plan->sheet->clearHeight();
            $this->moves($planned->moves);
            $this->say($this->code(Code::SubprogramEnd));
            $written[] = ['id' => $planned->step->id, 'offset' => "O{$number}", 'lines' => [$from, count($this->lines)]];
        }

        return $written;
    }

    private function move(Move $move): void
    {
        if ($move->kind !== MoveKind::Cycle && $move->kind !== MoveKind::Remark) {
            $this->cycleOff();
        }
        match ($move->kind) {
            MoveKind::Rapid => $this->rapid($move),
            MoveKind::RapidInside => $this->motion(Code::Rapid, $move),
            MoveKind::Feed => $this->motion(Code::Feed, $move),
            MoveKind::Clockwise => $this->motion(Code::ArcClockwise, $move),
            MoveKind::CounterClockwise => $this->motion(Code::ArcCounterClockwise, $move),
            MoveKind::Dwell => $this->say($this->code(Code::Dwell), $this->dwell($move->seconds)),
            MoveKind::Stop => $this->stop($move->text),
            MoveKind::Remark => $this->remark($move->text),
            MoveKind::Cycle => $this->cycle($move),
            MoveKind::CutterLeft => $this->pending = $this->cutter(Code::CutterLeft),
            MoveKind::CutterRight => $this->pending = $this->cutter(Code::CutterRight),
            MoveKind::CutterOff => $this->pending = (string) $this->code(Code::CutterOff),
            MoveKind::Retract => $this->lift($this->plan->sheet->crossing),
        };
    }

    private function cutter(Code $side): string
    {
        return "{$this->code($side)} {$this->plan->control->letters->cutterNumber}".($this->tool->tool->number ?? 0);
    }

    /** Across the part at a height that is clear of it; the first time with a tool down to the height where the part is crossed. */
    private function rapid(Move $move): void
    {
        $isAcross = $move->x !== null || $move->y !== null;
        if ($isAcross && $this->z !== null) {
            $this->lift($this->plan->sheet->clearHeight());
        }
        $this->motion(Code::Rapid, $move);
        if ($isAcross && $this->z === null) {
            $tool = $this->tool ?? throw new \LogicException('No tool is in the spindle.');
            $coolant = match ($tool->coolant) {
                'flood' => $this->code(Code::FloodOn),
                'mist' => $this->code(Code::MistOn),
                default => null,
            };
            if ($this->plan->sheet->isByHand) {
                $this->say($coolant);
            } else {
                $this->say(
                    $this->code(Code::LengthAdd), "{$this->plan->control->letters->lengthNumber}{$tool->tool->number}",
                    $this->word('Z', $this->plan->sheet->crossing), $coolant,
                );
            }
            $this->z = $this->plan->sheet->crossing;
        }
    }

    private function motion(Code $code, Move $move): void
    {
        if ($this->plan->sheet->isByHand && $move->z !== null) {
            $this->asked = $move->z;
            $this->z = $move->z;
            if ($move->x === null && $move->y === null) {
                return;
            }
            $move = new Move($move->kind, $move->x, $move->y, null, $move->i, $move->j, $move->feed);
        }
        $written = (string) $this->code($code);
        $words = [];
        $from = [(float) ($this->said['X'] ?? 0.0), (float) ($this->said['Y'] ?? 0.0)];
        foreach (['X' => $move->x, 'Y' => $move->y, 'Z' => $move->z] as $axis => $value) {
            $words[] = $value === null ? null : $this->word($axis, $value);
        }
        if ($code === Code::ArcClockwise || $code === Code::ArcCounterClockwise) {
            array_push($words, ...$this->center($move, $from));
        }
        $words = array_filter($words);
        if ($words === []) {
            return; // it stands there already
        }
        if ($this->plan->sheet->isByHand) {
            $this->askForHeight();
        }
        $feed = $code === Code::Rapid || $move->feed === null ? null : $this->word('F', $move->feed);
        $isSame = $written === $this->motion;
        $pending = $this->pending;
        $this->pending = '';
        $this->say($pending, $isSame ? null : $written, ...[...$words, $feed]);
        $this->motion = $written;
        $this->z = $move->z ?? $this->z;
    }

    /**
     * The centre of an arc from its start, of the figures beside it those that have start and end at the same distance.
     *
     * @param  array{float, float}  $from  start, as it is written
     * @return list<string>
     */
    private function center(Move $move, array $from): array
    {
        $unit = $this->plan->sheet->units->millimetres();
        $step = 10 ** -$this->plan->sheet->units->decimals();
        $to = [(float) ($this->said['X'] ?? 0.0), (float) ($this->said['Y'] ?? 0.0)];
        [$i, $j] = [round($move->i / $unit / $step), round($move->j / $unit / $step)];
        $best = [INF, $i, $j];
        for ($n = 0; $n < 9; $n++) {
            [$ci, $cj] = [($i + [0, 1, -1][$n % 3]) * $step, ($j + [0, 1, -1][intdiv($n, 3)]) * $step];
            $apart = abs(hypot($ci, $cj) - hypot($from[0] + $ci - $to[0], $from[1] + $cj - $to[1]));
            if ($apart < $best[0] - 1e-3 * $step) {
                $best = [$apart, $i + [0, 1, -1][$n % 3], $j + [0, 1, -1][intdiv($n, 3)]];
            }
        }

        return ['I'.$this->figure($best[1] * $step * $unit), 'J'.$this->figure($best[2] * $step * $unit)];
    }

    /** Up, never down. */
    private function lift(float $z): void
    {
        if ($this->z !== null && $this->z < $z - 1e-9) {
            $this->motion(Code::Rapid, new Move(MoveKind::Rapid, z: $z));
        }
    }

    /**
     * Depths below the clear height, each once.
     *
     * @param  list<Move>  $moves
     * @return list<float>
     */
    private static function depthsOf(array $moves): array
    {
        $depths = [];
        foreach ($moves as $n => $move) {
            $next = $moves[$n + 1] ?? null;
            // Of several heights on the spot the last one counts.
            $isLast = $next === null || $next->z === null || $next->x !== null || $next->y !== null;
            if ($move->z !== null && $isLast && $move->kind !== MoveKind::Rapid && ! in_array($move->z, $depths, true)) {
                $depths[] = $move->z;
            }
        }

        return $depths;
    }

    /** Somebody goes to the height that is wanted: a message, and a stop. */
    private function askForHeight(): void
    {
        if ($this->asked === null) {
            return;
        }
        $n = array_search($this->asked, $this->depths, true);
        $of = $n === false || count($this->depths) < 2 ? '' : sprintf(', %d OF %d', $n + 1, count($this->depths));
        $this->handStop("Z {$this->height($this->asked)}{$of}");
        $this->asked = null;
    }

    private function handStop(string $text): void
    {
        $this->remark($text);
        $this->say($this->code(Code::ProgramStop));
        // Whoever stops a program may stop the spindle as well.
        $this->say($this->code(Code::SpindleClockwise));
    }

    /** With all of its decimals, as it stands on a scale. */
    private function height(float $millimetres): string
    {
        $units = $this->plan->sheet->units;

        return number_format(round($millimetres / $units->millimetres(), $units->decimals()) + 0.0, $units->decimals(), '.', '');
    }

    private function cycle(Move $move): void
    {
        if ($this->plan->sheet->isByHand && $move->cycle !== null) {
            $this->motion(Code::Rapid, new Move(MoveKind::Rapid, $move->x, $move->y));
            // Down past it and up to where it came from.
            $this->asked = null;
            $this->z = $this->plan->sheet->crossing;
            $this->handStop("Z {$this->height($move->cycle->bottom)} AND UP");

            return;
        }
        $call = $move->cycle ?? throw new \LogicException('A cycle has its figures.');
        if ($this->cycle === $call) {
            $this->say($move->x === null ? null : $this->word('X', $move->x), $move->y === null ? null : $this->word('Y', $move->y));

            return;
        }
        $this->cycleOff();
        $letters = $this->plan->control->letters;
        $this->say(
            $this->code($call->toInitial ? Code::ReturnInitial : Code::ReturnR), $this->code($call->code), 'X'.$this->figure($move->x ?? 0.0),
            'Y'.$this->figure($move->y ?? 0.0), 'Z'.$this->figure($call->bottom), 'R'.$this->figure($call->r),
            $call->peck === null ? null : $letters->peck.$this->figure($call->peck), $call->dwell === null ? null : $this->dwell($call->dwell),
            'F'.$this->figure($call->feed),
        );
        foreach (['X' => $move->x ?? 0.0, 'Y' => $move->y ?? 0.0, 'F' => $call->feed] as $letter => $value) {
            $this->said[$letter] = $this->figure($value);
        }
        $this->cycle = $call;
    }

    private function cycleOff(): void
    {
        $cycle = $this->cycle;
        if ($cycle === null) {
            return;
        }
        $this->say($this->code(Code::CycleOff));
        // Cycles end at their height of return, and leave no motion in force.
        $this->z = $cycle->toInitial ? $this->z : $cycle->r;
        $this->said['Z'] = $this->figure($this->z ?? 0.0);
        $this->motion = '';
        $this->cycle = null;
    }

    private function change(SheetTool $tool): void
    {
        $number = $tool->tool->number;
        if ($this->tool !== null) {
            $this->home();
            $stop = ['optional' => Code::OptionalStop, 'program' => Code::ProgramStop][$tool->stop] ?? null;
            $this->say($stop === null ? null : $this->code($stop));
        }
        $this->remark("T{$number} {$tool->tool->name}");
        $this->say("T{$number}", $this->code(Code::ToolChange));
        $this->say('S'.round($tool->rpm ?? 0.0), $this->code(Code::SpindleClockwise));
        $this->tool = $tool;
        $this->offset = '';
        $this->z = null;
        $this->said = [];
        $this->motion = '';
    }

    private function stop(string $text): void
    {
        $this->remark($text);
        $this->say($this->code(Code::ProgramStop));
        // Whoever stops a program may stop the spindle as well.
        if ($this->tool !== null) {
            $this->say('S'.round($this->tool->rpm ?? 0.0), $this->code(Code::SpindleClockwise));
        }
    }

    private function home(): void
    {
        $this->say($this->code(Code::CoolantOff));
        if ($this->plan->sheet->isByHand) {
            $this->asked = $this->plan->sheet->crossing;
            $this->askForHeight();

            return;
        }
        $this->say($this->code(Code::MachineCoordinates), $this->code(Code::Rapid), 'Z'.$this->figure($this->plan->sheet->homeZ));
        $this->motion = '';
        $this->said = [];
    }

    private function dwell(float $seconds): string
    {
        return $this->plan->control->letters->dwell.($this->plan->control->options->dwellUnit === DwellUnit::Milliseconds
            ? (string) (int) round(1000 * $seconds) : self::trimmed(number_format($seconds, 3, '.', '')));
    }

    /** A word that says something new; null where that is in force already. */
    private function word(string $letter, float $value): ?string
    {
        $figure = $this->figure($value);
        if (($this->said[$letter] ?? null) === $figure) {
            return null;
        }
        $this->said[$letter] = $figure;

        return $letter.$figure;
    }

    private function figure(float $millimetres): string
    {
        $units = $this->plan->sheet->units;

        return self::trimmed(number_format(round($millimetres / $units->millimetres(), $units->decimals()) + 0.0, $units->decimals(), '.', ''));
    }

    /** With its point, and no noughts behind it. */
    private static function trimmed(string $figure): string
    {
        return rtrim($figure, '0');
    }

    private function code(Code $code): ?string
    {
        return $this->plan->control->codeOf($code);
    }

    private function say(?string ...$words): void
    {
        $words = array_filter($words, static fn (?string $word): bool => $word !== null && $word !== '');
        if ($words !== []) {
            $this->lines[] = implode(' ', $words);
        }
    }

    private function remark(string $text): void
    {
        $this->lines[] = '('.self::comment($text).')';
    }

    /** What was answered from the drawing, for whoever reads the program; empty where nothing was. */
    private function figuresOf(Step $step): string
    {
        $figures = [];
        foreach (OperationCatalogue::named($step->kind)?->asks() ?? [] as $ask) {
            $given = $step->given[$ask->field] ?? null;
            $sign = is_array($given) && isset($given['radius']) ? 'R' : '';
            $given = is_array($given) && $ask->kind === AskKind::Size ? $given['diameter'] ?? $given['radius'] ?? $given['width'] ?? null : $given;
            $isFigure = $ask->kind === AskKind::Length || $ask->kind === AskKind::Size;
            if (! $ask->isCutting && $isFigure && is_scalar($given) && $given !== '') {
                $worked = Typed::value($given, $this->plan->sheet->units, $this->plan->sheet->names) * $this->plan->sheet->units->millimetres();
                $figures[] = "{$ask->words} {$sign}{$this->figure($worked)}";
            }
        }

        return implode(', ', $figures);
    }

    /** As a control shows it: capitals, and no brackets inside. */
    private static function comment(string $text): string
    {
        return trim(
            (string) preg_replace('/[^\x20-\x7E]+/', ' ', strtr(mb_strtoupper($text), ['(' => '[', ')' => ']', 'Ø' => 'D', '°' => ' DEG', '−' => '-'])),
        );
    }
}
