<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

function openProgram(string $program): void
{
    Screen::signIn();
    Screen::named('a', $program)->click();
    Screen::see('Before you run');
    Screen::settle();
}

it('shows the motion of a called program where its line is clicked, and the line a pick in the drawing comes from', function (): void {
    openProgram('O1711');
    Screen::named('button', 'O8200called')->click();
    Screen::until(fn () => Screen::named('div', 'X27. F240.'), 'the called line')->click();
    Screen::see('O8200 line 5, called from line 67');
    Screen::see('rotated by 270.000°');
    expect(Screen::text('[data-testid=shown-Y]'))->toBe('−27.000');

    // Back in the program, its own line again.
    Screen::named('button', 'O1711')->click();
    Screen::until(fn () => Screen::named('div', 'G1 X42.'), 'the outline')->click();
    Screen::see('left of the path by 4.985 mm, D1 (a diameter by the profile)');
    expect(Screen::text('[data-testid=shown-Y]'))->toBe('34.985');
});

it('explains the line at the cursor, and follows it', function (): void {
    openProgram('O1711');
    Screen::until(fn () => Screen::named('div', 'G2 X-42. Y30. R8.'), 'the arc')->click();
    Screen::alt('e');
    Screen::see('arc, clockwise');
    Screen::see('radius 8.000 mm');
    Screen::press(WebDriverKeys::ARROW_DOWN);
    Screen::see('X to 42.000 mm from program zero');
    Screen::named('button', 'Active')->click();
    Screen::see('Work offset');
});

it('copies a profile, changes a code and a switch, and the reading of a machine follows', function (): void {
    Screen::signIn();
    Screen::room('Controls');
    Screen::named('button', 'ISO milliso-mill')->click();
    Screen::find('input[aria-label="Name of the copy"]')->sendKeys('Alder, new control'.WebDriverKeys::ENTER);
    Screen::see('A copy of “ISO mill”.');
    $code = Screen::until(fn () => Screen::find('input[aria-label="Code: peck drilling cycle"]'), 'the code');
    $code->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'G9X', WebDriverKeys::TAB]);
    Screen::until(fn (): bool => Screen::find('button.MuiButton-contained')->isEnabled(), 'something to store');
    Screen::find('button.MuiButton-contained')->click();
    Screen::see('The profile was not saved');
    Screen::see('A code is G or M and a number');
    Screen::find('input[aria-label="Code: peck drilling cycle"]')->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'G283', WebDriverKeys::TAB]);
    Screen::driver()->executeScript('[...document.querySelectorAll("label")].find((label) => label.textContent === "Alder").click()');
    Screen::find('button.MuiButton-contained')->click();
    Screen::until(fn (): bool => ! Screen::find('button.MuiButton-contained')->isEnabled(), 'it to be stored');

    Screen::visit('/');
    Screen::named('a', 'O1711')->click();
    Screen::see('G83 is not a code of the control profile Alder, new control');
});
