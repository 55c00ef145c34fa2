<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

/** What stands in the place of a field, one after another: of another kind, huge, tiny, negative, not whole, too many, missing. */
const IN_ITS_PLACE = ['null', '"x"', '""', 'true', '[]', '{}', '[1]', '0', '-1', '-0.0', '1.0', '1.5', '1e-300', '1e6', '1e12', '1e18', '1e308', '-1e300', '1e999', '9223372036854775807', '"\u0000é"', '[[1,2],[3]]'];

/** A setup with every field there is. */
function everyField(): array
{
    return Bench::file([
        'machine' => [
            'axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600, 'acceleration' => 900]], 'secondHome' => ['Z' => -50], 'maxFeed' => 12000, 'spindle' => ['maxRpm' => 8000, 'secondsToSpeed' => 1.5, 'power' => 5, 'torque' => 30],
            'toolChange' => ['seconds' => 6, 'at' => ['Z' => 0]], 'control' => ['arcTolerance' => 0.002, 'peckClearance' => 0.5, 'chipBreakRetract' => 0.25, 'lookAheadBlocks' => 20, 'mostBlocks' => 20000, 'dIs' => 'diameter', 'cycleRunsOn' => 'position-words', 'cyclesAreMotion' => false],
            'lowered' => [['check' => 'heights.rapid-low', 'reason' => 'as ever']],
        ],
        'start' => ['X' => 0, 'Y' => 0, 'Z' => 0], 'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
        'tools' => [['number' => 1, 'name' => 'mill', 'kind' => 'end-mill', 'diameter' => 10, 'cornerRadius' => 0, 'flutes' => 3, 'centerCutting' => true, 'fluteLength' => 25, 'stickout' => 40, 'holder' => [['diameter' => 40, 'length' => 60]], 'hand' => 'right',
            'maxRpm' => 12000, 'maxAxialDepth' => 5, 'maxRadialWidth' => 10, 'feedPerTooth' => [0.01, 0.2], 'surfaceSpeed' => [20, 900], 'pointAngle' => 118, 'pitch' => 1.25, 'coolant' => 'flood']],
        'offsets' => ['H' => ['1' => ['geometry' => -250, 'wear' => 0.01]], 'D' => ['1' => 10]],
        'obstacles' => [['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54']],
        'moreStock' => [['shape' => 'cylinder', 'axis' => 'X', 'diameter' => 30, 'length' => 40, 'bore' => 5, 'face' => 1, 'workOffset' => 'G55']],
        'subprograms' => ['O2000' => "G91 X1.\nG90\nM99"], 'switches' => ['blockSkip' => [1], 'optionalStop' => false], 'breakThrough' => 1, 'nearLimit' => 0.5, 'thinnest' => 0.5,
        'grip' => ['kind' => 'jaws', 'depth' => 8, 'force' => 9000], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => -12.5], 'table' => -80]], 'proof' => ['on' => '2026-03-02', 'by' => 'M', 'parts' => ['G54' => 'x']],
        'target' => ['top' => 0, 'tolerance' => 0.1, 'features' => [['kind' => 'hole', 'at' => [0, 0], 'diameter' => 8.5, 'depth' => 4], ['kind' => 'pocket', 'at' => [20, 10], 'length' => 20, 'width' => 12, 'corner' => 3, 'angle' => 30, 'depth' => 4, 'placeTolerance' => 0.1]]],
    ]);
}

/** @return iterable<list<int|string>> the way to every field, branches and leaves */
function ways(array $file, array $way = []): iterable
{
    foreach ($file as $name => $value) {
        yield [...$way, $name];
        if (is_array($value)) {
            yield from ways($value, [...$way, $name]);
        }
    }
}

function withField(array $file, array $way, mixed $value): array
{
    $name = array_shift($way);
    $file[$name] = $way === [] ? $value : withField($file[$name], $way, $value);

    return $file;
}

/** OAK_BAD_SETUPS says how many of them, of which the suite runs a share: every so manieth. */
it('refuses a setup that is none, naming the field, or judges by it without falling over', function (): void {
    set_error_handler(fn (int $level, string $message, string $file, int $line) => throw new ErrorException($message, 0, $level, $file, $line));
    $file = everyField();
    expect(Bench::files()->read((string) json_encode($file)))->not->toBeNull();
    $text = Bench::sound("G1 Z-2. F200.\nX20.\nG0 Z5.\nG55 X0. Y0.\nG1 Z-1. F100.\nG0 Z25.\nG54 X10.\nG98 G81 Z-5. R2. F90.\nG80\nM98 P2000\nA30.");
    $every = max(1, intdiv(3200, (int) (getenv('OAK_BAD_SETUPS') ?: 640)));
    $number = $read = $refused = 0;
    foreach (ways($file) as $way) {
        foreach (IN_ITS_PLACE as $value) {
            if (++$number % $every !== 0) {
                continue;
            }
            $json = str_replace('"#"', $value, (string) json_encode(withField($file, $way, '#')));
            try {
                $setup = Bench::files()->read($json);
                json_encode(CheckResult::of(Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup, 2.0, 200_000))), JSON_THROW_ON_ERROR);
                $read++;
            } catch (SetupFileError $e) {
                expect($e->fields)->not->toBe([])->and(mb_check_encoding($e->getMessage(), 'UTF-8'))->toBeTrue();
                $refused++;
            } catch (Throwable $e) {
                $this->fail(implode('.', $way)." = {$value}: ".$e::class." {$e->getMessage()} at {$e->getFile()}:{$e->getLine()}");
            }
        }
    }
    restore_error_handler();
    expect($read)->toBeGreaterThan(100)->and($refused)->toBeGreaterThan(300);
});

it('refuses what is larger than anything, wherever it stands', function (string $json, string $field): void {
    try {
        Bench::files()->read($json);
    } catch (SetupFileError $e) {
        expect(array_keys($e->fields))->toContain($field);

        return;
    }
    $this->fail('was read');
})->with(function (): iterable {
    $file = everyField();
    foreach ([[['workOffsets', 'G54', 'X'], 'workOffsets.G54.X'], [['stock', 'max', 0], 'stock.max.0'], [['tools', 0, 'flutes'], 'tools.0.flutes'], [['tools', 0, 'remark'], 'tools.0.remark'], [['machine', 'axes', 'X', 'min'], 'machine.axes.X.min']] as [$way, $field]) {
        yield $field => [str_replace('"#"', '1e308', (string) json_encode(withField($file, $way, '#'))), $field];
    }
    yield 'a stock of a thousand kilometres' => [(string) json_encode(withField($file, ['stock', 'max', 0], 1e9)), 'stock.max.0'];
});

it('takes a whole number for one, however it is written', function (): void {
    expect(Bench::files()->read(str_replace('"number":1,', '"number":1.0,', (string) json_encode(everyField())))->tools)->toHaveKey(1);
});
