<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

/** Types into the field that has the focus, then goes on to the next. */
function answer(string ...$typed): void
{
    foreach ($typed as $one) {
        Screen::press($one, WebDriverKeys::ENTER);
    }
}

/** To the next answer that is missing, and there it is. */
function toNextAnswer(string $label): void
{
    Screen::until(static function () use ($label): bool {
        Screen::alt(WebDriverKeys::ENTER);
        usleep(150_000);

        return Screen::driver()->executeScript('return document.activeElement.getAttribute("aria-label")') === $label;
    }, "the focus to go to {$label}");
}

/** Adds an operation by its name in the list, the focus then being on its tool or its name. */
function addOperation(string $name): void
{
    Screen::alt('6');
    Screen::until(static function () use ($name): bool {
        $now = Screen::driver()->executeScript('return document.activeElement.textContent');
        if ($now !== $name) {
            Screen::press(WebDriverKeys::ARROW_DOWN);
        }

        return $now === $name;
    }, "{$name} among the operations");
    Screen::press(WebDriverKeys::ENTER);
    Screen::until(
        static fn (): bool => (bool) Screen::driver()->executeScript('return document.activeElement.dataset.answer !== undefined'), 'the new operation',
    );
}

/** The program, as it stands in the listing. */
function listing(): string
{
    return (string) Screen::driver()->executeScript('return document.querySelector("[data-testid=listing] .cm-content").cmTile?.view.state.doc.toString()'
        .' ?? document.querySelector("[data-testid=listing] .cm-content").cmView.view.state.doc.toString()');
}

/** Chooses with the arrow keys in a list that has the focus. */
function chooseWords(string $words): void
{
    Screen::until(static function () use ($words): bool {
        $now = Screen::driver()->executeScript('const now = document.activeElement; return now.options[now.selectedIndex].textContent');
        if ($now !== $words) {
            Screen::press(WebDriverKeys::ARROW_DOWN);
        }

        return $now === $words;
    }, "{$words} to be chosen");
}

/** Picks an operation of the sheet. */
function operation(string $name): void
{
    Screen::until(static function () use ($name): bool {
        foreach (Screen::driver()->findElements(WebDriverBy::cssSelector('[aria-label=Operations] button')) as $button) {
            if (str_contains($button->getText(), $name)) {
                $button->click();

                return true;
            }
        }

        return false;
    }, "the operation {$name}");
}

/** Chooses from what else can be done with an operation. */
function more(string $of, string $act): void
{
    Screen::named('button', "More for {$of}")->click();
    Screen::named('li', $act)->click();
    usleep(200_000);
}

it('makes a part with a frame, a seat and seven holes from an empty shop, by keyboard alone', function (): void {
    Screen::setupFromNothing('Hub plate', 'C-9');
    [$enter, $tab] = [WebDriverKeys::ENTER, WebDriverKeys::TAB];
    Screen::tabTo('Add stock');
    Screen::press($enter);
    foreach (['from X' => -50, 'from Y' => -50, 'from Z' => -16, 'to X' => 50, 'to Y' => 50, 'to Z' => 0] as $end => $value) {
        Screen::tabTo("Stock {$end}, mm");
        Screen::press(WebDriverKeys::CONTROL, 'a');
        Screen::press(WebDriverKeys::NULL, (string) $value, $enter);
    }
    foreach ([1 => ['12 end mill', 12, null], 2 => ['5 drill', 5, 'drill']] as $number => [$name, $diameter, $kind]) {
        Screen::tabTo('Add a tool');
        Screen::press($enter);
        Screen::tabTo("T{$number} name");
        Screen::press(WebDriverKeys::CONTROL, 'a');
        Screen::press(WebDriverKeys::NULL, $name, $enter);
        if ($kind !== null) {
            Screen::tabTo("T{$number} kind");
            Screen::press($enter, $kind, $enter);
        }
        Screen::tabTo("T{$number} diameter, mm");
        Screen::press((string) $diameter, $enter);
    }
    Screen::see('All changes saved.');
    Screen::tabTo('New operation sheet');
    Screen::press($enter);
    Screen::see('It can be left empty.');
    Screen::press('Hub plate'.$tab.'21'.$enter);
    Screen::see('Nothing is cut yet.');
    addOperation('Frame');
    chooseWords('T1 12 end mill');
    toNextAnswer('Along X');
    answer('84');
    toNextAnswer('Along Y');
    answer('84');
    toNextAnswer('Depth below the top');
    answer('9');
    addOperation('Round pocket');
    toNextAnswer('Size');
    answer('22', '+0.03/0');
    toNextAnswer('Depth below the top');
    answer('12/2');
    addOperation('Holes');
    Screen::tabTo('Tool');
    chooseWords('T2 5 drill');
    Screen::tabTo('Pattern');
    chooseWords('circle');
    toNextAnswer('Circle');
    answer('60');
    toNextAnswer('Holes');
    answer('7');
    Screen::tabTo('Through the part');
    chooseWords('yes');
    toNextAnswer('T1 rev/min');
    answer('2600', '420');
    toNextAnswer('T2 rev/min');
    answer('3200', '260');
    Screen::see('T2 5 DRILL');
    Screen::settle();
    Screen::see('Stop —');
    Screen::see('the setup has no G54');
    expect(listing())->toStartWith("O0021 (HUB PLATE)\n")->toContain('N10 (FRAME)', 'N20 (ROUND POCKET)', 'N30 (HOLES)', 'G80')->toEndWith("M30\n")
        ->and(substr_count(listing(), "\nX"))->toBeGreaterThan(6);
    // Saved, and opened again with its sheet.
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::press(WebDriverKeys::NULL);
    Screen::see('Reason for the change');
    Screen::press('From the drawing'.$enter);
    Screen::see('rev 2');
    $made = listing();
    Screen::driver()->navigate()->refresh();
    Screen::see('rev 2');
    Screen::see('Round pocket');
    Screen::settle();
    expect(listing())->toBe($made)->and(Screen::text())->not->toContain('to answer');
});

it('changes a size and only its lines, keeps what hands changed, and asks', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    Screen::visit('/programs/9');
    Screen::see('rev 1');
    Screen::settle();
    $first = listing();
    Screen::find('[aria-label=Operations]');
    operation('Seat');
    Screen::see('Ø 22 · R 11 +0.03/0, cut 22.015');
    // A depth: only lines of the seat are others.
    Screen::typeInto('[id="operations.2.depth"]', '4'.WebDriverKeys::ENTER);
    Screen::until(static fn (): bool => str_contains(listing(), 'Z-3.9'), 'the seat to be 4 deep');
    $shallow = listing();
    $from = strpos($shallow, 'N30 (SEAT)');
    expect(substr($shallow, 0, $from))->toBe(substr($first, 0, strpos($first, 'N30 (SEAT)')))
        ->and(strstr($shallow, 'N40 (SPOT)'))->toBe(strstr($first, 'N40 (SPOT)'));
    // Undone in the listing the sheet goes along, and redone.
    Screen::find('[aria-label=Undo]')->click();
    Screen::until(static fn (): bool => listing() === $first && Screen::find('[id="operations.2.depth"]')->getAttribute('value') === '6', 'the seat as it was');
    Screen::notSee('changed by hand');
    Screen::find('[aria-label=Redo]')->click();
    Screen::until(static fn (): bool => listing() === $shallow && Screen::find('[id="operations.2.depth"]')->getAttribute('value') === '4', 'the seat 4 deep');
    Screen::see('Ø 22 · R 11');
    Screen::settle();
    // What is wrong stands at its field, and the program stays as it was.
    Screen::typeInto('[id="operations.2.depth"]', '-4'.WebDriverKeys::ENTER);
    Screen::see('This has to be more than 0.');
    Screen::see('1 to answer');
    expect(listing())->toBe($shallow);
    Screen::named('button', 'Undo in the sheet')->click();
    Screen::notSee('1 to answer');
    // Changed by hand: it stays, is told, and can be given up.
    operation('Face');
    Screen::until(static function (): bool {
        Screen::driver()->findElement(WebDriverBy::xpath('//*[contains(@class, "cm-line")][contains(., "F200.")]'))->click();

        return true;
    }, 'the line of the first cut');
    Screen::press(WebDriverKeys::END, ' (BY HAND)');
    Screen::see('Lines of Face were changed by hand.');
    Screen::typeInto('[id="operations.0.step"]', '0.6'.WebDriverKeys::ENTER);
    Screen::see('and the sheet writes others now. Those by hand stand.');
    expect(listing())->toContain('(BY HAND)')->not->toContain('Z0.5');
    Screen::named('button', 'Take the sheet’s lines')->click();
    Screen::until(static fn (): bool => str_contains(listing(), 'Z0.5') && ! str_contains(listing(), '(BY HAND)'), 'the lines of the sheet');
    Screen::notSee('changed by hand');
    // All of it back again.
    for ($n = 0; $n < 2; $n++) {
        Screen::named('button', 'Undo in the sheet')->click();
        usleep(400_000);
    }
    Screen::until(static fn (): bool => listing() === $first, 'the program as it was');
});

it('moves, copies, groups and switches off operations, and keeps what is typed through a reload', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    Screen::visit('/programs/9');
    Screen::settle();
    operation('Spot');
    more('Spot', 'Switch off');
    Screen::until(static fn (): bool => ! str_contains(listing(), '(SPOT)'), 'no spotting');
    operation('Drill through');
    more('Drill through', 'Move up');
    more('Drill through', 'Group with the one above');
    Screen::see('Seat and more');
    more('Drill through', 'Copy');
    Screen::see('Drill through copy');
    Screen::until(static fn (): bool => substr_count(listing(), '(DRILL THROUGH') === 2, 'both drillings');
    Screen::driver()->navigate()->refresh();
    Screen::see('have been restored');
    Screen::see('Drill through copy');
    expect(listing())->toContain('(DRILL THROUGH COPY)');
    operation('Drill through copy');
    more('Drill through copy', 'Delete');
    Screen::notSee('Drill through copy');
    Screen::named('button', 'Discard, show revision 1')->click();
    Screen::until(static fn (): bool => str_contains(listing(), '(SPOT)'), 'the saved program');
    Screen::notSee('Seat and more');
});

it('shows a learner the sheet, with nothing to change', function (): void {
    Screen::signIn('learner');
    Screen::work();
    Screen::visit('/programs/9');
    Screen::settle();
    operation('Seat');
    expect(Screen::find('[id="operations.2.depth"]')->isEnabled())->toBeFalse()->and(Screen::text('[aria-label="Operation sheet"]'))->not->toContain('Add');
});

it('writes for a machine whose Z is moved by hand, once both say so', function (): void {
    Screen::signIn();
    Screen::work();
    Screen::visit('/machines');
    Screen::see('by the control');
    Screen::driver()->findElement(WebDriverBy::xpath('//*[@aria-label="Z is moved"]/..//*[@role="combobox"]'))->click();
    Screen::named('li', 'by hand, as messages say')->click();
    Screen::see('will be checked again');
    Screen::named('button', 'Save')->click();
    Screen::notSee('Changed, not saved.');
    Screen::visit('/programs/9');
    Screen::see('1 to answer');
    Screen::named('button', '1 to answer')->click();
    Screen::see('Z of Alder is moved by hand: write two axes.');
    Screen::until(static fn (): bool => Screen::driver()->executeScript('return document.activeElement.id') === 'style', 'the focus to go there');
    Screen::press(WebDriverKeys::ARROW_DOWN);
    Screen::until(static fn (): bool => str_contains(listing(), '(Z -6.000, 3 OF 3)'), 'depths as messages');
    Screen::settle();
    expect(preg_match('/^[^(]*Z/m', listing()))->toBe(0)->and(listing())->toContain("(Z -2.600 AND UP)\nM0\nM3");
    Screen::see('Clear —');
    // The drawing goes where the messages say.
    operation('Seat');
    Screen::see('T2 · ');
});

it('makes what a name stands for larger, everywhere at once', function (): void {
    Screen::signIn('machinist');
    Screen::work();
    Screen::visit('/programs/9');
    Screen::settle();
    operation('Header');
    Screen::see('in 4, 5');
    Screen::typeInto('[id="names.circle"]', '2.5in'.WebDriverKeys::ENTER);
    // 63.5 / 2 · cos 30°, by the spot drill and by the drill.
    Screen::until(static fn (): bool => substr_count(listing(), 'X27.496 Y15.875') >= 4, 'both patterns on the larger circle');
    Screen::typeInto('[id="names.circle"]', '#circle'.WebDriverKeys::ENTER);
    Screen::see('“circle” is worked out from itself.');
    Screen::typeInto('[id="names.new"]', 'deep'.WebDriverKeys::ENTER);
    Screen::see('#deep');
    Screen::typeInto('[id="names.new"]', '3rd'.WebDriverKeys::ENTER);
    Screen::see('“3rd” is no name: it begins with a letter');
    Screen::typeInto('[id="names.circle"]', '60'.WebDriverKeys::ENTER);
    Screen::until(static fn (): bool => str_contains(listing(), 'X25.981 Y15.'), 'the circle as it was');
    Screen::notSee('to answer');
    Screen::see('not used');
});
