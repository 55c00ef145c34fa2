<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

function retype(string $id, string $value): void
{
    $field = Screen::find("[id=\"{$id}\"]");
    $field->click();
    Screen::press(WebDriverKeys::CONTROL, 'a');
    Screen::press(WebDriverKeys::NULL, $value.WebDriverKeys::ENTER);
}

it('checks again on every change, refuses what is no number, and undoes', function (): void {
    Screen::signIn();
    Screen::work();
    Screen::named('a', 'Vice on 40 parallels')->click();
    Screen::see('Clear — 1 note');

    // A length that lost a figure.
    retype('offsets.H.3', '-24.6');
    // It is odd beside the others, and the tool would be sent above home.
    Screen::see('Stop — 1 error, 1 caution');
    Screen::named('button', 'Undo')->click();
    Screen::see('Clear — 1 note');

    // Stock that is thinner than the program thinks.
    retype('stock.min.2', '-8');
    Screen::see('Stop —');
    retype('stock.min.2', '-2O');
    Screen::see('Not a number; -8 counts.');
    retype('stock.min.2', '-20');
    Screen::see('Clear — 1 note');

    // Ends that cross are refused by name, and nothing is stored.
    retype('stock.min.2', '5');
    Screen::see('The stock ends in Z (0) before it begins (5).');
    Screen::see('The last change is not saved.');
    Screen::driver()->navigate()->refresh();
    expect(Screen::find('[id="stock.min.2"]')->getAttribute('value'))->toBe('-20');
});

it('adds a work offset and a tool', function (): void {
    Screen::signIn();
    Screen::named('a', 'One vice')->click();
    Screen::named('button', 'Add G55')->click();
    Screen::find('[id="workOffsets.G55.X"]');
    Screen::named('button', 'Add a tool')->click();
    Screen::find('[id="tools.5.number"]');
    Screen::see('All changes saved.');
    Screen::driver()->navigate()->refresh();
    expect(Screen::find('[id="tools.5.number"]')->getAttribute('value'))->toBe('6');
    Screen::see('G55');
});

it('shows a learner everything and lets them change nothing', function (): void {
    Screen::signIn('learner');
    Screen::named('a', 'One vice')->click();
    Screen::see('Work offsets');
    expect(Screen::find('[id="workOffsets.G54.X"]')->isEnabled())->toBeFalse();
    Screen::notSee('Add a tool');
});

it('takes clamps and jaws, and finds what runs into them', function (): void {
    Screen::signIn();
    Screen::work();
    Screen::visit('/setups/5');
    Screen::see('Clear — 2 notes');
    retype('obstacles.0.min.1', '30');
    Screen::see('Stop — 1 error');
    Screen::named('button', 'Undo')->click();
    Screen::see('Clear — 2 notes');
    Screen::named('button', 'Add a clamp or jaw')->click();
    Screen::find('[id="obstacles.2.min.0"]');
    Screen::see('All changes saved.');
    retype('obstacles.2.max.0', '-30');
    Screen::see('The obstacle ends in X (-30) before it begins (-20).');
});
