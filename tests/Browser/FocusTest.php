<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

/** What has the focus: its name, or the words on it; "nothing" where Tab would begin at the top of the page. */
function focused(): string
{
    return (string) Screen::driver()->executeScript(
        <<<'JS'
            const has = document.activeElement;
            return has === null || has === document.body ? 'nothing' : (has.getAttribute('aria-label') ?? has.textContent).trim();
            JS,
    );
}

function focusComesTo(string $name): void
{
    Screen::until(fn (): bool => focused() === $name, "the focus on “{$name}”, which is on “".focused().'”');
}

it('keeps the focus in every panel of the bench, when it opens, changes and closes', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1210')->click();
    Screen::see('Before you run');
    Screen::settle();
    // The trays of the drawing, by their keys: the button that opens one has the focus again when it is closed.
    foreach (['w' => ['Show', 'Close'], 'u' => ['Measure', 'Close'], 'm' => ['Zero', 'Cancel']] as $key => [$name, $close]) {
        Screen::alt($key);
        Screen::named('button', $close)->click();
        focusComesTo($name);
    }
    Screen::alt('w');
    Screen::named('button', 'Close')->sendKeys(WebDriverKeys::ESCAPE);
    focusComesTo('Show');
    // What folds a pane gives way to what opens it, and back.
    foreach (['listing' => 'Fold the listing', 'review' => 'Before you run', 'positions and heights' => 'Play'] as $pane => $back) {
        Screen::find("[aria-label=\"Fold the {$pane}\"]")->click();
        focusComesTo("Open the {$pane}");
        Screen::press(WebDriverKeys::ENTER);
        focusComesTo($back);
    }
    Screen::named('button', 'Go to')->click();
    Screen::press(WebDriverKeys::ESCAPE);
    focusComesTo('Go to');
    Screen::named('button', 'Find')->click();
    focusComesTo('Find');
    Screen::press(WebDriverKeys::ESCAPE);
    focusComesTo('Program listing');
    Screen::named('button', 'Change')->click();
    Screen::press(WebDriverKeys::ESCAPE);
    focusComesTo('Change');
    Screen::named('button', 'Explain')->click();
    Screen::until(fn (): bool => focused() !== 'nothing', 'the focus in the explanation');
    Screen::named('button', 'Active')->click();
    focusComesTo('Explain');
    foreach (['h', 'o', 'b'] as $key) {
        Screen::alt($key);
        expect(focused())->not->toBe('nothing');
    }
});

it('hands the focus on when what had it is removed', function (): void {
    Screen::signIn();
    Screen::visit('/setups/2');
    Screen::see('May it run?');
    Screen::named('button', 'Add a tool')->click();
    Screen::see('All changes saved');
    $tools = fn (): int => (int) Screen::driver()->executeScript('return document.querySelectorAll("[aria-label^=\"Remove T\"]").length');
    Screen::until(fn (): bool => $tools() === 6, 'a sixth tool');
    $last = Screen::find('[aria-label="Remove T6"]');
    $last->sendKeys(WebDriverKeys::ENTER);
    Screen::until(fn (): bool => $tools() === 5, 'five tools again');
    Screen::until(fn (): bool => focused() !== 'nothing', 'the focus near the tool that went');
    expect(focused())->toBe('Remove T5');
});
