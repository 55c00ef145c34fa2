<?php

declare(strict_types=1);

use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Bench;
use Tests\Core\Mended;
use Tests\Core\SoundMaker;
use Tests\Core\SoundPrograms;

/** Kinds of slips: what stands in a sound program => what stands there instead. */
const SLIPS = [
    'a depth without its point' => ['/Z-(\d+)\.(\d+)/', 'Z-$1$2'],
    'a depth ten times over' => ['/Z-(\d+)\.(\d)(\d*)/', 'Z-$1$2.$3'],
    'a depth without its minus' => ['/G1 Z-/', 'G1 Z'],
    'a minus before a height' => ['/^(?:G0 )?Z2\.$/m', 'G0 Z-2.'],
    'a rapid for a feed' => ['/^G1 Z-/m', 'G0 Z-'],
    'no start of the spindle' => ['/ M3\b/', ''],
    'the spindle the other way' => ['/ M3\b/', ' M4'],
    'no length offset' => ['/G43 H\d /', ''],
    'the length of another tool' => ['/G43 H1 /', 'G43 H2 '],
    'no feed' => ['/ F\d+\.?\d*/', ''],
    'far too much feed' => ['/ F(\d+)\.?/', ' F${1}00.'],
    'a letter for a figure' => ['/Z-(\d)\./', 'Z-$1O.'],
    'no end of a cycle' => ['/^G80$/m', ''],
    'R below the part' => ['/R2\./', 'R-2.'],
    'X ten times over' => ['/X(\d)(\d)\./', 'X$1${2}0.'],
    'the tool change left out' => ['/^T2 M6.*$/m', ''],
    'no cancelling of the cutter compensation' => ['/G40 X/', 'X'],
    'a wrong centre' => ['/I-(\d+)\.(\d*)/', 'I-${1}1.$2'],
];

/** @return array{array<int, float>, float, array<string, true>} lowest height of each tool at feed, what is cut, and which way tools turn in the cut */
function whatItDoes(Verification $run): array
{
    $lowest = $turns = [];
    foreach ($run->trace->each() as $row) {
        if ($row->moves() && $row->kind > 0) {
            $lowest[$row->state->tool] = min($lowest[$row->state->tool] ?? INF, $row->to[2] - $row->state->length->shift[2]);
            $turns[$row->state->tool.' '.$row->state->spindle->turn] = true;
        }
    }

    return [$lowest, $run->input->stock?->removed() ?? 0.0, $turns];
}

/** @return list<string> what is worse after a remedy than it was before and in the sound program */
function worse(Finding $finding, Verification $sound, Verification $slipped, Verification $mended): array
{
    $told = fn (Verification $run): array => array_unique(
        array_map(
            fn (Finding $finding): string => $finding->check,
            array_filter($run->findings, fn (Finding $finding): bool => $finding->severity !== Severity::Note),
        ),
    );
    [[$soundLow, $soundCut, $soundTurns], [$low, $cut, $turns], [$isLow, $isCut, $isTurns]] = array_map(whatItDoes(...), [$sound, $slipped, $mended]);
    $worse = array_values(array_diff($told($mended), $told($slipped), $told($sound)));
    foreach ($isLow as $tool => $z) {
        if ($z < min($soundLow[$tool] ?? INF, $low[$tool] ?? INF) - 1e-6) {
            $worse[] = "T{$tool} goes down to {$z}";
        }
    }
    if ($isCut > 1.02 * max($soundCut, $cut) + 1.0) {
        $worse[] = "cuts {$isCut} for {$soundCut}";
    }
    foreach (array_keys(array_diff_key($isTurns, $soundTurns, $turns)) as $turn) {
        $worse[] = "turns {$turn}";
    }

    return array_map(fn (string $what): string => "{$finding->check} on line {$finding->line} offers {$finding->edit?->text}: {$what}", $worse);
}

it('offers no change of text that makes a run worse', function (string $from, string $to): void {
    $maker = new SoundMaker(31);
    $programs = [];
    for ($i = 0; $i < 12; $i++) {
        $programs[] = [$maker->next(), SoundMaker::SETUP];
    }
    foreach (SoundPrograms::all() as [$text, $changes]) {
        $programs[] = [$text, $changes];
    }
    $planted = 0;
    foreach ($programs as [$text, $changes]) {
        if ($planted === 9 || preg_match_all($from, $text) === 0) {
            continue;
        }
        $planted++;
        // In one place, which is another in every program.
        $at = $planted % preg_match_all($from, $text);
        $slipped = (string) preg_replace_callback($from, function (array $found) use (&$at, $from, $to): string {
            return $at-- === 0 ? (string) preg_replace(str_replace(['^', '$/'], ['', '/'], $from), $to, $found[0]) : $found[0];
        }, $text);
        $run = Bench::verify($slipped, $changes);
        foreach ($run->findings as $finding) {
            if ($finding->edit !== null && $finding->edit->line === SourceMap::lineNumber($finding->edit->line)) {
                $mended = Bench::verify(Mended::with($slipped, $finding->edit), $changes);
                expect(worse($finding, Bench::verify($text, $changes), $run, $mended))->toBe([], $slipped);
            }
        }
    }
    expect($planted)->toBeGreaterThan(2);
})->with(SLIPS);

it('leaves the words where the change would do harm', function (string $lines, string $check): void {
    $findings = array_values(array_filter(Bench::verify(Bench::sound($lines))->findings, fn (Finding $finding): bool => $finding->check === $check));
    expect($findings)->toHaveCount(1)->and($findings[0]->edit)->toBeNull()->and($findings[0]->remedy)->not->toBe('');
})->with([
    'a rapid into the part where nothing goes at feed' => ["X10.\nZ-2.\nZ2.\nG1 Z-.5 F200.\nX20.", 'heights.rapid-into-stock'],
    'a depth with a letter in it, far below the others' => ["Z2.\nG1 Z-1. F200.\nX20.\nZ-2O.\nX0.", 'reading.bad-word'],
    'the feed of the drill for that of the tap' => [
        "G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS900 M3\nG43 H2 Z25.\nG98 G81 Z-15. R2. F100.\nG80\nT4 M6\nS500 M3\nG43 H3 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5.\nG80",
        'cutting.tap-feed',
    ],
]);

it('offers the change where it is seen to be right', function (string $lines, string $check, string $put): void {
    $findings = array_values(array_filter(Bench::verify(Bench::sound($lines))->findings, fn (Finding $finding): bool => $finding->check === $check));
    expect($findings)->toHaveCount(1)->and($findings[0]->edit?->text)->toBe($put);
})->with([
    'a lost point' => ["Z2.\nG1 Z-3. F200.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F200.\nG0 Z25.", 'heights.decimal-slip', '-3.'],
    'a stopped spindle' => ["M5\nG1 Z-1. F200.", 'state.spindle-stopped', "M3\n"],
    'the feed of the tap on its own line' => ["G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F600.\nG80", 'cutting.tap-feed', '625.'],
]);

it('leaves the words alone where a run is too long to be read again for each change', function (int $turns, bool $offers): void {
    $loop = "#1=0\nWHILE [#1 LT {$turns}] DO1\n#1=#1+1\nEND1\n";
    $findings = array_filter(
        Bench::verify(Bench::sound("{$loop}M5\nG1 Z-1. F200."))->findings, fn (Finding $finding): bool => $finding->check === 'state.spindle-stopped',
    );
    expect($findings)->toHaveCount(1)->and(reset($findings)->edit !== null)->toBe($offers)->and(reset($findings)->remedy)->not->toBe('');
})->with([[100, true], [60_000, false]]);
