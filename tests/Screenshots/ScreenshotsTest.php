<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

/** Remakes the pictures of docs/screenshots from the demo data: ./oak screenshots. */
function picture(string $name): void
{
    usleep(400_000);
    expect(Screen::driver()->takeScreenshot(dirname(__DIR__, 2)."/docs/screenshots/{$name}.png"))->not->toBeEmpty();
}

it('pictures the sign-in', function (): void {
    Screen::visit('/sign-in');
    Screen::see('Sign in');
    picture('sign-in');
});

it('pictures the list of parts', function (): void {
    Screen::signIn();
    picture('parts');
});

it('pictures the bench', function (string $program, string $picture): void {
    Screen::signIn();
    Screen::named('a', $program)->click();
    Screen::see('Before you run');
    Screen::settle();
    if ($picture === 'bench-stop') {
        Screen::press(WebDriverKeys::ALT, 'n');
    } else {
        Screen::find('[data-testid=strip]')->click();
    }
    picture($picture);
})->with([['O1305', 'bench-clear'], ['O1210', 'bench-stop']]);

it('pictures the setup', function (): void {
    Screen::signIn();
    Screen::named('a', 'One vice')->click();
    Screen::see('Work offsets');
    picture('setup');
});
