<?php

declare(strict_types=1);

use OakTrace\Core\TouchOff\MethodCatalogue;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\TypedBack;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Bench;

function between(Randomizer $random, float $low, float $high): float
{
    return $low + ($high - $low) * $random->getInt(0, 1_000_000) / 1_000_000;
}

/** @return iterable<string> figures as a control shows them, the same every time */
function shownFigures(int $count): iterable
{
    $random = new Randomizer(new Mt19937(7));
    for ($i = 0; $i < $count; $i++) {
        yield ($random->getInt(0, 1) === 0 ? '-' : '').$random->getInt(1, 999).'.'.str_pad((string) $random->getInt(0, 999), 3, '0', STR_PAD_LEFT);
    }
}

it('finds every single figure that was mistyped, and says which', function (): void {
    $looked = 0;
    foreach (shownFigures(60) as $figure) {
        $digit = 0;
        foreach (str_split($figure) as $at => $character) {
            if (! ctype_digit($character)) {
                continue;
            }
            $digit++;
            $other = (string) (((int) $character + 3) % 10);
            $typed = substr_replace($figure, $other, $at, 1);
            // A leading nothing is no figure any more: the number is shorter then, and that is what is said.
            $says = TypedBack::difference($figure, $typed);
            expect($says)->not->toBeNull();
            if ($other !== '0' || $digit > 1) {
                expect($says)->toBe("Figure {$digit} is {$other}, and was {$character}.");
            }
            $looked++;
        }
    }
    expect($looked)->toBeGreaterThan(250);
});

it('finds every pair of neighbours that changed places', function (): void {
    foreach (shownFigures(60) as $figure) {
        $places = array_keys(array_filter(str_split($figure), ctype_digit(...)));
        foreach (array_slice($places, 0, -1) as $n => $at) {
            $next = $places[$n + 1];
            if ($figure[$at] === $figure[$next] || ($n === 0 && $figure[$next] === '0')) {
                continue;
            }
            $typed = $figure;
            [$typed[$at], $typed[$next]] = [$figure[$next], $figure[$at]];
            expect(TypedBack::difference($figure, $typed))->toBe('Figures '.($n + 1).' and '.($n + 2).' changed places.');
        }
    }
});

it('takes the same figure however it is written, and no other', function (): void {
    foreach (shownFigures(60) as $figure) {
        foreach ([$figure, "+{$figure}", str_replace('.', ',', $figure), str_replace('-', '−', $figure), "{$figure}0", " {$figure} "] as $written) {
            if ($written[0] !== '+' || $figure[0] !== '-') {
                expect(TypedBack::difference($figure, $written))->toBeNull();
            }
        }
        expect(TypedBack::difference($figure, $figure[0] === '-' ? substr($figure, 1) : "-{$figure}"))->toBe('The sign is the other way round.');
    }
});

it('finds the middle of a bore wherever the readings are taken, and an edge from either side', function (): void {
    $random = new Randomizer(new Mt19937(11));
    $situation = new Situation(Bench::setup());
    $x = Subject::work('G54', 'X');
    foreach (range(1, 200) as $ignored) {
        [$middle, $size, $ball] = [between($random, -700, -50), between($random, 10, 80), between($random, 1, 6)];
        $bore = MethodCatalogue::named('bore')->work(
            ['first' => $middle - ($size - $ball) / 2, 'second' => $middle + ($size - $ball) / 2, 'ball' => $ball, 'offset' => 0.0], $x, $situation,
        );
        $boss = MethodCatalogue::named('boss')->work(
            ['first' => $middle + ($size + $ball) / 2, 'second' => $middle - ($size + $ball) / 2, 'ball' => $ball, 'offset' => 0.0], $x, $situation,
        );
        expect([$bore->value, $boss->value, $bore->besides['size across'], $boss->besides['size across']])
            ->toEqualWithDelta([$middle, $middle, $size, $size], 1e-9);
        $edge = static fn (float $at, float $side): float => MethodCatalogue::named('edge-finder')->work(
            ['at' => $at, 'diameter' => $ball, 'side' => $side, 'offset' => 0.0], $x, $situation,
        )->value;
        expect([$edge($middle - $ball / 2, -1.0), $edge($middle + $ball / 2, 1.0)])->toEqualWithDelta([$middle, $middle], 1e-9);
    }
});

it('adds its terms up to what it says, in every way to touch off', function (): void {
    $random = new Randomizer(new Mt19937(3));
    foreach (['touch-off', 'gauge-line', 'master-tool'] as $school) {
        $situation = new Situation(Bench::setup(['lengthSchool' => $school, 'workOffsets' => ['G54' => ['Z' => -12.5]]]));
        foreach ([Subject::length(1), Subject::work('G54', 'X'), Subject::work('G54', 'Z')] as $subject) {
            foreach (MethodCatalogue::of($subject, $situation) as $method) {
                $values = [];
                foreach ($method->readings() as $reading) {
                    $values[$reading->name] = match ($reading->is) {
                        'side' => 1.0,
                        'position' => -1.0 * between($random, 10, 200),
                        default => between($random, 1, 9),
                    };
                }
                if (isset($values['zero'])) {
                    $values['zero'] = $values['at'] - 40.0;
                }
                $sheet = $method->work($values, $subject, $situation);
                expect(array_sum(array_column($sheet->terms, 0)))->toEqualWithDelta($sheet->value, 1e-9, $method->name());
            }
        }
    }
});

it('has a name, words and a first reading for every way to touch off', function (): void {
    $names = array_map(static fn ($method): string => $method->name(), MethodCatalogue::all());
    expect(array_unique($names))->toBe($names);
    foreach (MethodCatalogue::all() as $method) {
        expect(MethodCatalogue::named($method->name())?->words())->toBe($method->words())->and($method->readings()[0])->toBeInstanceOf(Reading::class);
    }
    expect(MethodCatalogue::named('by-eye'))->toBeNull();
});
