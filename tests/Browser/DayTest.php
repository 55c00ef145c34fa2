<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;
use Tests\Core\Demo;

/** What a link of the page gives, asked for as the page's own person. */
function fetched(string $path): string
{
    return (string) Screen::driver()->executeAsyncScript(
        'const done = arguments[1]; fetch(arguments[0]).then(async (answer) => {'
            .'const bytes = new Uint8Array(await answer.arrayBuffer()); done(answer.status + " " + String.fromCharCode(...bytes.slice(0, 4)) + '
                .'" " + bytes.length);'
            .'})',
        [$path],
    );
}

it('goes from an empty shop to a verdict by keyboard alone', function (): void {
    Screen::setupFromNothing('Click spring', 'C-7');
    $enter = WebDriverKeys::ENTER;
    Screen::tabTo('New program');
    Screen::press($enter);
    Screen::see('Type it or paste it.');
    foreach (['O7', 'G21 G17 G40 G49 G80 G90 G94', '(8 DRILL)', 'T1 M6', 'G54 G0 X0. Y0.', 'S2000 M3', 'G43 H1 Z25.', 'M30'] as $line) {
        Screen::press($line.$enter);
    }
    Screen::tabTo('Create');
    Screen::press($enter);
    Screen::settle();
    Screen::see('Stop —');
    Screen::see('H1 is called but not set in the setup');
    // The setup offers what the program calls.
    Screen::tabTo('Vice');
    Screen::press($enter);
    Screen::see('The programs call tools that are not in this setup: T1 8 DRILL (O7 line 4)');
    Screen::tabTo('Add this tool');
    Screen::press($enter);
    Screen::until(static fn (): bool => Screen::find('[id="tools.0.diameter"]')->getAttribute('value') === '8', 'the tool with its diameter');
    Screen::see('All changes saved.');
});

it('touches off with an interruption and a turned figure, and trusts what was typed back', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    Screen::visit('/setups/1/touching-off');
    Screen::see('Every offset in use is trusted.');
    // A reading is begun, and left for another tool.
    Screen::find('[id="read H2"]')->sendKeys('-2');
    usleep(500_000);
    Screen::find('[id="read H3"]')->sendKeys('-2');
    usleep(500_000);
    Screen::find('[id="read H2"]')->sendKeys('30.15'.WebDriverKeys::ENTER);
    Screen::see('H2 was begun at');
    Screen::see('and not finished: do it again.');
    Screen::driver()->navigate()->refresh();
    Screen::see('not finished: do it again');
    // H3 anew, two figures turned: it is asked about, and read again.
    $was = (float) str_replace('−', '-', Screen::driver()->findElement(
        WebDriverBy::cssSelector('section[aria-label=H3] [style*=line-through], section[aria-label=H3] .mono + span'),
    )->getText());
    Screen::find('[id="read H3"]')->sendKeys(number_format($was - 9, 3, '.', '').WebDriverKeys::ENTER);
    Screen::see('9.000 mm off. Is this the right tool, and every figure in its place?');
    Screen::named('button', 'Read it again')->click();
    Screen::typeInto('[id="read H3"]', number_format($was - 0.05, 3, '.', '').WebDriverKeys::ENTER);
    Screen::see('read: type it back from the control');
    $turned = number_format($was - 0.05, 3, '.', '');
    Screen::find('[id="typed H3"]')->sendKeys(substr($turned, 0, 1).strrev(substr($turned, 1, 2)).substr($turned, 3).WebDriverKeys::ENTER);
    Screen::see('Figures 1 and 2 changed places. Look at the control again.');
    Screen::typeInto('[id="typed H3"]', $turned.WebDriverKeys::ENTER);
    Screen::until(static fn (): bool => str_contains(Screen::text('section[aria-label=H3]'), 'trusted'), 'H3 to be trusted');
    Screen::see('Put H3 back to');
    // What was interrupted is a stop, by name, on the setup and in the list.
    Screen::visit('/setups/1');
    Screen::see('Touching off H2 was begun at');
});

it('pastes a program, mends it, saves a revision, and takes paper and program to the machine', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    Screen::visit('/setups/2');
    Screen::named('button', 'New program')->click();
    $broken = "G21 G17 G40 G49 G80 G90 G94\nT2 M6\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG0 Z2.\nG1 Z-30.\nG0 Z25.\nM30";
    Screen::find('[role=dialog] textarea')->sendKeys($broken);
    Screen::typeInto('[role=dialog] input[name=name]', 'PASTED');
    Screen::named('button', 'Create')->click();
    Screen::settle();
    Screen::see('Stop — 3 errors');
    // Three findings, put right one after another.
    foreach ([
        ['T2 cuts with the spindle stopped.', 'G43 H2', "S3000 M3\nG43 H2", 'Stop — 2 errors'],
        ['A cutting move with no feed.', 'Z-30.', 'Z-30. F100.', 'Stop — 1 error'],
        ['is 16.000 mm below the stock', 'Z-30.', 'Z-3.', null],
    ] as [$finding, $was, $is, $then]) {
        Screen::see($finding);
        $broken = str_replace($was, $is, $broken);
        Screen::driver()->executeScript('document.querySelector(".cm-content").focus()');
        Screen::press(WebDriverKeys::CONTROL, 'a');
        Screen::press(WebDriverKeys::NULL);
        Screen::press($broken);
        Screen::notSee($finding);
        $then === null ? Screen::notSee('Stop —') : Screen::see($then);
    }
    Screen::settle();
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::press(WebDriverKeys::NULL);
    Screen::until(
        static fn (): bool => str_contains(Screen::text(), 'rev 2') || count(Screen::driver()->findElements(WebDriverBy::cssSelector('[role=dialog]'))) > 0,
        'the save',
    );
    if (! str_contains(Screen::text(), 'rev 2')) {
        Screen::press(WebDriverKeys::ENTER);
    }
    Screen::see('rev 2');
    expect(fetched('/setups/2/sheet'))->toStartWith('200 %PDF')->and(fetched('/setups/2/programs.zip'))->toStartWith('200 PK');
});

it('copies last month’s setup, and trusts none of its offsets', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    Screen::find('[aria-label="More for op 10 Vice on 40 parallels"]')->click();
    Screen::named('li', 'Copy…')->click();
    Screen::see('each is a stop until it is touched off anew');
    Screen::named('button', 'Copy')->click();
    Screen::see('May it run?');
    Screen::see('H1: copied from Hand hub, op 10 Vice on 40 parallels, not touched off here.');
    Screen::see('Stop —');
});

it('deletes a part and undoes it', function (): void {
    Screen::signIn('machinist');
    Screen::find('[aria-label="More for Hand hub"]')->click();
    Screen::named('li', 'Delete')->click();
    Screen::see('Hand hub deleted.');
    Screen::see((Demo::JOBS - 1).' programs');
    Screen::named('button', 'Undo')->click();
    Screen::see(Demo::JOBS.' programs');
});

it('shuts out whoever a lead closes out', function (): void {
    Screen::signIn('machinist');
    Screen::signOut('M. Hollow');
    Screen::see('Where every axis really goes');
    Screen::signIn();
    Screen::room('People');
    Screen::find('li[aria-label="M. Hollow"] button:last-of-type')->click();
    Screen::see('account closed');
    Screen::signOut('J. Fern');
    Screen::see('Where every axis really goes');
    Screen::find('input[name=email]')->sendKeys('machinist@fernhollow.example');
    Screen::find('input[name=password]')->sendKeys('escapement'.WebDriverKeys::ENTER);
    Screen::see('This account is closed. Ask a lead.');
});

it('keeps a learner’s exercise for the learner', function (): void {
    Screen::signIn('learner');
    Screen::named('a', 'O1305')->click();
    Screen::settle();
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::CONTROL, WebDriverKeys::END);
    Screen::press(WebDriverKeys::NULL, '(MY TRY)');
    Screen::settle();
    Screen::named('button', 'Keep an exercise copy')->click();
    Screen::see('Kept for you');
});

it('makes a tool in the crib, draws it, and picks it into a setup', function (): void {
    Screen::signIn('machinist');
    Screen::room('Tool crib');
    Screen::named('button', 'New tool')->click();
    Screen::typeInto('[id="tool1.diameter"]', '8'.WebDriverKeys::ENTER);
    Screen::typeInto('[aria-label="Name of the tool"]', '8 long drill'.WebDriverKeys::ENTER);
    Screen::find('svg[aria-label="8 long drill in its holder, to scale"]');
    Screen::visit('/setups/2');
    Screen::find('[id=add-from-crib]')->click();
    Screen::named('li', '8 long drill · end mill')->click();
    Screen::until(static fn (): bool => Screen::find('[id="tools.5.diameter"]')->getAttribute('value') === '8', 'the tool in the setup');
    Screen::see('All changes saved.');
});

it('changes a machine, and says what it will check again', function (): void {
    Screen::signIn('lead');
    Screen::room('Machines');
    Screen::typeInto('[id="axes.Y.min"]', '-5'.WebDriverKeys::ENTER);
    Screen::see('Changed, not saved. 10 setups on this machine will be checked again.');
    Screen::typeInto('[id="axes.Y.max"]', '-9'.WebDriverKeys::ENTER);
    Screen::named('button', 'Save')->click();
    Screen::see('The minus limit (-5) must be less than the plus limit (-9).');
    Screen::named('button', 'Discard')->click();
    expect(Screen::find('[id="axes.Y.min"]')->getAttribute('value'))->toBe('-410');
});
