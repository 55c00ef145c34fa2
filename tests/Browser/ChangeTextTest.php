<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

function openChange(): void
{
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::alt('c');
    Screen::see('Change the text');
}

it('shows a change of many words before it is made, and takes it back in one step', function (): void {
    openChange();
    Screen::find('[aria-label="of tool (empty for all)"]')->sendKeys('3');
    Screen::see('18 changes');
    Screen::see('G1 Z-5. F96.');
    Screen::named('button', 'Apply')->click();
    Screen::notSee('Change the text');
    Screen::see('G1 Z-10. F96.');
    Screen::notSee('G1 Z-10. F120.');
    Screen::see('rev 1, not saved');
    Screen::press(WebDriverKeys::CONTROL, 'z');
    Screen::press(WebDriverKeys::NULL);
    Screen::notSee('rev 1, not saved');
    Screen::notSee('G1 Z-10. F96.');
});

it('says why a change cannot be made, and when nothing would change', function (): void {
    openChange();
    Screen::find('[aria-label="From line"]')->sendKeys('1');
    Screen::find('[aria-label="To line"]')->sendKeys('2');
    Screen::see('Nothing to change.');
    Screen::named('button', 'Renumber blocks')->click();
    Screen::find('[aria-label="by"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'0');
    Screen::see('go up by 1 or more');
    Screen::named('button', 'Cancel')->click();
    Screen::notSee('Change the text');
});

it('shows every key on one sheet', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::press('?');
    Screen::see('Keys of the bench');
    Screen::see('change words, path, numbers, layout');
    Screen::press(WebDriverKeys::ENTER);
    Screen::notSee('Keys of the bench');
});

it('completes a code with what it does on this control, and goes to an operation', function (): void {
    Screen::signIn();
    Screen::visit('/programs/1');
    Screen::settle();
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('22'.WebDriverKeys::ENTER);
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G80', 'the line');
    Screen::press(WebDriverKeys::END);
    Screen::press(' ');
    Screen::press('G');
    Screen::press('8');
    Screen::see('peck drilling cycle');
    // Enter ends the block as it was typed; Tab takes what is offered.
    Screen::press(WebDriverKeys::ENTER);
    Screen::until(fn (): bool => trim(Screen::text('.cm-activeLine')) === '', 'a new line');
    Screen::press('G');
    Screen::press('8');
    Screen::see('peck drilling cycle');
    usleep(200_000); // a list that has just come takes no key for a moment, so that nobody takes what he has not seen
    Screen::press(WebDriverKeys::TAB);
    Screen::until(fn (): bool => preg_match('/^G8\d$/', Screen::text('.cm-activeLine')) === 1, 'the code that was offered');
    Screen::press(WebDriverKeys::BACKSPACE.WebDriverKeys::BACKSPACE.WebDriverKeys::BACKSPACE.WebDriverKeys::BACKSPACE);
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G80 G8', 'the block that was typed');
    Screen::press(WebDriverKeys::BACKSPACE.WebDriverKeys::BACKSPACE.WebDriverKeys::BACKSPACE);
    Screen::settle();
    Screen::alt('g');
    Screen::see('T3 END MILL 12, CENTRE CUTTING');
    Screen::find('[role=menuitem]:nth-child(5)')->click();
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === '(T3 END MILL 12, CENTRE CUTTING)', 'the operation');
});
