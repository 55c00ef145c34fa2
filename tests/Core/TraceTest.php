<?php

declare(strict_types=1);

use OakTrace\Core\Interpreter\Interpreter;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;
use Tests\Core\Bench;

/** A run longer than one chunk: cuts back and forth, an arc, a rapid and a new speed every so often. */
function longRun(ChunkReader ...$readers): Trace
{
    $text = "G21 G90 T1 M6\nG54 G0 X0. Y0. S900 M3\nG43 H1 Z5.\nG1 Z-1. F100.\n";
    for ($i = 0; $i < 6000; $i++) {
        $text .= match (true) {
            $i % 500 === 7 => 'S'.(900 + $i)."\n",
            $i % 50 === 3 => sprintf("G3 X%.3f Y0. R30.\nG1\n", $i % 7),
            $i % 90 === 4 => sprintf("G0 X%.3f\nG1\n", $i % 11 + 0.5),
            $i % 700 === 9 => "G53 G0 Z0.\nG0 Z-1.\nG1\n",
            default => sprintf("X%.3f Y%.3f\n", $i % 13, $i % 17),
        };
    }

    return Interpreter::read(Program::fromText($text."M30\n"), Bench::setup(), ...$readers);
}

it('gives back packed what was put in, over any number of chunks', function (): void {
    $open = new class implements ChunkReader
    {
        /** @var list<list<int|float>> */
        public array $rows = [];

        public function read(Chunk $chunk, array $states, array $details): void
        {
            foreach ($chunk->kinds() as $row => $kind) {
                $this->rows[] = [
                    $kind, $chunk->lines()[$row], $chunk->states()[$row], $chunk->marks()[$row], $chunk->feeds()[$row], $chunk->axis(0)[$row],
                    $chunk->axis(1)[$row], $chunk->axis(2)[$row],
                ];
            }
        }
    };
    $trace = longRun($open);
    $packed = [];
    foreach ($trace->chunks() as $chunk) {
        foreach ($chunk->kinds() as $row => $kind) {
            $packed[] = [
                $kind, $chunk->lines()[$row], $chunk->states()[$row], $chunk->marks()[$row], $chunk->feeds()[$row], $chunk->axis(0)[$row],
                $chunk->axis(1)[$row], $chunk->axis(2)[$row],
            ];
        }
    }
    expect(count($trace->chunks))->toBeGreaterThan(1)
        ->and($packed)->toBe($open->rows)
        ->and($trace->rows())->toBe(count($packed));
});

it('carries on in each chunk where the one before it stopped', function (): void {
    $last = null;
    foreach (longRun()->each() as $i => $row) {
        if ($last !== null) {
            expect($row->from === $last->to)->toBeTrue()->and($row->number)->toBe($last->number + 1);
        }
        $last = $row;
    }
    expect($last?->kind)->toBe(MotionKind::STOP)->and($last?->detail)->toBe('M30');
});

it('cuts chunks into the same runs as looking at every row would', function (): void {
    $axes = (1 << 2 * Mark::AXES) - 1;
    foreach (longRun()->chunks() as $chunk) {
        $runs = [];
        foreach ($chunk->states() as $row => $state) {
            $marks = $chunk->marks()[$row] & $axes;
            $open = array_key_last($runs);
            if ($open !== null && $runs[$open]['state'] === $state && $runs[$open]['marks'] === $marks) {
                $runs[$open]['to'] = $row + 1;
            } else {
                $runs[] = ['from' => $row, 'to' => $row + 1, 'state' => $state, 'marks' => $marks];
            }
        }
        expect($chunk->runs())->toBe($runs);
    }
});

it('holds a state once, however often it comes back', function (): void {
    $trace = Interpreter::read(Program::fromText("T1 M6\nG54 G0 X1.\nG55 X2.\nG54 X3.\nG55 X4.\nM30"), Bench::setup());
    $states = [];
    foreach ($trace->each() as $row) {
        if ($row->moves()) {
            $states[] = [$row->state->work->name, spl_object_id($row->state)];
        }
    }
    expect($states[2][1])->toBe($states[0][1])->and($states[3][1])->toBe($states[1][1])->and(array_column($states, 0))->toBe(['G54', 'G55', 'G54', 'G55']);
});

it('knows which axis stands where it does because of the work offset', function (): void {
    $marks = [];
    foreach (Interpreter::read(Program::fromText("T1 M6\nG54 G0 X1.\nG53 Y-5.\nY2.\nG28 X0.\nG91 X-1.\nM30"), Bench::setup())->chunks() as $chunk) {
        foreach ($chunk->kinds() as $row => $kind) {
            if ($kind === MotionKind::RAPID) {
                $marks[] = [
                    ($chunk->marks()[$row] & Mark::tied(0)) !== 0, ($chunk->marks()[$row] & Mark::tied(1)) !== 0,
                    ($chunk->marks()[$row] & Mark::touched(1)) !== 0,
                ];
            }
        }
    }
    expect($marks)->toBe([
        [true, false, false], // X in the part, Y not moved yet
        [true, false, true], // Y in machine coordinates
        [true, true, true], // Y in the part
        [true, true, true], // through X0 in the part
        [false, true, true], // X at home
        [false, true, true], // a step from home is still not the offset's
    ]);
});
