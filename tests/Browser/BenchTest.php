<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

/** Opens a program of the list on the bench. */
function openBench(string $program): void
{
    Screen::signIn();
    Screen::named('a', $program)->click();
    Screen::see('Before you run');
    Screen::settle();
}

/** Puts the cursor of the listing at the end of a line. */
function cursorAt(string $line): void
{
    Screen::until(fn () => Screen::named('div', $line), $line)->click();
    Screen::press(WebDriverKeys::END);
}

function positionOf(string $axis): string
{
    return Screen::text("[data-testid=shown-{$axis}]");
}

it('is signed in to, refuses the wrong password, and signs out', function (): void {
    Screen::visit('/programs/1');
    Screen::find('input[name=email]')->sendKeys('lead@fernhollow.example');
    Screen::find('input[name=password]')->sendKeys('pendulum'.WebDriverKeys::ENTER);
    Screen::see('E-mail and password do not match.');
    Screen::find('input[name=password]')->sendKeys('escapement'.WebDriverKeys::ENTER);
    Screen::see('Before you run');
    // Sessions are files here, and an answer under way would write its own again.
    Screen::settle();
    Screen::signOut('J. Fern');
    Screen::see('Where every axis really goes');
});

it('takes a program that runs out of travel from stop to clear, and an edit to a saved revision', function (): void {
    // Read the finding.
    openBench('O1410');
    Screen::see('Stop — 1 error');
    Screen::see('Y runs past its plus limit of 0.000 mm: furthest 15.500 mm, 15.500 mm too far, on line 15.');
    Screen::see('G54 Y must lie between −382.000 mm and −368.000 mm');

    // Change the work offset, where the finding leads.
    Screen::named('a', 'Go to G54 Y')->click();
    Screen::see('May it run?');
    $field = Screen::find('[id="workOffsets.G54.Y"]');
    Screen::until(fn (): bool => Screen::driver()->switchTo()->activeElement()->getAttribute('id') === 'workOffsets.G54.Y', 'the field to be focused');
    $field->clear()->sendKeys(WebDriverKeys::BACKSPACE.str_repeat(WebDriverKeys::BACKSPACE, 8).'-375'.WebDriverKeys::ENTER);
    Screen::work();
    Screen::see('Clear — 1 note; prove it out');
    Screen::see('All changes saved.');

    // The verdict has turned on the bench too.
    Screen::named('a', 'O1410')->click();
    Screen::settle();
    expect(Screen::find('[role=status][data-verdict]')->getAttribute('data-verdict'))->toBe('clear');

    // Edit a line: the drawing and the running Z follow.
    $before = Screen::drawing();
    cursorAt('G1 Z-0.3 F500.');
    expect(positionOf('Z'))->toBe('−0.300');
    Screen::press(str_repeat(WebDriverKeys::BACKSPACE, 9).'1.25 F500.');
    Screen::until(fn (): bool => positionOf('Z') === '−1.250', 'the running Z');
    Screen::settle();
    expect(Screen::drawing())->not->toBe($before)->and(Screen::text('.oak-heights'))->toContain('−1.25');
    Screen::see('rev 1, not saved');

    // Save; reload; the revision is there.
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::see('Save as revision 2');
    Screen::press(WebDriverKeys::NULL, 'Deeper skim'.WebDriverKeys::ENTER);
    Screen::notSee('not saved');
    Screen::driver()->navigate()->refresh();
    Screen::settle();
    Screen::see('G1 Z-1.25 F500.');
    Screen::find('[data-testid=revision]')->click();
    Screen::see('Deeper skim');
});

it('mends a finding by its own remedy, and takes it back', function (): void {
    openBench('O1210');
    Screen::see('Was Z-4. meant?');
    Screen::named('button', 'Put Z-4.')->click();
    Screen::until(fn (): bool => Screen::find('[role=status][data-verdict]')->getAttribute('data-verdict') === 'clear', 'the verdict to turn');
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::CONTROL, 'z');
    Screen::press(WebDriverKeys::NULL);
    Screen::see('Stop — 1 error');
});

it('loses nothing that was typed when the page is reloaded', function (): void {
    openBench('O1305');
    cursorAt('O1305 (HAND HUB, OP 10 - BORE, BOLT CIRCLE, RIM)');
    Screen::press(' (LOOK HERE)');
    Screen::settle();
    Screen::driver()->navigate()->refresh();
    Screen::see('have been restored');
    Screen::see('(LOOK HERE)');
    Screen::named('button', 'Discard, show revision 1')->click();
    Screen::notSee('(LOOK HERE)');
});

it('lets one type on while the server does not answer, and checks what was typed when it does', function (): void {
    openBench('O1305');
    $tools = new ChromeDevToolsDriver(Screen::driver());
    $tools->execute('Network.enable');
    $line = fn (bool $cut) => $tools->execute(
        'Network.emulateNetworkConditions', ['offline' => $cut, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
    );
    try {
        $line(true);
        cursorAt('G0 Z50. M9');
        Screen::press(' (CUT OFF)');
        Screen::see('The server does not answer. Unsaved changes are kept on this computer.');
        Screen::press(' (STILL TYPING)');
    } finally {
        $line(false);
    }
    // It asks again by itself when the line is back, or when it is told to.
    Screen::until(function (): bool {
        foreach (Screen::driver()->findElements(WebDriverBy::xpath("//button[.='Check again']")) as $again) {
            $again->click();
        }

        return ! str_contains(Screen::text(), 'The server does not answer');
    }, 'the check to be made again');
    Screen::settle();
    Screen::driver()->navigate()->refresh();
    Screen::see('(CUT OFF) (STILL TYPING)');
});

it('links listing, drawing, strip and findings', function (): void {
    openBench('O1210');
    // A finding leads to its line.
    Screen::alt('n');
    Screen::until(fn (): bool => positionOf('Z') === '−40.000', 'the tool at the finding');
    expect(Screen::text('.cm-activeLine'))->toBe('G1 Z-40. F180.');
    // The cursor moves the tool.
    cursorAt('G43 H2 Z25. M8');
    Screen::until(fn (): bool => positionOf('Z') === '25.000', 'the tool at the cursor');
    Screen::see('H2: −250.040 mm');
    // A click on a move leads to its line: the left slot, seen in plan.
    $drawing = Screen::find('[data-testid=drawing]');
    $size = $drawing->getSize();
    $found = Screen::until(function () use ($drawing, $size): string {
        foreach (range(-60, -20, 4) as $dx) {
            (new WebDriverActions(Screen::driver()))->moveToElement($drawing, $dx, (int) (-$size->getHeight() * 0.33))->click()->perform();
            if (preg_match('/^G1 Y(-12|38)/', Screen::text('.cm-activeLine')) === 1) {
                return Screen::text('.cm-activeLine');
            }
        }

        return '';
    }, 'a click on the slot to lead to its line');
    expect($found)->toStartWith('G1 Y');
    // The strip scrubs.
    Screen::find('[data-testid=strip]')->click();
    Screen::press(WebDriverKeys::HOME);
    Screen::until(fn (): bool => positionOf('Z') === '0.000', 'the start of the run');
    Screen::press(WebDriverKeys::END);
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'M30', 'the end of the run');
});

it('shows a program nothing can be made of without falling over', function (): void {
    openBench('O1305');
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::CONTROL, 'a');
    Screen::press(WebDriverKeys::NULL, 'G1 X1O Y[');
    Screen::settle();
    Screen::see('has the letter O where a zero belongs');
    expect(Screen::find('[role=status][data-verdict]')->getAttribute('data-verdict'))->toBe('stop');
});
