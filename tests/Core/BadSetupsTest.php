<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\Resolution;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\BadSetups;
use Tests\Core\Bench;

/** OAK_BAD_SETUPS says how many of them, of which the suite runs a share: every so manieth. */
it('refuses a setup that is none, naming the field, or judges by it without falling over', function (): void {
    set_error_handler(fn (int $level, string $message, string $file, int $line) => throw new ErrorException($message, 0, $level, $file, $line));
    $file = BadSetups::everyField();
    expect(Bench::files()->read((string) json_encode($file)))->not->toBeNull();
    $text = Bench::sound("G1 Z-2. F200.\nX20.\nG0 Z5.\nG55 X0. Y0.\nG1 Z-1. F100.\nG0 Z25.\nG54 X10.\nG98 G81 Z-5. R2. F90.\nG80\nM98 P2000\nA30.");
    $every = max(1, intdiv(3200, (int) (getenv('OAK_BAD_SETUPS') ?: 640)));
    $number = $read = $refused = 0;
    foreach (BadSetups::ways($file) as $way) {
        foreach (BadSetups::IN_ITS_PLACE as $value) {
            if (++$number % $every !== 0) {
                continue;
            }
            $json = str_replace('"#"', $value, (string) json_encode(BadSetups::with($file, $way, '#')));
            try {
                $setup = Bench::files()->read($json);
                // In coarse cells, and no more of them than there would be by themselves.
                $cell = max(2.0, $setup->workpiece->stock === null ? 0.0 : Resolution::of($setup->workpiece->stock, [], $setup->units));
                $run = Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup, $cell, 200_000));
                json_encode(CheckResult::of($run), JSON_THROW_ON_ERROR);
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
    $file = BadSetups::everyField();
    foreach ([
        [['workOffsets', 'G54', 'X'], 'workOffsets.G54.X'], [['stock', 'max', 0], 'stock.max.0'], [['tools', 0, 'flutes'], 'tools.0.flutes'],
        [['tools', 0, 'remark'], 'tools.0.remark'], [['machine', 'axes', 'X', 'min'], 'machine.axes.X.min'],
    ] as [$way, $field]) {
        yield $field => [str_replace('"#"', '1e308', (string) json_encode(BadSetups::with($file, $way, '#'))), $field];
    }
    yield 'a stock of a thousand kilometres' => [(string) json_encode(BadSetups::with($file, ['stock', 'max', 0], 1e9)), 'stock.max.0'];
});

it('takes a whole number for one, however it is written', function (): void {
    expect(Bench::files()->read(str_replace('"number":1,', '"number":1.0,', (string) json_encode(BadSetups::everyField())))->tooling->tools)->toHaveKey(1);
});
