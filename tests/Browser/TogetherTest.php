<?php

declare(strict_types=1);

use App\Bench\LongProgram;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

/** Types at the end of the first line of the program that lies open. */
function typeAtTop(string $text): void
{
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::CONTROL, WebDriverKeys::HOME);
    Screen::press(WebDriverKeys::NULL);
    Screen::press(WebDriverKeys::ARROW_DOWN, WebDriverKeys::END, $text);
    Screen::see('not saved');
}

function signOut(string $name): void
{
    Screen::signOut($name);
    Screen::see('Where every axis really goes');
}

function save(string $reason): void
{
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::press(WebDriverKeys::NULL);
    Screen::find('[role=dialog] input')->sendKeys($reason.WebDriverKeys::ENTER);
}

it('lets two change the same program: the second is told who, sees the difference, and nothing is overwritten', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    typeAtTop(' (MINE)');
    Screen::settle();
    // Typing is kept through signing out.
    signOut('J. Fern');
    Screen::signIn('machinist');
    Screen::visit('/programs/1');
    Screen::see('J. Fern has been editing this program');
    Screen::settle();
    expect(Screen::text('.cm-content'))->not->toContain('(MINE)');
    Screen::until(fn () => Screen::named('div', 'G98 G82 X0. Y0. Z-2.5 R2. P0.3 F160.'), 'the cycle')->click();
    Screen::press(WebDriverKeys::END, str_repeat(WebDriverKeys::ARROW_LEFT, 15), WebDriverKeys::BACKSPACE, '9');
    Screen::settle();
    save('Deeper');
    Screen::notSee('not saved');
    signOut('M. Hollow');

    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::see('have been restored');
    Screen::see('M. Hollow saved revision 2');
    expect(Screen::text('.cm-content'))->toContain('(MINE)');
    save('Mine');
    Screen::see('M. Hollow saved revision 2. Your text is kept');
    Screen::find('[role=dialog]')->findElement(WebDriverBy::linkText('Compare'));
    Screen::find('[role=dialog]')->findElement(WebDriverBy::xpath(".//button[.='Merge rev 2 into mine']"))->click();
    Screen::see('Save as revision 3');
    Screen::named('button', 'Save revision 3')->click();
    Screen::notSee('not saved');
    expect(Screen::text('[data-testid=revision]'))->toContain('rev 3')->and(Screen::text('.cm-content'))->toContain('(MINE)', 'G98 G82 X0. Y0. Z-2.9');

    // Compared as text and as motion; and an earlier one restored.
    Screen::visit('/programs/1/compare?from=1&to=3');
    Screen::see('14 changed');
    Screen::until(fn (): bool => str_contains(Screen::text('[data-testid=text-difference]'), '(MINE)'), 'the texts');
    Screen::named('button', 'line 16: 0.4 mm')->click();
    Screen::named('button', 'Restore rev 1')->click();
    Screen::see('is saved as revision 4');
    Screen::named('button', 'Restore as revision 4')->click();
    Screen::settle();
    expect(Screen::text('[data-testid=revision]'))->toContain('rev 4');
    Screen::see('G98 G82 X0. Y0. Z-2.5');
});

it('shows lengths, look and size as they are set, on every screen', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::named('button', 'Settings')->click();
    foreach (['inches', 'dark', 'largest'] as $choice) {
        Screen::named('label', $choice)->click();
        usleep(300_000);
    }
    Screen::named('button', 'Close')->click();
    Screen::see('spare to − and + limit, inch');
    expect(
        Screen::driver()->executeScript('return [getComputedStyle(document.documentElement).fontSize, document.documentElement.style.colorScheme]'),
    )->toBe(['20px', 'dark']);
    Screen::visit('/programs/1/machine');
    Screen::see('Hold points');
    Screen::named('button', 'Next hold point ▷▷')->click();
    Screen::until(fn (): bool => Screen::text('[data-testid=block]') === 'G54 G0 X0. Y0.', 'the first block to watch');
    Screen::named('button', 'Next hold point ▷▷')->click();
    Screen::until(fn (): bool => Screen::text('[data-testid=shown-Z]') === '0.9843', '25 mm in inches');
    Screen::named('button', 'Drawing')->click();
    Screen::find('canvas[aria-label^="Plan"]');
});

it('checks a long program on the queue, shows how far it is, stops when told to, and lets one type meanwhile', function (): void {
    Screen::signIn();
    $file = sys_get_temp_dir().'/LONG.nc';
    file_put_contents($file, LongProgram::text(150_000));
    Screen::visit('/setups/1');
    Screen::find('[aria-label=Verdicts] input[type=file]')->sendKeys($file);
    // Nobody is at work yet, so it waits.
    Screen::see('A long check. No queue worker is running on the server.');
    Screen::named('button', 'Stop the check')->click();
    Screen::see('The check was stopped before its end.');
    Screen::work();
    Screen::named('button', 'Check again')->click();
    Screen::see('A long check');
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::END, ' (TYPED)');
    Screen::until(fn (): bool => str_contains(Screen::text('.cm-content'), '(TYPED)'), 'the typing');
    Screen::press(WebDriverKeys::CONTROL, 'z');
    Screen::press(WebDriverKeys::NULL);
    for ($try = 0; $try < 4 && Screen::driver()->findElements(WebDriverBy::cssSelector('[data-verdict]')) === []; $try++) {
        try {
            Screen::find('[data-verdict]');
        } catch (RuntimeException $slow) {
            if ($try === 3) {
                throw $slow;
            }
        }
    }
    Screen::see('The cut is not simulated yet');
    Screen::find('canvas[aria-label^="Plan"]');
    expect(Screen::driver()->executeScript('return document.querySelectorAll(".cm-line").length'))->toBeLessThan(200);
});
