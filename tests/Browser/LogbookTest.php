<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

it('shows who changed what, and to a lead who signed in', function (): void {
    Screen::signIn('machinist');
    Screen::visit('/setups/1');
    $field = Screen::find('[id="workOffsets.G54.X"]');
    $field->click();
    Screen::press(WebDriverKeys::CONTROL, 'a');
    Screen::press(WebDriverKeys::NULL);
    $field->sendKeys('-377.25'.WebDriverKeys::ENTER);
    Screen::see('All changes saved.');
    Screen::visit('/setups/1/logbook');
    Screen::see('Hand hub, op 10 Vice on 40 parallels');
    Screen::see('→ -377.25');
    expect(Screen::text('table'))->toContain('M. Hollow', 'G54 X: ')->not->toContain('signed in');

    // The list has no verdict for it until the queue has worked it out; then it is there by itself.
    Screen::visit('/');
    Screen::see('Not checked yet');
    Screen::work();
    Screen::notSee('Not checked yet');

    // Signing out leaves nothing to go back to.
    Screen::signOut('M. Hollow');
    Screen::see('Where every axis really goes');
    Screen::driver()->navigate()->back();
    Screen::until(
        fn (): bool => str_contains(Screen::driver()->getCurrentURL(), '/sign-in') || ! str_contains(Screen::text(), 'Hand hub'), 'nothing of the shop',
    );
    Screen::notSee('Hand hub');
    Screen::signIn();
    Screen::room('Logbook');
    Screen::see('signed in from 127.0.0.1');
    Screen::see('signed out');
});

it('keeps what is typed in two tabs of one person apart, and takes up that of a tab that is closed', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    $type = static function (string $text): void {
        Screen::find('.cm-content')->click();
        Screen::press(WebDriverKeys::CONTROL, WebDriverKeys::HOME);
        Screen::press(WebDriverKeys::NULL);
        Screen::press(WebDriverKeys::ARROW_DOWN, WebDriverKeys::END, $text);
        Screen::see('not saved');
        Screen::settle();
    };
    $type(' (ONE)');
    $first = Screen::driver()->getWindowHandle();
    Screen::driver()->switchTo()->newWindow();
    Screen::visit('/programs/1');
    Screen::settle();
    expect(Screen::text('.cm-content'))->not->toContain('(ONE)');
    $type(' (TWO)');
    Screen::driver()->navigate()->refresh();
    Screen::see('have been restored');
    expect(Screen::text('.cm-content'))->toContain('(TWO)')->not->toContain('(ONE)');
    Screen::driver()->close();
    Screen::driver()->switchTo()->window($first);
    Screen::driver()->navigate()->refresh();
    Screen::see('have been restored');
    expect(Screen::text('.cm-content'))->toContain('(ONE)');
    // What the closed tab held is found when the program is opened with nothing of its own.
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::press(WebDriverKeys::NULL);
    Screen::find('[role=dialog] input')->sendKeys('One'.WebDriverKeys::ENTER);
    Screen::notSee('not saved');
    Screen::driver()->navigate()->refresh();
    Screen::see('have been restored');
    expect(Screen::text('.cm-content'))->toContain('(TWO)');
});

it('says so where the browser has no room to keep what is typed', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::driver()->executeScript(<<<'JS'
        Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); };
        indexedDB.open = () => { throw new DOMException('full', 'QuotaExceededError'); };
        JS);
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::END, ' (KEPT NOWHERE)');
    Screen::see('This browser’s storage is full');
});

it('tells how long to wait after too many tries', function (): void {
    Screen::visit('/sign-in');
    Screen::find('input[name=email]')->sendKeys('lead@fernhollow.example');
    for ($try = 1; $try <= 7; $try++) {
        Screen::find('input[name=password]')->sendKeys("guess {$try}".WebDriverKeys::ENTER);
        Screen::until(fn (): bool => Screen::find('input[name=password]')->getAttribute('value') === '', "the answer to try {$try}");
    }
    Screen::see('Too many tries. Wait');
    expect(count(Screen::driver()->findElements(WebDriverBy::cssSelector('input[name=password]'))))->toBe(1);
});
