<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;
use Tests\Core\Demo;

/** Opens O1305 on the bench with changes typed into it and not saved. */
function openTyped(string $text, string $who = 'lead'): void
{
    Screen::signIn($who);
    $person = $who === 'lead' ? 1 : 2;
    Screen::driver()->executeScript(
        "localStorage.setItem('oak-draft:{$person}:1', JSON.stringify({ text: arguments[0], base: 1, at: '2026-03-02T08:00:00Z' }))", [$text],
    );
    Screen::visit('/programs/1');
    Screen::see('have been restored');
    Screen::settle();
}

/** How many findings the verdict counts, with the check settled. */
function findingsCounted(): int
{
    Screen::settle();
    preg_match_all('/(\d+) (?:errors?|cautions?|notes?)/', Screen::text('[data-verdict]'), $counts);

    return array_sum(array_map(intval(...), $counts[1]));
}

it('mends a program with five slips, by the keyboard alone', function (): void {
    $entryErrors = [
        "S2300 M3\n" => "S2300\n", "G43 H3 Z25. M8\n" => "Z25. M8\n", "G1 Z-15. F120.\n" => "G1 Z-150. F120.\n", "S3200 M3\n" => "S32000 M3\n",
        "Y-14.\nG80\nG0 Z50. M9\nM5\n\n(T2" => "Y-14\nG80\nG0 Z50. M9\nM5\n\n(T2",
    ];
    openTyped(strtr(Demo::text('1305'), $entryErrors));
    // The last is a note of a full slot, which stays.
    expect(findingsCounted())->toBe(6);
    foreach ([5, 4, 3, 2, 1] as $i => $left) {
        Screen::alt('n');
        Screen::find('[data-check][aria-current] [aria-label="The change"]');
        Screen::alt('p');
        Screen::until(fn (): bool => findingsCounted() === $left, "{$left} left");
        // What was settled keeps its place until the next act, and can be undone there.
        expect(Screen::text('[aria-label="Next step"]'))->toContain('Done. Line ')->toContain("{$left} left");
        if ($i === 2) {
            Screen::named('button', 'Undo')->click();
            Screen::until(fn (): bool => findingsCounted() === 4, 'the change undone');
            Screen::alt('n');
            Screen::alt('p');
            Screen::until(fn (): bool => findingsCounted() === $left, "{$left} left");
        }
    }
    expect(Screen::find('[role=status][data-verdict]')->getAttribute('data-verdict'))->toBe('clear');
});

it('leads from a hold point to its block and its position', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::alt('h');
    Screen::see('First move down of T3');
    Screen::until(
        fn () => Screen::driver()->findElement(WebDriverBy::xpath('//section[@aria-label="Hold points"]//button[contains(., "First move down of T3")]')),
        'the hold point',
    )->click();
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G43 H3 Z25. M8', 'the block of the hold point');
    expect(Screen::text('[data-testid=shown-Z]'))->toBe('25.000');
});

it('tells what a wrong offset would meet, and goes to the line', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::alt('o');
    // Crashes stand open, alarms are folded below them.
    Screen::see('rapids into the stock');
    Screen::notSee('overruns the Z− limit');
    Screen::find('section[aria-label="What if an offset is wrong"] summary')->click();
    Screen::see('T1 overruns the Z− limit, coming from');
    Screen::driver()->executeScript(
        "[...document.querySelectorAll('section[aria-label=\"What if an offset is wrong\"] button')]"
        .".find((row) => row.innerText.includes('Z− limit')).click()",
    );
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G43 H1 Z25. M8', 'the line');
});

it('lets a lead make a note of a caution, with the reason in sight, and take that back', function (): void {
    openTyped(str_replace("M30\n", "G0 X22. Y0.\nZ1.\nX30.\nZ25.\nM30\n", Demo::text('1305')));
    Screen::alt('n');
    Screen::named('button', 'Lower to a note…')->click();
    Screen::find('[aria-label="Reason"]')->sendKeys('nothing stands there'.WebDriverKeys::ENTER);
    Screen::see('lowered to a note in this setup by J. Fern');
    Screen::see('nothing stands there');
    Screen::settle();
    expect(Screen::find('[role=status][data-verdict]')->getAttribute('data-verdict'))->toBe('clear');
    Screen::find('[data-check="heights.rapid-low"] button')->click();
    Screen::named('button', 'Raise to a caution')->click();
    Screen::until(fn (): bool => Screen::find('[role=status][data-verdict]')->getAttribute('data-verdict') === 'caution', 'the caution');
});

it('keeps that from a machinist', function (): void {
    openTyped(str_replace("M30\n", "G0 X22. Y0.\nZ1.\nX30.\nZ25.\nM30\n", Demo::text('1305')), 'machinist');
    Screen::alt('n');
    Screen::see('Lift to the clearance before crossing.');
    Screen::notSee('Make it a note');
});

it('moves the zero to where it is typed, says whether everything fits, and puts it in the setup', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::named('button', 'Travel')->click();
    Screen::named('button', 'Zero')->click();
    $x = Screen::find('[aria-label="G54 X, machine coordinates, mm"]');
    expect($x->getAttribute('value'))->toBe('-380');
    Screen::see('Within travel.');
    // Typed: beyond the area, and back inside it.
    $x->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'-20');
    Screen::see('X out of travel.');
    $x->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'-300.5');
    Screen::see('Within travel.');
    Screen::named('button', 'Set in the setup')->click();
    Screen::until(fn (): bool => count(Screen::driver()->findElements(WebDriverBy::cssSelector('[aria-label="Zero of G54"]'))) === 0, 'the bar to close');
    Screen::settle();
    Screen::visit('/setups/1');
    expect(Screen::find('[id="workOffsets.G54.X"]')->getAttribute('value'))->toBe('-300.5');
});

it('remembers that a revision was proven, and notices what has changed since', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::find('[data-testid=revision]')->click();
    Screen::named('li', 'Rev 1 has been proven on the machine')->click();
    Screen::see('rev 1, proven');
    Screen::visit('/setups/1');
    Screen::see('May it run?');
    Screen::find('[id="offsets.H.3"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'-246.2'.WebDriverKeys::ENTER);
    Screen::see('All changes saved.');
    Screen::visit('/programs/1');
    Screen::see('Changed since this program was proven');
    Screen::see('by J. Fern: H3 from');
});

it('lets the zero be dragged by its mark in the plan', function (): void {
    Screen::signIn();
    Screen::visit('/programs/2');
    Screen::settle();
    // The job of O1210 lies evenly about its zero, so the mark stands in the middle of the plan.
    $split = Screen::until(fn (): int => (int) Screen::driver()->executeScript(<<<'JS'
        const canvas = document.querySelector('[data-testid="drawing"] canvas');
        const pixels = canvas.getContext('2d').getImageData(2, 0, 1, canvas.height).data;
        let split = 0;
        for (let y = 30; y < canvas.height && split === 0; y++) if (pixels[4 * y] < 215) split = y;
        return split;
        JS), 'the sheet with its two views');
    $drawing = Screen::find('[data-testid=drawing]');
    $middle = $drawing->getSize()->getHeight() / 2;
    (new WebDriverActions(Screen::driver()))
        ->moveToElement($drawing, 0, (int) round($split / 2 - $middle))->clickAndHold()->moveByOffset(30, -10)->moveByOffset(30, -10)->release()->perform();
    $at = fn (string $axis): float => (float) Screen::find("[aria-label=\"G54 {$axis}, machine coordinates, mm\"]")->getAttribute('value');
    expect($at('X'))->toBeGreaterThan(-380.0)->and($at('Y'))->toBeGreaterThan(-205.0);
    Screen::see('Within travel.');
    Screen::named('button', 'Cancel')->click();
    Screen::notSee('Within travel.');
});

it('writes a dry run that fits, and says so where one does not', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::alt('h');
    Screen::named('button', 'Create')->click();
    Screen::see('Within travel; takes');
    Screen::find('[aria-label="Raised by, mm"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'300');
    Screen::notSee('Fits the travel');
    Screen::named('button', 'Create')->click();
    Screen::see('Z runs past its plus limit');
});

it('plays the run, and rests where it should be held', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::named('button', 'Play')->click();
    // The first thing to hold at in the order of the run: the work offset is used for the first time.
    $rests = fn (string $line, string $axis, string $at): bool => Screen::text("[data-testid=shown-{$axis}]") === $at
        && Screen::text('.cm-activeLine') === $line && Screen::text('[aria-label="Play the run"] button') === 'Play';
    Screen::until(fn (): bool => $rests('G54 G0 X0. Y0.', 'X', '0.000'), 'the first rest');
    Screen::alt('r');
    Screen::until(fn (): bool => $rests('G43 H1 Z25. M8', 'Z', '25.000'), 'the second rest');
    expect(Screen::text('[data-testid=shown-X]'))->toBe('0.000');
});
