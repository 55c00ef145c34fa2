<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

beforeEach(function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
});

it('shows the end view, the run in depth, and only what is wanted of it', function (): void {
    $before = Screen::drawing();
    Screen::alt('v');
    Screen::find('canvas[aria-label="Plan, elevation and end view of the program\'s motion"]');
    expect(Screen::drawing())->not->toBe($before);
    $still = Screen::drawing();
    Screen::find('[aria-label^="Flat views"]')->sendKeys('+'.WebDriverKeys::ARROW_LEFT);
    Screen::until(fn (): bool => Screen::drawing() !== $still, 'the sheet to be zoomed by the keys');
    Screen::alt('w');
    Screen::named('label', 'Rapids')->click();
    Screen::see('Show: part');
    $without = Screen::drawing();
    Screen::find('[aria-label="Height, mm"]')->sendKeys('-10');
    Screen::until(fn (): bool => Screen::drawing() !== $without, 'the rule to dim');
    Screen::named('button', 'Show all')->click();
    Screen::notSee('Show: part');
    Screen::alt('d');
    Screen::find('[data-testid=turned] canvas');
    $picture = fn (): string => md5(Screen::driver()->takeScreenshot());
    usleep(700_000);
    $still = $picture();
    Screen::find('[data-testid=turned]')->sendKeys(WebDriverKeys::ARROW_LEFT);
    Screen::until(fn (): bool => $picture() !== $still, 'the run to turn');
    Screen::named('button', 'Above')->click();
    Screen::named('button', 'Job')->click();
    Screen::find('canvas[aria-label^="Plan"]');
});

it('measures moves and between points, by the keyboard too, and writes the sheet as a file', function (): void {
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('80'.WebDriverKeys::ENTER);
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G2 I-42.', 'the arc');
    Screen::alt('u');
    Screen::named('button', 'Centre')->click();
    // A full circle of radius 42: its circumference is 2 π 42.
    Screen::see('263.894 mm');
    Screen::see('42.000 mm');
    Screen::see('360.000° clockwise');
    Screen::named('button', 'End')->click();
    Screen::see('From the centre of the move of line 80 to the end of the move of line 80.');
    expect(Screen::text('[aria-label="Measured"]'))->toContain('Straight')->toContain('42.000 mm');
    Screen::driver()->executeScript('URL.createObjectURL = (blob) => { blob.text().then((text) => { window.kept = text; }); return "blob:none"; }');
    Screen::named('button', 'SVG')->click();
    $svg = Screen::until(fn () => Screen::driver()->executeScript('return window.kept ?? null'), 'the file');
    expect(simplexml_load_string($svg))->not->toBeFalse()
        ->and($svg)->toContain(
            'PLAN</text>', 'ELEVATION</text>', '>O1305 rev 1</text>', '>Hand hub</text>', '>Clear — 1 note; prove it out</text>',
            'does not see the machine', '@font-face', '>42.000</text>',
        );
});

it('steps by block and by tool, and rests at each block where it should', function (): void {
    $at = fn (string $line) => Screen::until(fn (): bool => Screen::text('.cm-activeLine') === $line, $line);
    Screen::alt('.');
    $at('T1 M6');
    Screen::alt('.');
    $at('G54 G0 X0. Y0.');
    Screen::alt(',');
    $at('T1 M6');
    Screen::find('[aria-label="Step by"]')->findElement(WebDriverBy::xpath('..'))->click();
    Screen::named('li', 'tool')->click();
    Screen::named('button', 'Step forward')->click();
    $at('T2 M6');
    Screen::find('[aria-label="Pause"]')->findElement(WebDriverBy::xpath('..'))->click();
    Screen::named('li', 'each block')->click();
    Screen::named('button', 'Play')->click();
    $at('G54 G0 X24.249 Y14.');
    Screen::named('button', 'Play');
});

it('nudges numbers while the drawing follows, folds a tool, and shifts the lines that are selected', function (): void {
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('13'.WebDriverKeys::ENTER);
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G43 H1 Z25. M8', 'the line');
    Screen::press(...array_fill(0, 10, WebDriverKeys::ARROW_RIGHT));
    Screen::alt('=');
    Screen::alt('=');
    Screen::until(
        fn (): bool => Screen::text('.cm-activeLine') === 'G43 H1 Z27. M8' && Screen::text('[data-testid=shown-Z]') === '27.000', 'the nudged height',
    );
    Screen::press(WebDriverKeys::CONTROL, 'z');
    Screen::press(WebDriverKeys::NULL);

    // Lines 16 to 18 selected from the keyboard, and the change takes them from there.
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('16'.WebDriverKeys::ENTER);
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'X24.249 Y14.', 'the line');
    Screen::press(WebDriverKeys::SHIFT, WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN, WebDriverKeys::END);
    Screen::press(WebDriverKeys::NULL);
    Screen::alt('c');
    Screen::named('button', 'Shift')->click();
    expect(
        Screen::find('[aria-label="From line"]')->getAttribute('value'),
    )->toBe('16')->and(Screen::find('[aria-label="To line"]')->getAttribute('value'))->toBe('18');
    Screen::find('[aria-label="X by"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'1');
    Screen::see('3 changes');
    Screen::named('button', 'Apply')->click();
    Screen::see('X25.249 Y14.');

    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('9'.WebDriverKeys::ENTER);
    Screen::settle();
    Screen::press(WebDriverKeys::CONTROL.WebDriverKeys::SHIFT.'['.WebDriverKeys::NULL);
    Screen::until(fn (): bool => ! str_contains(Screen::text('.cm-content'), 'X25.249'), 'the tool to fold');
});

it('steps through a called program in the call it is in, not the last one', function (): void {
    Screen::visit('/programs/5');
    Screen::settle();
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('45'.WebDriverKeys::ENTER);
    // Where the cursor is on a call, the tool stands at its end; back into it, block by block.
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'M98 P8100', 'the call');
    Screen::alt(',');
    Screen::see('called from line 45');
    Screen::find('[data-testid=called-listing]');
    $moment = fn (): int => (int) Screen::find('[data-testid=strip]')->getAttribute('aria-valuenow');
    $at = $moment();
    foreach (range(1, 2) as $step) {
        usleep(400_000);
        Screen::alt(',');
    }
    usleep(400_000);
    Screen::see('called from line 45');
    expect($moment())->toBeLessThanOrEqual($at)->toBeGreaterThan($at - 60);
});
