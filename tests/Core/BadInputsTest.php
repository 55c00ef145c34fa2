<?php

declare(strict_types=1);

use OakTrace\Core\Compare\Comparison;
use OakTrace\Core\Compare\Merge;
use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\OffsetTable;
use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\Measure\Measurement;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\LineHeights;
use OakTrace\Core\Transform\Expand;
use OakTrace\Core\Transform\Text\Scope;
use OakTrace\Core\Transform\Text\TextTransforms;
use OakTrace\Core\Transform\Text\TransformProblem;
use OakTrace\Core\Verification;
use Tests\Core\BadInputs;
use Tests\Core\Bench;

/** OAK_BAD_INPUTS says how many; the suite runs a short share of what has been run. */
it('never falls over, and says what and where', function (): void {
    $count = (int) (getenv('OAK_BAD_INPUTS') ?: 600);
    $seed = (int) (getenv('OAK_BAD_SEED') ?: 1);
    $inputs = new BadInputs($seed);
    // A warning is a fall too.
    set_error_handler(fn (int $level, string $message, string $file, int $line) => throw new ErrorException($message, 0, $level, $file, $line));
    $few = ['mostBlocks' => 20_000];
    $setups = [
        Bench::setup(['machine' => [
            'control' => $few, 'axes' => ['A' => ['min' => -360, 'max' => 360]],
        ], 'material' => 'stainless steel', 'rotaryCenters' => ['A' => ['at' => ['Y' => 10, 'Z' => -5]]],
            'obstacles' => [['shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5]]],
            'proof' => ['on' => '2026-03-02', 'parts' => ['G54' => 'x']], 'lowered' => [['check' => 'reading.no-decimal', 'reason' => 'as ever']],
            'subprograms' => ['O100' => "O100\nG91 X1. Y1.\nM98 P1\nG90\nM99"]]),
        Bench::setup(['machine' => [
            'control' => $few, 'axes' => ['A' => ['min' => -360, 'max' => 360]], 'spindle' => ['power' => 0.1, 'torque' => 0.1],
        ], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
            'workOffsets' => ['G55' => ['X' => -300, 'Y' => -200, 'Z' => -10]], 'grip' => ['kind' => 'jaws', 'depth' => 1, 'force' => 10],
            'thinnest' => 2,
            'moreStock' => [
                ['shape' => 'cylinder', 'axis' => 'X', 'diameter' => 30, 'length' => 40, 'workOffset' => 'G55'],
                ['shape' => 'heights', 'at' => [0, 0], 'square' => 9, 'bottom' => -9, 'heights' => [[0, null], [3, -4]], 'workOffset' => 'G54'],
            ],
            'target' => [
                'top' => -2,
                'features' => [
                    ['kind' => 'hole', 'at' => [0, 0], 'diameter' => 8.5, 'through' => true],
                    ['kind' => 'pocket', 'at' => [20, 10], 'length' => 20, 'width' => 12, 'corner' => 3, 'angle' => 30, 'depth' => 4],
                    ['kind' => 'boss', 'at' => [-30, -20], 'diameter' => 9, 'height' => 1],
                ],
            ]]),
        Bench::setup(
            [
                'machine' => [
                    'control' => $few + [
                        'profile' => 'integer-mill', 'rapidPath' => 'independent', 'bareNumbers' => 'increments', 'dwellUnit' => 'milliseconds',
                        'outsideCorner' => 'extended', 'lookAheadBlocks' => 2,
                    ],
                ],
                'stock' => null,
            ],
        ),
        Bench::setup(
            [
                'machine' => ['axes' => ['Y' => null, 'A' => ['min' => 0, 'max' => 360]], 'control' => $few + ['profile' => 'wide-table-mill']],
                'workOffsets' => null, 'tools' => [], 'offsets' => null,
            ],
        ),
    ];
    for ($i = 0; $i < $count; $i++) {
        $text = $inputs->next();
        $setup = $setups[$i % 4];
        try {
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $verification = Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup, 1.0, 3_000_000));
            $result = CheckResult::of($verification);
            json_encode($result, JSON_THROW_ON_ERROR);
            if (memory_get_peak_usage() - $before > 200 * 1024 * 1024) {
                throw new RuntimeException('more than 200 MB');
            }
            $stock = $verification->input->stock;
            if ($stock !== null && $i % 20 === 0 && $verification->trace->rows() < 2_000) {
                foreach ($stock->facing() as $number) {
                    Measurement::of($stock->bodies[$number], $stock->log, $number)->at(3.0, 2.0);
                }
            }
            if ($i % 10 === 0 && $verification->trace->rows() < 20_000) {
                iterator_count(TraceLines::of($verification->trace, $setup));
                iterator_count(Expand::of($verification->trace, $setup));
                DrawingColumns::of($verification->trace, $setup);
                OffsetTable::of($verification);
                $kept = new ReadingMemory;
                foreach ([$text, substr_replace($text, '7', intdiv(strlen($text), 2), 1), $text] as $edited) {
                    Verification::of(Program::fromText($edited), $setup, $kept);
                }
                Explanation::of(Program::fromText($text), $setup, 1 + $i % 7);
            }
        } catch (Throwable $e) {
            $this->fail("Input {$i} of seed {$seed}: {$e->getMessage()} at {$e->getFile()}:{$e->getLine()}\n".var_export($text, true));
        }
        $lines = max(1, Program::fromText($text)->lineCount());
        foreach ($result['findings'] as $finding) {
            foreach (isset($finding['edit']) ? [$finding['edit'], ...$finding['edit']['also']] : [] as $edit) {
                if ($edit['line'] < 1 || $edit['line'] > $lines + 1 || $edit['column'] < 1 || $edit['length'] < 0) {
                    $this->fail("Input {$i} of seed {$seed}: {$finding['check']} changes {$edit['line']}:{$edit['column']}\n".var_export($text, true));
                }
            }
            if ($finding['line'] < 1 || $finding['at'] < 1 || $finding['at'] > $lines || $finding['column'] < 1) {
                $this->fail("Input {$i} of seed {$seed}: {$finding['check']} at {$finding['line']}:{$finding['column']}\n".var_export($text, true));
            }
        }
    }
    restore_error_handler();
    expect($i)->toBe($count);
});

it('changes, compares and merges no text without either doing it or saying why not', function (): void {
    $count = (int) (getenv('OAK_BAD_INPUTS') ?: 300);
    $inputs = new BadInputs(77);
    set_error_handler(fn (int $level, string $message, string $file, int $line) => throw new ErrorException($message, 0, $level, $file, $line));
    $setup = Bench::setup(['machine' => ['control' => ['mostBlocks' => 5_000]]]);
    $before = "G21\nG0 X1.\n";
    $done = $refused = 0;
    for ($i = 0; $i < $count; $i++) {
        $text = $inputs->next();
        try {
            $program = Program::fromText($text);
            $verification = Verification::of($program, $setup);
            if ($verification->trace->rows() > 5_000) {
                continue;
            }
            LineHeights::of($verification->trace, 2, $program);
            $comparison = Comparison::of(Verification::of(Program::fromText($before), $setup), $verification);
            if (count($comparison->after) > $verification->trace->rows()) {
                throw new RuntimeException('more changes than moves');
            }
            if (Merge::of($before, $before, $text)->text !== str_replace("\r", '', $program->text)) {
                throw new RuntimeException('a text merged with none is not itself');
            }
            $scope = new Scope($program, $setup->machine->control, $verification->trace, 1 + $i % 3, $i % 2 === 0 ? null : 4);
            foreach (TextTransforms::all() as $transform) {
                try {
                    $edits = $transform->edits($scope, TextTransforms::values($transform, ['x' => 3, 'degrees' => 30, 'factor' => 2, 'by' => 2]));
                    $done += $edits === [] ? 0 : 1;
                    // Every change is within its line.
                    foreach ($edits as $edit) {
                        if ($edit->column < 1 || $edit->column - 1 + $edit->length > strlen($program->line($edit->line))) {
                            throw new RuntimeException("{$transform->name()} changes what is not there");
                        }
                    }
                } catch (TransformProblem) {
                    $refused++;
                }
            }
            $before = $text;
        } catch (Throwable $e) {
            $this->fail("Input {$i}: {$e->getMessage()} at {$e->getFile()}:{$e->getLine()}\n".var_export($text, true));
        }
    }
    restore_error_handler();
    expect($done)->toBeGreaterThan($count / 4)->and($refused)->toBeGreaterThan($count / 10);
});
