<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

it('tells what is wrong with the cut, mends what a change of the text can mend, and leads to the tool for the rest', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1935')->click();
    Screen::settle();
    $stops = fn (): array => array_map(fn ($card): string => (string) $card->getAttribute('data-check'), Screen::driver()->findElements(WebDriverBy::cssSelector('[data-check][data-severity=stop]')));
    expect($stops())->toEqualCanonicalizing(['cutting.plunge-no-center', 'cutting.too-deep', 'cutting.flute-length']);
    Screen::named('button', 'Go down to and fro on a slope')->click();
    Screen::until(fn (): bool => ! in_array('cutting.plunge-no-center', $stops(), true), 'the ramp');
    Screen::see('Z-2.8');
    Screen::named('a', 'Go to T3 flute length')->click();
    Screen::until(fn (): bool => Screen::driver()->switchTo()->activeElement()->getAttribute('aria-label') === 'T3 flute length, mm', 'the field of the flute');
    Screen::driver()->switchTo()->activeElement()->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'14'.WebDriverKeys::ENTER);
    Screen::see('Every change is stored.');
    Screen::visit('/programs/7');
    Screen::settle();
    Screen::until(fn (): bool => $stops() === ['cutting.too-deep'], 'the flute that is long enough');
});

it('shows what a move takes, and the stock as it is cut', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1935')->click();
    Screen::settle();
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('83'.WebDriverKeys::ENTER);
    Screen::until(fn (): bool => str_contains(Screen::text('[aria-label="State at the cursor"]'), '3.0 mm deep, 6.0 mm wide, over 180°'), 'what the slot takes');
    Screen::alt('d');
    Screen::find('[data-testid=turned] canvas');
    $picture = fn (): string => md5((string) Screen::find('[data-testid=turned]')->takeElementScreenshot());
    usleep(700_000);
    $path = $picture();
    Screen::alt('s');
    Screen::until(fn (): bool => $picture() !== $path, 'the stock in the place of the path');
    Screen::notSee('Cutting the stock…');
    usleep(700_000);
    $slot = $picture();
    (new WebDriverActions(Screen::driver()))->moveToElement(Screen::find('[data-testid=turned]'), -70, 20)->perform();
    Screen::until(fn (): bool => str_contains(Screen::text('[data-testid=under]'), 'below the top of the stock'), 'the depth under the pointer');
    Screen::driver()->executeScript('URL.createObjectURL = (blob) => { window.kept = blob.size; return "blob:none"; }');
    Screen::named('button', 'Solid')->click();
    expect(Screen::until(fn () => Screen::driver()->executeScript('return window.kept ?? null'), 'the solid'))->toBeGreaterThan(10_000);
    $slot = $picture();
    // Further along the run there is less of it.
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::HOME);
    Screen::until(fn (): bool => $picture() !== $slot, 'the stock before it is cut');
    Screen::alt('s');
    Screen::alt('d');
    Screen::find('canvas[aria-label^="Plan"]');
});
