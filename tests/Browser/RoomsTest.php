<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;
use Tests\Core\Demo;

/** Chooses from a list by its label. */
function choose(string $label, string $words): void
{
    Screen::until(static fn (): bool => Screen::driver()->executeScript(
        'const list = [...document.querySelectorAll("[role=combobox]")].find((one) => one.getAttribute("aria-label") === arguments[0]'
            .'|| one.closest(".MuiFormControl-root")?.querySelector("label")?.textContent === arguments[0]);'
            .'document.querySelector("[data-asked]")?.removeAttribute("data-asked"); list?.setAttribute("data-asked", ""); return list !== undefined',
        [$label],
    ) === true, "the list {$label}");
    Screen::find('[data-asked]')->click();
    Screen::until(static fn () => Screen::driver()->findElement(
        WebDriverBy::xpath("//*[@role='option'][normalize-space(.)='{$words}']"),
    ), "{$words} in the list")->click();
}

function retyped(string $css, string $value): void
{
    $field = Screen::find($css);
    $field->click();
    Screen::press(WebDriverKeys::CONTROL, 'a');
    Screen::press(WebDriverKeys::NULL, $value.WebDriverKeys::ENTER);
}

/** Drops files on an element, as from another window. */
function drop(string $css, array $files): void
{
    Screen::find($css);
    Screen::driver()->executeScript(
        'const transfer = new DataTransfer();'
            .'for (const [name, text] of Object.entries(arguments[1])) transfer.items.add(new File([text], name, { type: "text/plain" }));'
            .'for (const kind of ["dragover", "drop"]) {'
            .'document.querySelector(arguments[0]).dispatchEvent(new DragEvent(kind, { bubbles: true, cancelable: true, dataTransfer: transfer })); }',
        [$css, $files],
    );
}

it('finds, filters and archives parts', function (): void {
    Screen::signIn('machinist');
    Screen::find('main input')->sendKeys('hub 1305');
    Screen::see('Hand hub');
    Screen::notSee('Escape cock plate');
    Screen::press(WebDriverKeys::ESCAPE);
    Screen::see('Escape cock plate');
    choose('Verdict', 'ready to run');
    Screen::notSee('O1210');
    Screen::see('O1305');
    choose('Machine', 'Alder with rotary');
    Screen::notSee('O1305');
    Screen::see('O1820');
    choose('Verdict', 'stop');
    Screen::see('Nothing fits what is asked for.');
    Screen::named('button', 'Show all')->click();
    Screen::find('[aria-label="More for Escape cock plate"]')->click();
    Screen::named('li', 'Archive')->click();
    Screen::see('Escape cock plate archived.');
    Screen::notSee('O1711');
    Screen::driver()->findElement(WebDriverBy::xpath('//label[normalize-space(.)="archived"]'))->click();
    Screen::see('O1711');
});

it('takes files that are dropped on a setup', function (): void {
    Screen::signIn('machinist');
    drop('[data-drop="/setups/2/programs"]', ['A100.nc' => "G21\nM30\n", 'B200' => "G21\nM30\n"]);
    Screen::see('2 programs imported: 2 new.');
    Screen::see('A100');
    Screen::see('B200');
    Screen::visit('/');
    Screen::see((Demo::JOBS + 2).' programs');
    drop('[data-drop="/setups/2/programs"]', ['C.nc' => "\u{0}\u{1}"]);
    Screen::see('“C.nc” is not a text file');
});

it('asks for the setup of a new part, or makes it from a program that is dropped', function (): void {
    Screen::signIn('machinist');
    foreach (['Bracket', 'Bridge'] as $part) {
        Screen::visit('/');
        Screen::named('button', 'New part')->click();
        Screen::find('[role=dialog] input[name=name]');
        Screen::press($part.WebDriverKeys::ENTER);
        Screen::see("New setup of {$part}");
        // A form of its own, and not the last one's.
        Screen::until(static fn (): bool => Screen::find('[role=dialog] input[name=operation]')->getAttribute('value') === '10', 'the next operation');
        if ($part === 'Bracket') {
            Screen::find('[role=dialog] input[name=name]')->sendKeys('Vice');
            Screen::named('button', 'Create')->click();
            Screen::see('May it run?');
            Screen::see('Bracket · op 10 · Vice');
        }
    }
    Screen::named('button', 'Cancel')->click();
    Screen::see('No setup yet: make one, import a setup file, or begin with a program.');
    $at = (string) Screen::find('[data-drop^="/parts/"]')->getAttribute('data-drop');
    drop("[data-drop='{$at}']", ['BRIDGE.nc' => "G20 G90\n(T9 1/2 END MILL)\nT9 M6\nG54 G0 X1.\nM30\n"]);
    Screen::see('Made from the program: inches (BRIDGE line 1)');
    Screen::see('Bridge · op 10 · From BRIDGE');
});

it('shows a called text as called, and asks again about its caller once it was changed', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    $post = static fn (string $path, array $fields): mixed => Screen::driver()->executeAsyncScript(
        'const done = arguments[2]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);'
            .'fetch(arguments[0], { method: "POST", headers: { "Content-Type": "application/json", Accept: "application/json", "X-XSRF-TOKEN": token },'
            .'body: JSON.stringify(arguments[1]) }).then(async (answer) => done(await answer.json()))',
        [$path, $fields],
    );
    $sub = "O2000\nG91 G1 X1. F100.\nG90\nM99\n";
    $id = $post('/setups/2/new-program', ['name' => 'SUB', 'text' => $sub])['id'];
    $post('/setups/2/new-program', ['name' => 'MAIN', 'text' => "G21 G17 G40 G49 G80 G90 G94\nM98 P2000\nM30\n"]);
    Screen::visit('/setups/2');
    Screen::see('checked with MAIN');
    Screen::named('a', 'SUB')->click();
    Screen::see('Subprogram of MAIN');
    Screen::notSee('Stop —');
    Screen::named('a', 'One vice')->click();
    Screen::named('a', 'MAIN')->click();
    Screen::settle();
    Screen::notSee('O3000');
    $post("/programs/{$id}/revisions", ['text' => str_replace('G90', 'M98 P3000', $sub), 'base' => 1]);
    Screen::named('a', 'One vice')->click();
    Screen::named('a', 'MAIN')->click();
    Screen::settle();
    Screen::see('O3000');
});

it('shows the difference of a file that is brought in again', function (): void {
    Screen::signIn('machinist');
    Screen::find('[data-drop="/setups/1/programs"]');
    $text = (string) Screen::driver()->executeAsyncScript('const done = arguments[0]; fetch("/programs/1/revisions/1").then((a) => a.text()).then(done)');
    drop('[data-drop="/setups/1/programs"]', ['O1305.nc' => str_replace('M30', "(CHECKED)\nM30", $text)]);
    Screen::see('(CHECKED)');
    Screen::see('added');
});

it('makes, copies and deletes a machine, but none that is used', function (): void {
    Screen::signIn('machinist');
    Screen::room('Machines');
    Screen::named('button', 'Delete')->click();
    Screen::see('Alder is used by');
    Screen::named('button', 'New machine')->click();
    Screen::find('[role=dialog] input[name=name]')->sendKeys('Elm'.WebDriverKeys::ENTER);
    Screen::until(static fn (): bool => Screen::find('[aria-label="Name of the machine"]')->getAttribute('value') === 'Elm', 'the new machine');
    Screen::named('button', 'Add A')->click();
    Screen::see('Rotary centres');
    Screen::named('button', 'Add a place')->click();
    retyped('[id="places.Vice.X"]', '-220');
    Screen::named('button', 'Save')->click();
    Screen::see('Elm saved. No program runs on it yet.');
    Screen::named('button', 'Copy')->click();
    Screen::find('[role=dialog] input[name=name]')->sendKeys(WebDriverKeys::ENTER);
    Screen::see('Elm copy');
    Screen::until(static fn (): bool => Screen::find('[id="places.Vice.X"]')->getAttribute('value') === '-220', 'the place of the copy');
    Screen::named('button', 'Delete')->click();
    Screen::see('Elm copy deleted.');
    Screen::named('button', 'Undo')->click();
    Screen::notSee('Elm copy deleted.');
    Screen::see('Elm copy');
});

it('edits the crib in its grid, and takes a table in', function (): void {
    Screen::signIn('machinist');
    Screen::room('Tool crib');
    Screen::see('No tool here.');
    $table = sys_get_temp_dir().'/oak-'.bin2hex(random_bytes(4)).'.csv';
    file_put_contents($table, "name,kind,diameter,pointAngle\n8.5 drill,drill,8.5,118\n10 end mill,end-mill,10,\n");
    Screen::find('input[type=file]')->sendKeys($table);
    Screen::see('2 tools imported: 2 new, 0 replaced.');
    Screen::find('[role=row][data-rowindex="0"] [data-field=diameter]')->click();
    Screen::press(WebDriverKeys::ENTER);
    Screen::press(WebDriverKeys::CONTROL, 'a');
    Screen::press(WebDriverKeys::NULL, '12'.WebDriverKeys::ENTER);
    Screen::until(static fn (): bool => Screen::text('[role=row][data-rowindex="0"] [data-field=diameter]') === '12', 'the diameter in the grid');
    Screen::driver()->navigate()->refresh();
    Screen::until(static fn (): bool => Screen::text('[role=row][data-rowindex="0"] [data-field=diameter]') === '12', 'the diameter that was stored');
    file_put_contents($table, "name,kind,diameter\n9 drill,drill,nine\n");
    Screen::find('input[type=file]')->sendKeys($table);
    Screen::see('Row 2, diameter: “nine” is not a number. Nothing was saved.');
    unlink($table);
});

it('opens the field a finding speaks of, and says it there', function (): void {
    Screen::signIn('machinist');
    Screen::visit('/setups/7#tools.1.centerCutting');
    Screen::until(
        static fn (): bool => Screen::driver()->executeScript('return document.activeElement.id') === 'tools.1.centerCutting',
        'the field of the finding',
    );
    Screen::see('T2 plunges 3.000 mm into material, and is not centre cutting. (O1935)');
    Screen::visit('/setups/6#workOffsets.G57');
    Screen::until(static fn (): bool => Screen::driver()->executeScript('return document.activeElement.id') === 'workOffsets', 'what is nearest');
});

it('gives a tool another number, and its offsets with it', function (): void {
    Screen::signIn('machinist');
    Screen::visit('/setups/2');
    $length = Screen::find('[id="offsets.H.5"]')->getAttribute('value');
    retyped('[id="tools.4.number"]', '15');
    Screen::until(static fn (): bool => Screen::find('[id="offsets.H.15"]')->getAttribute('value') === $length, 'the length under the new number');
    Screen::see('All changes saved.');
    retyped('[id="tools.4.number"]', '1');
    Screen::see('Two tools have the number 1.');
    Screen::named('button', 'Undo')->click();
    Screen::see('All changes saved.');
});

it('moves a clamp in the picture, and makes it round', function (): void {
    Screen::signIn('machinist');
    Screen::visit('/setups/2');
    Screen::named('button', 'Add a clamp or jaw')->click();
    Screen::find('[id="obstacles.0.min.0"]');
    $clamp = Screen::find('[aria-label="Move clamp: drag it, or use the arrow keys"]');
    Screen::driver()->executeScript('arguments[0].focus()', [$clamp]);
    Screen::press(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
    Screen::until(static fn (): bool => Screen::find('[id="obstacles.0.min.0"]')->getAttribute('value') === '-18', 'the clamp to have moved');
    choose('Shape of clamp', 'round');
    Screen::until(static fn (): bool => Screen::find('[id="obstacles.0.diameter"]')->getAttribute('value') === '20', 'the round clamp');
    Screen::see('All changes saved.');
});

it('keeps a subprogram with the setup', function (): void {
    Screen::signIn('machinist');
    Screen::visit('/setups/2');
    Screen::find('[aria-label="Number of the subprogram"]')->sendKeys('2000');
    Screen::named('button', 'Add a subprogram')->click();
    $text = Screen::find('[id="subprograms.O2000"]');
    expect($text->getAttribute('value'))->toBe("M99\n");
    Screen::see('All changes saved.');
});

it('changes one’s own name and password, and says what is wrong', function (): void {
    Screen::signIn('learner');
    Screen::visit('/account');
    $name = Screen::find('input[name=name]');
    $name->clear();
    Screen::driver()->executeScript('arguments[0].select()', [$name]);
    $name->sendKeys('T. Oak'.WebDriverKeys::ENTER);
    Screen::see('Saved.');
    Screen::find('input[name=current]')->sendKeys('wrong'.WebDriverKeys::TAB.'a pendulum and a weight'.WebDriverKeys::TAB.'a pendulum'.WebDriverKeys::ENTER);
    Screen::see('The two passwords differ.');
});

it('gives a lead the address an invited person needs', function (): void {
    Screen::signIn();
    Screen::room('People');
    Screen::named('button', 'Invite somebody')->click();
    Screen::find('[role=dialog] input[name=name]')->sendKeys('N. New'.WebDriverKeys::TAB.'new@fernhollow.example');
    Screen::named('button', 'Invite')->click();
    Screen::until(
        static fn (): bool => str_contains((string) Screen::find('[aria-label=Address]')->getAttribute('value'), '/password/'), 'the address',
    );
    $address = (string) Screen::find('[aria-label=Address]')->getAttribute('value');
    Screen::find('[role=dialog] button')->click();
    Screen::signOut('J. Fern');
    Screen::see('Where every axis really goes');
    Screen::visit((string) parse_url($address, PHP_URL_PATH).'?'.parse_url($address, PHP_URL_QUERY));
    Screen::see('new@fernhollow.example');
    Screen::find('input[name=password]')->sendKeys('a pendulum and a weight'.WebDriverKeys::TAB.'a pendulum and a weight'.WebDriverKeys::ENTER);
    Screen::see('Your password is chosen. Sign in with it.');
});

it('restores from the bin, and lets a lead alone delete for good', function (): void {
    Screen::signIn('machinist');
    Screen::find('[aria-label="More for op 10 One vice"]')->click();
    Screen::named('li', 'Delete')->click();
    Screen::see('Pallet bridge plate, op 10 deleted.');
    Screen::room('Bin');
    Screen::see('Pallet bridge plate, op 10 One vice');
    Screen::notSee('Delete for good');
    Screen::named('button', 'Restore')->click();
    Screen::see('Nothing is in the bin.');
    Screen::visit('/');
    Screen::see('O1210');
});
