<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

it('shows a turned part in half section, its diameters, and where the tool stands', function (): void {
    Screen::signIn();
    Screen::named('a', 'O2110')->click();
    // The list it was chosen from says the same verdict.
    Screen::see('Before you run');
    Screen::settle();
    Screen::see('nothing found; prove it out');
    Screen::see('Tailstock and loads were not checked');
    Screen::find('.cm-line:nth-child(11)')->click();
    Screen::until(
        fn (): bool => Screen::driver()->findElement(WebDriverBy::cssSelector('[data-testid="shown-X"]'))->getText() === '−0.800', 'X as a diameter',
    );
    Screen::see('220 m/min, at most 2200 rev/min, clockwise');
    // What is for mills alone is not offered.
    foreach (['End view', 'Travel'] as $name) {
        expect(Screen::driver()->findElements(WebDriverBy::xpath("//*[@role='toolbar']//button[normalize-space(.)='{$name}']")))->toBe([]);
    }
    $svg = Screen::driver()->executeScript('return document.querySelectorAll("[data-testid=drawing] canvas").length');
    expect($svg)->toBeGreaterThan(0);
});

it('cuts the stock up to the cursor, in half section, upside down and in 3D', function (): void {
    Screen::signIn();
    Screen::named('a', 'O2130')->click();
    Screen::see('Before you run');
    Screen::settle();
    $ink = fn (): string => Screen::driver()->executeScript('return document.querySelector("[data-testid=drawing] canvas").toDataURL()');
    $atEnd = $ink();
    Screen::named('button', 'Cut stock')->click();
    Screen::find('.cm-line:nth-child(13)')->click();
    Screen::until(fn (): bool => Screen::text('[data-testid=cut-at]') === 'Cut stock at line 13', 'how far it is cut');
    Screen::until(fn (): bool => $ink() !== $atEnd, 'the stock before the thread');
    $before = $ink();
    Screen::named('button', 'X down')->click();
    Screen::until(fn (): bool => $ink() !== $before, 'the section upside down');
    Screen::named('button', '3D')->click();
    Screen::find('[data-testid=turned] canvas');
    Screen::see('Cut stock at line 13');
    Screen::named('button', 'Margin')->click();
    Screen::see('Ø13.0');
});

it('stops a rapid into the part, and lets the jaws and an offset be changed on the setup page', function (): void {
    Screen::signIn();
    Screen::work();
    Screen::named('a', 'O2170')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::see('into the stock at Ø68.930 mm, Z −25.570 mm');
    Screen::named('a', 'Three jaws on the bore end')->click();
    Screen::see('Chuck');
    expect(Screen::find('[id="chuck.jawFaceZ"]')->getAttribute('value'))->toBe('-28')
        ->and(Screen::find('[id="offsets.T.6.X"]')->getAttribute('value'))->toBe('-186');
    Screen::notSee('Touch off');
    Screen::typeInto('[id="chuck.jawFaceZ"]', '-20');
    Screen::press(WebDriverKeys::TAB);
    Screen::see('All changes saved');
    Screen::see('Stop — 2 errors');
});

it('measures the part against its drawing, and says what a wrong offset leads to', function (): void {
    Screen::signIn();
    Screen::work();
    Screen::named('a', 'O2140')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::see('pivot shoulder');
    Screen::find('.cm-line:nth-child(22)')->click();
    Screen::see('0.080 mm/rev');
    Screen::named('button', 'What if')->click();
    Screen::see('T6 hits the tailstock');
    Screen::named('a', 'Three jaws and centre')->click();
    Screen::see('Tailstock, steady, second spindle');
    Screen::typeInto('[id="target.turned.0.diameter"]', '7.9');
    Screen::press(WebDriverKeys::TAB);
    Screen::see('pivot comes out Ø8.000 mm; the drawing has Ø7.900 mm');
    Screen::named('button', 'Add a steady')->click();
    Screen::find('[id="steady.z"]');
    Screen::see('All changes saved');
    Screen::see('Stop');
});

it('says on the page of a machine whether its X counts diameters', function (): void {
    $choose = fn (string $machine) => Screen::until(
        fn () => Screen::driver()->findElement(WebDriverBy::xpath("//button[starts-with(normalize-space(.), '{$machine}')]")), $machine,
    )->click();
    Screen::signIn();
    Screen::visit('/machines');
    $choose('Hazel');
    Screen::see('X Ø');
    Screen::notSee('Travel in plan');
    Screen::find('[role="combobox"][aria-label="X counts"]')->click();
    Screen::named('li', 'radius')->click();
    Screen::see('Changed, not saved. 4 setups');
    Screen::notSee('X Ø');
    Screen::named('button', 'Save')->click();
    Screen::notSee('Changed, not saved');
    Screen::visit('/machines');
    $choose('Willow');
    Screen::see('X Ø');
    $choose('Hazel');
    Screen::see('X counts');
    Screen::notSee('X Ø');
    $choose('Alder');
    Screen::see('Travel in plan');
    Screen::notSee('X counts');
});
