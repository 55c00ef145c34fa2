<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

function openBenchOf(int $program): void
{
    Screen::signIn();
    Screen::visit("/programs/{$program}");
    Screen::settle();
}

function widthOf(string $css): float
{
    return (float) Screen::driver()->executeScript('return document.querySelector(arguments[0])?.getBoundingClientRect().width ?? 0', [$css]);
}

it('shows 60 characters of the listing at 1280, and sets in what is longer below its own block', function (): void {
    openBenchOf(1);
    [$room, $letter] = (array) Screen::driver()->executeScript(<<<'JS'
        const line = document.querySelector('.cm-line');
        const style = getComputedStyle(line);
        const ruler = document.createElement('canvas').getContext('2d');
        ruler.font = getComputedStyle(document.querySelector('.cm-scroller')).font;
        return [line.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.textIndent) - parseFloat(style.paddingRight), ruler.measureText('0').width];
        JS);
    expect($room / $letter)->toBeGreaterThanOrEqual(60.0);
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('27'.WebDriverKeys::ENTER);
    usleep(300_000);
    // The comment of 67 letters goes on in a second row, and the listing does not scroll sideways.
    [$rows, $scrolls] = (array) Screen::driver()->executeScript(<<<'JS'
        const wide = [...document.querySelectorAll('.cm-line')].find((line) => line.textContent.startsWith('(POINT 2.04 LONG'));
        const scroller = document.querySelector('.cm-scroller');
        return [Math.round(wide.getBoundingClientRect().height / 20), scroller.scrollWidth > scroller.clientWidth];
        JS);
    expect([$rows, $scrolls])->toBe([2, false]);
});

it('is laid out by dragging, by keys and by folding, and remembers it for the person', function (): void {
    openBenchOf(1);
    $before = widthOf('.cm-editor');
    $divider = Screen::find('[role=separator][aria-label="Width of the listing"]');
    (new WebDriverActions(Screen::driver()))->clickAndHold($divider)->moveByOffset(-60, 0)->moveByOffset(-60, 0)->release()->perform();
    expect(widthOf('.cm-editor'))->toEqualWithDelta($before - 120, 2);
    $divider->sendKeys(WebDriverKeys::ARROW_RIGHT);
    expect(widthOf('.cm-editor'))->toEqualWithDelta($before - 104, 2);
    Screen::named('button', 'Fold the review')->click();
    Screen::notSee('Does it read?');
    Screen::named('button', 'Fold the positions and heights')->click();
    Screen::driver()->navigate()->refresh();
    Screen::settle();
    expect(widthOf('.cm-editor'))->toEqualWithDelta($before - 104, 2);
    expect(Screen::driver()->findElements(WebDriverBy::cssSelector('[data-testid=strip]')))->toBe([]);
    // A key of a panel opens it again.
    Screen::alt('b');
    Screen::see('Does it read?');
    Screen::alt('4');
    Screen::until(fn (): bool => Screen::driver()->switchTo()->activeElement()->getAttribute('data-testid') === 'strip', 'the height strip');
});

it('fills the window with the drawing and comes back with the same key', function (): void {
    openBenchOf(1);
    $before = widthOf('[data-testid=drawing]');
    Screen::alt('f');
    Screen::until(fn (): bool => widthOf('[data-testid=drawing]') > 1270, 'the drawing to fill the window');
    expect(Screen::text('[aria-label="Next step"]'))->toContain('Clear');
    Screen::alt('f');
    Screen::until(fn (): bool => widthOf('[data-testid=drawing]') === $before, 'the bench as it was');
});

it('keeps the state bar as tall for one line as for the next, and works at 1024 by 768', function (): void {
    openBenchOf(5);
    $tall = fn (): float => (float) Screen::driver()->executeScript(
        'return document.querySelector(\'[aria-label="State at the cursor"]\')?.parentElement.getBoundingClientRect().height ?? -1',
    );
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::ARROW_RIGHT);
    $first = Screen::until($tall, 'the state');
    for ($i = 0; $i < 5; $i++) {
        Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::PAGE_DOWN);
        expect($tall())->toBe($first);
    }
    Screen::size(1024, 768);
    usleep(400_000);
    $fits = Screen::driver()->executeScript('return [document.documentElement.scrollWidth <= 1024, document.documentElement.scrollHeight <= 768]');
    expect($fits)->toBe([true, true])
        ->and(widthOf('[data-testid=drawing]'))->toBeGreaterThan(250.0)->and(widthOf('.cm-editor'))->toBeGreaterThan(380.0);
    Screen::size(1280, 800);
});

it('finds words by their value within a tool, and shows a replacement before it is made', function (): void {
    openBenchOf(1);
    Screen::find('.cm-content')->click();
    Screen::press(WebDriverKeys::CONTROL, 'f');
    Screen::press(WebDriverKeys::NULL);
    Screen::press('G81');
    Screen::press(WebDriverKeys::ENTER);
    Screen::see('no match');
    $choose = static function (string $label, string $option): void {
        Screen::find("[aria-label=\"{$label}\"]")->findElement(WebDriverBy::xpath('..'))->click();
        Screen::until(fn () => Screen::driver()->findElement(WebDriverBy::xpath("//li[normalize-space(.)='{$option}']")), $option)->click();
    };
    $choose('Find by', 'word');
    $choose('Where', 'T3');
    Screen::find('[aria-label="Least value"]')->sendKeys('400');
    Screen::find('[aria-label="Greatest value"]')->sendKeys('500');
    Screen::until(fn (): bool => preg_match('/\d+ found/', Screen::text('[role=search]'), $found) === 1, 'the hits');
    $count = (int) Screen::text('[role=search] [role=status]');
    expect($count)->toBeGreaterThan(1);
    Screen::find('[aria-label="Replace with"]')->sendKeys('410.');
    Screen::named('button', 'Replace all…')->click();
    Screen::see("Replace {$count} matches?");
    expect(substr_count(Screen::text('[aria-label="The change"]'), 'F410.'))->toBe($count);
    Screen::named('button', 'Replace all')->click();
    Screen::notSee("Replace {$count} matches?");
    Screen::see('rev 1, not saved');
    Screen::named('button', 'Close find')->click();
    Screen::named('button', 'Undo')->click();
    Screen::notSee('not saved');
});
