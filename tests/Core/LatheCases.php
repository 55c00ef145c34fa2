<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;

/** The tests a check of lathes has: programs that must raise it, with line, severity and sentence, and near misses that must not. */
final class LatheCases
{
    /** A bar of Ø40 in jaws, an 80° and a 55° insert, a blade of 3, a drill and a thread insert. */
    public const BAR = [
        'machine' => ['spindle' => ['maxRpm' => 4000]],
        'stock' => ['shape' => 'cylinder', 'diameter' => 40, 'length' => 80, 'face' => 1],
        'chuck' => ['kind' => 'jaws', 'maxRpm' => 3000, 'jawFaceZ' => -55, 'jawOuter' => 120],
        'tools' => [
            ['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80],
            ['number' => 2, 'kind' => 'drill', 'diameter' => 8],
            ['number' => 3, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 93, 'includedAngle' => 55],
            ['number' => 4, 'kind' => 'parting', 'width' => 3],
            ['number' => 5, 'kind' => 'threading', 'pitch' => 1.5],
        ],
        'offsets' => ['T' => [
            '3' => ['X' => 0, 'Z' => 0, 'R' => 0.4, 'tip' => 3], '4' => ['X' => 0, 'Z' => 0, 'tip' => 3], '5' => ['X' => 0, 'Z' => 0, 'tip' => 8],
        ]],
    ];

    /** The first four lines of a program at a surface speed with T1. */
    public const READY = "G21 G99 G40\nT0101\nG50 S2500\nG96 S180 M3\n";

    /**
     * @param  array<string, array{0: string, 1: int|non-empty-list<int>, 2: string, 3: string, 4?: array<string, mixed>, 5?: string}>  $cases  lines, line
     *         (or that and all the others it names), severity, sentence, changes of the setup, what it offers to change (see CheckCases::offered())
     */
    public static function raises(string $check, array $cases): void
    {
        it("raises {$check} on a lathe", function (
            string $text, int|array $line, string $severity, string $says, array $changes = [], ?string $offers = null,
        ) use ($check): void {
            $run = Lathe::verify(Lathe::whole($text), array_replace_recursive(LatheCases::BAR, $changes));
            $found = Bench::findings($check, $run);
            expect($found)->toHaveCount(1)->and(CheckCases::lines($found[0]))->toBe((array) $line)->and($found[0]->severity->value)->toBe($severity)
                ->and((new Wording(Units::Millimetre))->text($found[0]))->toBe($says)
                ->and((new Wording(Units::Millimetre))->remedy($found[0]))->not->toContain('{')->not->toBe('')
                ->and(CheckCases::offered($found[0]->edit))->toBe($offers);
            Pointing::expect($found[0], $run);
        })->with($cases);
    }

    /** @param  array<string, array{0: string, 1?: array<string, mixed>}>  $cases  lines, changes of the setup */
    public static function staysQuiet(string $check, array $cases): void
    {
        it("is no case of {$check} on a lathe", function (string $text, array $changes = []) use ($check): void {
            expect(Lathe::found($check, $text, array_replace_recursive(LatheCases::BAR, $changes)))->toBe([]);
        })->with($cases);
    }

    /**
     * What could not be looked at.
     *
     * @param  array<string, mixed>  $changes
     * @return list<string>
     */
    public static function gaps(string $text, array $changes): array
    {
        return array_column(Gaps::of(Lathe::verify($text, array_replace_recursive(self::BAR, $changes))->input), 'text');
    }
}
