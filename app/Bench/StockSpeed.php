<?php

declare(strict_types=1);

namespace App\Bench;

use App\Checking\KeptStock;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Symfony\Component\Process\Process;

/**
 * Taking 20,000 moves out of a stock of 1000 × 1000 cells, against the floor: a bare loop over an array as large that lowers
 * every number in it. And what the simulation adds to the check of a usual program.
 */
final class StockSpeed
{
    private const CELL = 0.25;

    private const MOVES = 20_000;

    private const FLOOR_PASSES = 10;

    private const TURNS = 7;

    /** Lines of the raster that the command line checks. */
    private const LINES = 100_000;

    public function __construct(private readonly SetupFile $files)
    {
    }

    /** @return list<array{string, float, string}> */
    public function figures(): array
    {
        $setup = $this->setup();
        $trace = Verification::trace(Program::fromText(self::program()), $setup);
        $before = self::floor();
        gc_collect_cycles();
        memory_reset_peak_usage();
        $memory = memory_get_usage();
        $stock = StockRun::in($setup, self::CELL);
        if ($stock === null) {
            return [];
        }
        $start = hrtime(true);
        $trace->show($stock);
        $seconds = (hrtime(true) - $start) / 1e9;
        $peak = memory_get_peak_usage() - $memory;
        $floor = ($before + self::floor()) / 2;

        return [
            ['stock.ratio', $seconds / $stock->visits() / $floor, '×'],
            ['stock.cellsPerSecond', $stock->visits() / $seconds / 1e6, 'million'],
            ['stock.seconds', $seconds, 's'],
            ['stock.peakMb', $peak / 1e6, 'MB'],
            ['stock.editGain', $this->editGain($setup), '×'],
            ...$this->command(),
            ...$this->against('ball', self::raster(self::MOVES), ['min' => [0, 0, -20], 'max' => [100, 100, 0]], ['kind' => 'ball-mill', 'diameter' => 6]),
            ...$this->against('plate', self::holes(), ['min' => [0, 0, -12], 'max' => [1000, 600, 0]], ['kind' => 'drill', 'diameter' => 2]),
        ];
    }

    /**
     * What taking a program out of a box of stock at the automatic cell adds to its bare check.
     *
     * @param  array<string, mixed>  $box
     * @param  array<string, mixed>  $tool
     * @return list<array{string, float, string}>
     */
    private function against(string $name, string $text, array $box, array $tool): array
    {
        $setup = $this->setup(['tools' => [['number' => 1, 'name' => $name] + $tool], 'stock' => ['shape' => 'box', 'workOffset' => 'G54'] + $box]);
        $program = Program::fromText($text);
        $start = hrtime(true);
        $verification = Verification::of($program, $setup);
        $bare = hrtime(true) - $start;
        $stock = StockRun::in($setup);
        $start = hrtime(true);
        $stock === null ?: $verification->trace->show($stock);
        $cut = hrtime(true) - $start;

        return [["stock.{$name}Ratio", $cut / $bare, '× bare check'], ["stock.{$name}Seconds", $cut / 1e9, 's']];
    }

    /**
     * The same as a machinist waits for it: the command with the stock, against the command without.
     *
     * @return list<array{string, float, string}>
     */
    private function command(): array
    {
        [$program, $setup] = [tempnam(sys_get_temp_dir(), 'oak'), tempnam(sys_get_temp_dir(), 'oak')];
        file_put_contents($program, "%\nO1\n".self::raster(self::LINES)."%\n");
        file_put_contents($setup, self::file([
            'tools' => [['number' => 1, 'name' => 'ball', 'kind' => 'ball-mill', 'diameter' => 6]],
            'stock' => ['shape' => 'box', 'workOffset' => 'G54', 'min' => [0, 0, -20], 'max' => [100, 100, 0]],
        ]));
        $seconds = ['--no-stock' => INF, '' => INF];
        for ($turn = 0; $turn < 2; $turn++) {
            foreach (array_keys($seconds) as $option) {
                $start = hrtime(true);
                (new Process(['./oak', 'check', $program, '--setup', $setup, ...array_filter([$option])], base_path(), timeout: 300))->mustRun();
                $seconds[$option] = min($seconds[$option], (hrtime(true) - $start) / 1e9);
            }
        }
        array_map(unlink(...), [$program, $setup]);

        return [
            ['stock.rasterRatio', $seconds[''] / $seconds['--no-stock'], '× the command without the stock'], ['stock.rasterSeconds', $seconds[''], 's'],
        ];
    }

    /** A ball over a wave on 100 × 100, to and fro in short moves. */
    private static function raster(int $moves): string
    {
        $text = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS8000 M3\nG43 H1 Z25.\nG1 Z0. F1800.\n";
        $each = (int) sqrt(3.125 * $moves);
        for ($move = 0; $move < $moves; $move++) {
            [$pass, $step] = [intdiv($move, $each), $move % $each];
            [$x, $y] = [($pass % 2 === 0 ? $step : $each - 1 - $step) * 100 / ($each - 1), $pass * 100 * $each / $moves];
            $text .= sprintf("X%.3f Y%.3f Z%.3f\n", $x, $y, -2 + 1.5 * sin($x / 9 + $y / 7));
        }

        return $text."G0 Z25.\nM30\n";
    }

    /** 200 small holes, pecked, all over a large plate. */
    private static function holes(): string
    {
        $text = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X20. Y20.\nS8000 M3\nG43 H1 Z25.\nG98 G83 X20. Y20. Z-9. R2. Q2. F200.\n";
        for ($hole = 1; $hole < 200; $hole++) {
            $text .= sprintf("X%.1f Y%.1f\n", 20.3 + $hole % 20 * 50.1, 20.7 + intdiv($hole, 20) * 60.3);
        }

        return $text."G80\nM30\n";
    }

    /** How many times quicker the run is made again after a change in its last tenth, from the nearest moment kept of the one before. */
    private function editGain(Setup $setup): float
    {
        $text = self::program();
        $lines = explode("\n", $text);
        $lines[(int) (0.9 * count($lines))] .= ' F1900.';
        $memory = KeptStock::fresh();
        $seconds = [];
        foreach ([$text, implode("\n", $lines)] as $edited) {
            $stock = StockRun::in($setup, self::CELL);
            if ($stock === null) {
                return NAN;
            }
            $trace = Verification::trace(Program::fromText($edited), $setup);
            $start = hrtime(true);
            $run = new ResumedStockRun($stock, $memory);
            $trace->show($run);
            $run->finished();
            $seconds[] = hrtime(true) - $start;
        }

        return $seconds[0] / $seconds[1];
    }

    /**
     * The most that any demo program takes of its bare check; asked for first, since a usual program is run by a process that has not
     * compiled its way through a million moves before.
     *
     * @return list<array{string, float, string}>
     */
    public function demo(): array
    {
        $most = 0.0;
        $machines = json_decode((string) file_get_contents(database_path('demo/machines.json')), true);
        foreach (glob(database_path('demo/O*.nc')) ?: [] as $path) {
            $file = json_decode((string) file_get_contents(database_path('demo/setup-'.substr(basename($path, '.nc'), 1).'.json')), true);
            $setup = $this->files->read(
                (string) json_encode(
                    [
                        'format' => 'oak-setup/1', 'machine' => $machines[basename($path) === 'O1820.nc' ? 'Alder with rotary' : 'Alder'],
                        'start' => (object) [],
                    ] + $file,
                ),
            );
            $program = Program::fromText((string) file_get_contents($path));
            $bare = $simulated = INF;
            for ($turn = 0; $turn < self::TURNS; $turn++) {
                $start = hrtime(true);
                $verification = Verification::of($program, $setup);
                $bare = min($bare, hrtime(true) - $start);
                $stock = StockRun::in($setup);
                $start = hrtime(true);
                $stock === null ?: $verification->trace->show($stock);
                $simulated = min($simulated, hrtime(true) - $start);
            }
            $most = max($most, $simulated / $bare);
        }

        return [['stock.demoShare', $most, '× bare check']];
    }

    /** Seconds a cell takes in a bare loop. */
    private static function floor(): float
    {
        $heights = array_fill(0, 1_000_000, 100.0);
        $start = hrtime(true);
        for ($pass = 1; $pass <= self::FLOOR_PASSES; $pass++) {
            $level = 100.0 - $pass;
            for ($k = 0; $k < 1_000_000; $k++) {
                if ($heights[$k] > $level) {
                    $heights[$k] = $level;
                }
            }
        }

        return (hrtime(true) - $start) / 1e9 / self::FLOOR_PASSES / 1_000_000;
    }

    /** Passes to and fro of a 16 mm cutter in short moves, level by level. */
    private static function program(): string
    {
        $text = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS8000 M3\nG43 H1 Z25.\nZ2.\nG1 Z-1. F2000.\n";
        for ($move = 0; $move < self::MOVES; $move++) {
            $pass = intdiv($move, 20);
            $step = $move % 20;
            $x = ($pass % 2 === 0 ? $step + 1 : 19 - $step) * 12.5;
            $text .= $step === 0 && $pass % 40 === 0 ? sprintf("G1 Z-%.2f\n", 0.5 + intdiv($pass, 40) * 0.3) : '';
            $text .= sprintf("X%.3f Y%.3f\n", $x, ($pass % 40) * 6.4);
        }

        return $text."G0 Z25.\nM30\n";
    }

    /** @param  array<string, mixed>  $changes */
    private function setup(array $changes = []): Setup
    {
        return $this->files->read(self::file($changes));
    }

    /** @param  array<string, mixed>  $changes */
    private static function file(array $changes): string
    {
        return (string) json_encode($changes + [
            'format' => 'oak-setup/1', 'units' => 'mm',
            'machine' => json_decode((string) file_get_contents(database_path('demo/machines.json')), true)['Alder'],
            'workOffsets' => ['G54' => ['X' => -500, 'Y' => -330, 'Z' => 0]],
            'tools' => [['number' => 1, 'name' => '16 end mill', 'kind' => 'end-mill', 'diameter' => 16]],
            'offsets' => ['H' => ['1' => -250]],
            'stock' => ['shape' => 'box', 'min' => [0, 0, -40], 'max' => [250, 250, 0], 'workOffset' => 'G54'],
        ]);
    }
}
