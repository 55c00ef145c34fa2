<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;
use Tests\Core\Demo;

/** Remakes the pictures of docs/screenshots from the demo data: ./oak screenshots. */
function picture(string $name): void
{
    usleep(400_000);
    expect(Screen::driver()->takeScreenshot(dirname(__DIR__, 2)."/docs/screenshots/{$name}.png"))->not->toBeEmpty();
}

it('pictures the list of parts, the tool crib, the machines, the people and a setup being touched off', function (): void {
    Screen::past();
    Screen::signIn();
    picture('parts');
    Screen::visit('/tools');
    Screen::see('10 end mill');
    picture('tools');
    Screen::visit('/machines');
    Screen::see('Hazel');
    picture('machines');
    Screen::visit('/people');
    Screen::see('T. Sapling');
    picture('people');
    Screen::visit('/setups/'.(Demo::JOBS + 1).'/touching-off');
    Screen::see('not finished: do it again');
    picture('touching-off');
});

it('pictures the bench', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1210')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::press(WebDriverKeys::ALT, 'n');
    picture('bench-stop');
});

it('pictures a lathe', function (): void {
    Screen::signIn();
    Screen::named('a', 'O2110')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::find('.cm-line:nth-child(14)')->click();
    Screen::settle();
    picture('bench-lathe');
});

it('pictures an operation sheet', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1306')->click();
    Screen::see('How it is cut');
    Screen::settle();
    Screen::until(static function (): bool {
        Screen::driver()->findElement(WebDriverBy::xpath('//li//button[contains(., "Seat")]'))->click();

        return true;
    }, 'the seat');
    Screen::find('[id="operations.2.size"]')->click();
    Screen::settle();
    picture('bench-sheet');
});

it('pictures a compensated path and a line explained', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1711')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::until(fn () => Screen::named('div', 'G41 D1 X-50. Y-12. F640.'), 'the line')->click();
    Screen::press(WebDriverKeys::HOME);
    Screen::press(WebDriverKeys::ALT, 'e');
    Screen::see('tool left of the path');
    picture('bench-compensation');
});

it('pictures what a wrong offset meets', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1210')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::alt('o');
    Screen::see('What happens first');
    Screen::notSee('Simulating…');
    picture('bench-offsets');
});

it('pictures the logbook', function (): void {
    Screen::signIn('machinist');
    foreach (['workOffsets.G54.X' => '-377.25', 'workOffsets.G54.Y' => '-204.5', 'offsets.H.2' => '-231.42'] as $field => $value) {
        Screen::visit('/setups/1');
        Screen::find("[id=\"{$field}\"]")->click();
        Screen::press(WebDriverKeys::CONTROL, 'a');
        Screen::press(WebDriverKeys::NULL);
        Screen::press($value, WebDriverKeys::ENTER);
        Screen::see('All changes saved.');
    }
    Screen::signOut('M. Hollow');
    Screen::see('Where every axis really goes');
    Screen::signIn();
    Screen::visit('/logbook');
    Screen::see('signed in');
    picture('logbook');
});

it('pictures the stock as it is cut', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1935')->click();
    Screen::settle();
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('84'.WebDriverKeys::ENTER);
    Screen::see('3.0 mm deep');
    Screen::alt('d');
    Screen::find('[data-testid=turned] canvas');
    Screen::alt('s');
    Screen::notSee('Cutting the stock…');
    Screen::named('button', 'Corner')->click();
    usleep(900_000);
    picture('bench-cut');
    Screen::alt('f');
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::END);
    Screen::named('button', 'Compare')->click();
    Screen::see('gouged');
    Screen::find('[aria-label="Next step"]')->click();
    usleep(900_000);
    picture('bench-wanted');
});

it('pictures the profiles', function (): void {
    Screen::signIn();
    Screen::visit('/profiles');
    Screen::see('Machines with this control');
    picture('profiles');
});

it('pictures the rotary job on rapids that bend', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1820')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::find('[data-testid=strip]')->click();
    picture('bench-rotary');
});

it('pictures the setup', function (): void {
    Screen::signIn();
    Screen::named('a', 'One vice')->click();
    Screen::see('Work offsets');
    picture('setup');
});

it('pictures the run in depth, two revisions compared, and the display at the machine', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::alt('d');
    Screen::alt('f');
    Screen::find('[data-testid=turned] canvas');
    // Reached by its key, the button would be explained.
    Screen::driver()->executeScript('document.activeElement.blur()');
    usleep(800_000);
    picture('bench-turned');
    Screen::visit('/programs/2');
    Screen::settle();
    Screen::alt('n');
    Screen::alt('p');
    Screen::see('Clear — 1 note');
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::press(WebDriverKeys::NULL, 'Point found'.WebDriverKeys::ENTER);
    Screen::notSee('not saved');
    Screen::visit('/programs/2/compare');
    Screen::see('Settled, line 63');
    Screen::until(fn (): bool => Screen::text('[data-testid=text-difference]') !== '', 'the texts');
    picture('compare');
    Screen::visit('/programs/1/machine');
    Screen::see('Hold points');
    Screen::named('button', 'Next hold point ▷▷')->click();
    Screen::named('button', 'Next hold point ▷▷')->click();
    picture('at-machine');
});
