<?php

declare(strict_types=1);

namespace App\OperationSheets;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Sheet\BuiltProgram;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Linking\Relinked;
use OakTrace\Core\Sheet\Linking\Written;
use OakTrace\Core\Sheet\Plan;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\Sheet;
use OakTrace\Core\Sheet\SheetError;
use OakTrace\Core\Sheet\SheetFile;
use OakTrace\Core\Sheet\Step;
use OakTrace\Core\Sheet\Typed;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;

/** What an operation sheet comes to in its setup: what is missing, what was decided, the drawings, and the program brought up to it. */
final readonly class SheetAnswer
{
    public function __construct(private SheetFile $files)
    {
    }

    /**
     * @param  array<string, mixed>  $document  a sheet without what the setup says: see filled()
     * @param  Written|null  $was  as it wrote the text before hands came to it
     * @param  list<string>  $taken  sections whose lines are to be the sheet's
     * @return array<string, mixed> problems by field (tools.T2.rpm), operations with choices and figures, the text and its sections;
     *                              the text is null while anything is wrong
     */
    public function of(array $document, Setup $setup, string $text, ?Written $was, array $taken = []): array
    {
        $filled = self::filled($document, $setup);
        try {
            $sheet = $this->files->read((string) json_encode($filled, JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION), $setup);
        } catch (SheetError $error) {
            return ['problems' => self::byTool($error->fields, $filled), 'operations' => null, 'text' => null];
        }
        $planner = Planner::of($sheet, $setup->machine->control, true);
        $answer = [
            'problems' => (object) self::byTool($planner->problems(), $filled),
            'operations' => array_map(fn (Step $step): array => $this->operation($step, $planner, $sheet), $sheet->steps),
            'usedBy' => (object) self::usedBy($sheet),
        ];
        if ($planner->problems() !== []) {
            return $answer + ['text' => null];
        }
        $plan = $planner->plan();
        $now = Written::by(ProgramWriter::write($plan));
        $linked = Relinked::of($was, $text, $now, $taken);

        return $answer + [
            'text' => $linked->text, 'sections' => $linked->sections, 'written' => $now->toArray(),
            'orders' => count($sheet->workOffsets) > 1 ? self::orders($sheet, $plan, $setup) : null,
        ];
    }

    /**
     * The document as a whole sheet: units and tools are the setup's, with how they run from the document.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function filled(array $document, Setup $setup): array
    {
        $given = is_array($document['tools'] ?? null) ? $document['tools'] : [];
        $running = [];
        foreach ($given as $tool) {
            if (is_array($tool) && is_int($tool['number'] ?? null)) {
                $running[$tool['number']] = $tool;
            }
        }
        $tools = array_map(static fn (int $number): array => ['number' => $number] + ($running[$number] ?? []), array_keys($setup->tooling->tools));

        return ['format' => 'oak-sheet/1', 'units' => $setup->units->value, 'tools' => $tools] + $document;
    }

    /**
     * A whole sheet without what its setup says: what is kept with a program.
     *
     * @param  array<string, mixed>  $sheet
     * @return array<string, mixed>
     */
    public static function document(array $sheet): array
    {
        $running = array_flip(['number', 'rpm', 'feed', 'plungeFeed', 'coolant', 'stop', 'note', 'springStroke']);
        $tools = array_map(
            static fn (mixed $tool): array => array_intersect_key((array) $tool, $running),
            is_array($sheet['tools'] ?? null) ? array_values($sheet['tools']) : [],
        );

        return ['tools' => $tools] + array_diff_key($sheet, array_flip(['format', 'units', 'profile', 'material', 'stock']));
    }

    /** @return array<string, mixed> */
    private function operation(Step $step, Planner $planner, Sheet $sheet): array
    {
        $wording = new Wording($sheet->units);

        return [
            'id' => $step->id,
            'choices' => (object) array_column(array_map(static fn (Choice $choice): array => [
                $choice->field, $wording->sentence($choice->text, $choice->figures),
            ], $planner->choices()[$step->id] ?? []), 1, 0),
            'usual' => (object) ($planner->usual()[$step->id] ?? []),
            'figure' => $planner->figures()[$step->id] ?? null,
        ];
    }

    /**
     * @param  array<string, string>  $problems
     * @param  array<string, mixed>  $filled
     * @return array<string, string> with the tools by their numbers
     */
    private static function byTool(array $problems, array $filled): array
    {
        /** @var list<array{number: int}> $tools */
        $tools = $filled['tools'];
        $byTool = [];
        foreach ($problems as $field => $problem) {
            $byTool[(string) preg_replace_callback(
                '/^tools\.(\d+)/', static fn (array $n): string => 'tools.T'.($tools[(int) $n[1]]['number'] ?? $n[1]), $field,
            )] = $problem;
        }

        return $byTool;
    }

    /** @return array<string, list<string>> name => numbers of the operations it is used in */
    private static function usedBy(Sheet $sheet): array
    {
        $used = array_map(static fn (): array => [], $sheet->names);
        foreach ($sheet->steps as $n => $step) {
            $names = [];
            $given = $step->given;
            array_walk_recursive($given, static function (mixed $typed) use (&$names): void {
                array_push($names, ...Typed::names($typed));
            });
            foreach (array_unique($names) as $name) {
                $used[$name][] = (string) ($n + 1);
            }
        }

        return $used;
    }

    /** @return array<string, array{changes: int, seconds: float}> what each order of several parts costs */
    private static function orders(Sheet $sheet, Plan $plan, Setup $setup): array
    {
        $orders = [];
        foreach (['by-tool' => true, 'by-part' => false] as $name => $isByTool) {
            $built = ProgramWriter::write($plan->ordered($isByTool));
            $orders[$name] = ['changes' => $plan->toolChanges()[$isByTool ? 0 : 1], 'seconds' => round(self::seconds($built, $setup), 1)];
        }

        return $orders;
    }

    private static function seconds(BuiltProgram $built, Setup $setup): float
    {
        return RunTimes::of(Verification::trace(Program::fromText($built->text()), $setup), $setup->machine)->seconds;
    }
}
