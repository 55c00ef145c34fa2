<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Checking\SimulatedStock;
use App\LongWork\LongChecks;
use App\Models\Program;
use App\Models\Setup;
use OakTrace\Core\Formats\SetupDrawing;
use OakTrace\Core\Formats\TurnedSetupDrawing;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\HoldPoints\HoldPoint;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup as CoreSetup;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\TurningOffset;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;

/** What goes to the machine on paper: how the part is set up, what is in the machine, what is to be looked at in the first run. */
final readonly class SetupSheet
{
    /** More than a first run stops at. */
    private const MOST_HOLDS = 24;

    private const MOST_FINDINGS = 20;

    private Units $units;

    private Wording $wording;

    /** @param  float  $lift  mm everything is raised by, for a dry run; 0 for the run itself */
    public function __construct(private Setup $setup, private CoreSetup $core, private float $lift, private string $by)
    {
        $this->units = $core->units;
        $this->wording = new Wording($core->units);
    }

    /** @return array<string, mixed> what the page is filled with */
    public function data(): array
    {
        $programs = $this->setup->programs->filter(static fn (Program $program): bool => $program->called_as === null)->values();

        return [
            'part' => $this->setup->part, 'setup' => $this->setup, 'machine' => $this->setup->machine->name,
            'unit' => $this->units === Units::Millimetre ? 'mm' : 'in',
            'date' => now((string) config('oak.time_zone'))->format('Y-m-d H:i'), 'by' => $this->by,
            'drawing' => $this->core->machine->isLathe() ? TurnedSetupDrawing::svg($this->core) : SetupDrawing::svg($this->core),
            'material' => $this->core->workpiece->material, 'lift' => $this->lift === 0.0 ? null : $this->length($this->lift),
            'offsets' => $this->offsets(), 'axes' => $this->core->machine->axisNames,
            'tools' => array_map($this->tool(...), array_values($this->core->tooling->tools)),
            'toolOffsets' => $this->core->machine->isLathe() ? $this->toolOffsets() : null,
            'holding' => $this->holding(), 'programs' => $programs->map($this->program(...))->all(),
        ];
    }

    /** @return list<array{name: string, values: list<string>, trusted: bool}> */
    private function offsets(): array
    {
        $rows = [];
        foreach ($this->core->workOffsets as $name => $position) {
            $rows[] = [
                'name' => $name, 'trusted' => ! isset($this->core->notTrusted[$name]),
                'values' => array_map(fn (string $axis): string => isset($position[$axis]) ? $this->on($axis, $position[$axis] + (
                    $axis === $this->core->machine->lengthAxis() ? $this->lift : 0.0
                )) : '', $this->core->machine->axisNames),
            ];
        }

        return $rows;
    }

    /** @return array<string, string|bool> */
    private function tool(Tool $tool): array
    {
        $h = $this->core->tooling->lengthOffsets[$tool->number] ?? null;
        $d = $this->core->tooling->diameterOffsets[$tool->number] ?? null;

        return [
            'number' => "T{$tool->number}", 'name' => $tool->name, 'diameter' => $this->maybe($tool->geometry->diameter),
            'h' => $h === null ? '' : $this->length($h->total()), 'd' => $d === null ? '' : $this->length($d->total()),
            'length' => $this->maybe($tool->holding->length), 'stickout' => $this->maybe($tool->holding->stickout),
            'trusted' => ! isset($this->core->notTrusted["H{$tool->number}"]),
        ];
    }

    /** @return list<array<string, string>> of a lathe: each number, the tool it stands for, and what it adds */
    private function toolOffsets(): array
    {
        $rows = [];
        foreach ($this->core->tooling->turningOffsets as $number => $offset) {
            $rows[] = [
                'number' => (string) $number, 'tool' => ($this->core->tooling->tools[$number] ?? null)->name ?? '',
                'x' => $this->turned($offset, AxisName::X), 'z' => $this->turned($offset, AxisName::Z),
                'nose' => $offset->nose->total() > 0.0 ? $this->length($offset->nose->total()) : '', 'tip' => (string) $offset->quadrant,
            ];
        }

        return $rows;
    }

    private function turned(TurningOffset $offset, string $axis): string
    {
        return isset($offset->axes[$axis]) ? $this->on($axis, $offset->axes[$axis]->total()) : '';
    }

    private function holding(): string
    {
        $chuck = $this->core->workholding->chuck;
        $held = $chuck === null ? [] : [match ($chuck->kind) {
            'jaws' => 'in jaws', 'collet' => 'in a collet', 'faceplate' => 'on a faceplate', default => 'between centres',
        }];
        $held[] = $this->core->workholding->hasCenter() ? 'tailstock in' : '';
        $held[] = $this->core->workholding->steady !== null ? 'in a steady' : '';
        $held[] = $this->core->workholding->second !== null ? 'a second spindle takes it' : '';
        $grip = $this->core->workholding->grip;
        $names = array_unique(array_map(static fn ($obstacle): string => $obstacle->name, $this->core->workholding->obstacles));
        $words = array_filter($held);
        $words = $grip === null ? $words : [...$words, ($grip->kind === 'jaws' ? 'jaw engagement ' : 'dovetail ').$this->length($grip->depth)];

        return implode('; ', [...$words, ...($names === [] ? [] : ['clamped with '.implode(', ', $names)])]);
    }

    /** @return array<string, mixed> */
    private function program(Program $program): array
    {
        $text = $program->latest->text;
        if (LongChecks::isLong($text)) {
            return self::longProgram($program);
        }
        $verification = Verification::of(ProgramText::fromText($text), $this->core, stock: SimulatedStock::of($this->core, $text));
        $times = $verification->summary()->times;
        $order = [];
        foreach ($times->tools as $number => [$seconds]) {
            if ($number !== 0) {
                $order[] = ['tool' => "T{$number}", 'name' => ($this->core->tooling->tools[$number] ?? null)->name ?? '', 'time' => self::clock($seconds)];
            }
        }
        $findings = array_values(array_filter($verification->findings, static fn (Finding $finding): bool => $finding->severity !== Severity::Note));

        return [
            'name' => $program->name, 'revision' => $program->latest->number, 'savedBy' => $program->latest->user->name,
            'verdict' => $verification->verdict->value, 'order' => $order, 'time' => self::clock(array_sum(array_column($times->tools, 0))),
            'findings' => array_map(fn (Finding $finding): array => [
                'severity' => $finding->severity->word(), 'line' => $verification->trace->sources->words($finding->line),
                'text' => $this->wording->text($finding),
            ], array_slice($findings, 0, self::MOST_FINDINGS)),
            'more' => max(0, count($findings) - self::MOST_FINDINGS),
            'holds' => array_map(fn (HoldPoint $hold): array => $this->hold($hold, $verification), self::inOrder($verification->holdPoints())),
        ];
    }

    /**
     * A program whose check takes longer than a sheet can wait: what the list knows of it.
     *
     * @return array<string, mixed>
     */
    private static function longProgram(Program $program): array
    {
        return [
            'name' => $program->name, 'revision' => $program->latest->number, 'savedBy' => $program->latest->user->name,
            'verdict' => $program->verdict ?? 'not checked yet', 'order' => [], 'time' => self::clock($program->seconds), 'more' => 0, 'holds' => [],
            'findings' => $program->worst === null ? [] : [[
                'severity' => $program->worst['severity'] === 'stop' ? 'error' : $program->worst['severity'], 'line' => (string) $program->worst['line'],
                'text' => $program->worst['text'].' The rest stands on the bench: the program is too long for this sheet.',
            ]],
        ];
    }

    /** @return array<string, mixed> */
    private function hold(HoldPoint $hold, Verification $verification): array
    {
        $figures = [];
        foreach ($hold->shown as $axis => $value) {
            // A dry run is made with the work offset raised: the display of the part stays, that of the machine does not.
            $figures[] = $axis.' '.$this->on($axis, $value);
        }
        $z = $this->core->machine->lengthAxis();
        $machine = isset($hold->machine[$z]) ? $z.' '.$this->on($z, $hold->machine[$z] + $this->lift) : '';

        return [
            'line' => $verification->trace->sources->words($hold->line), 'tool' => "T{$hold->tool}", 'reason' => $hold->reasons[0],
            'shown' => implode('  ', $figures), 'machine' => $machine,
        ];
    }

    /**
     * @param  list<HoldPoint>  $holds  by weight
     * @return list<HoldPoint> the weightiest, in the order of the run
     */
    private static function inOrder(array $holds): array
    {
        $some = array_slice($holds, 0, self::MOST_HOLDS);
        usort($some, static fn (HoldPoint $a, HoldPoint $b): int => $a->row <=> $b->row);

        return $some;
    }

    private function on(string $axis, float $value): string
    {
        return match (true) {
            $this->core->machine->axes[$axis]->isRotary() => number_format($value, 3, '.', '').'°',
            $this->core->machine->axes[$axis]->isDiameter => 'Ø'.$this->length(2 * $value),
            default => $this->length($value),
        };
    }

    private function maybe(?float $millimetres): string
    {
        return $millimetres === null ? '' : $this->length($millimetres);
    }

    private function length(float $millimetres): string
    {
        return str_replace(
            '-', '−',
            number_format(round($millimetres / $this->units->millimetres(), $this->units->decimals()) + 0.0, $this->units->decimals(), '.', ''),
        );
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
