<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use Tests\Browser\Screen;

it('tells what is wrong with the cut, mends what a change of the text can mend, and leads to the tool for the rest', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1935')->click();
    Screen::settle();
    $stops = fn (): array => array_map(
        fn ($card): string => (string) $card->getAttribute('data-check'),
        Screen::driver()->findElements(WebDriverBy::cssSelector('[data-check][data-severity=stop]:not([data-settled])')),
    );
    Screen::until(fn (): bool => count($stops()) === 3, 'three stops');
    expect($stops())->toEqualCanonicalizing(['cutting.plunge-no-center', 'cutting.too-deep', 'cutting.flute-length']);
    Screen::named('button', 'Ramp in')->click();
    Screen::until(fn (): bool => ! in_array('cutting.plunge-no-center', $stops(), true), 'the ramp');
    Screen::see('Z-2.8');
    Screen::named('a', 'Go to T3 flute length')->click();
    Screen::until(fn (): bool => Screen::driver()->switchTo()->activeElement()->getAttribute('aria-label') === 'T3 flute length, mm', 'the field of the flute');
    Screen::driver()->switchTo()->activeElement()->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'14'.WebDriverKeys::ENTER);
    Screen::see('All changes saved.');
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
    Screen::until(
        fn (): bool => str_contains(Screen::text('[aria-label="State at the cursor"]'), '3.0 mm deep, 6.0 mm wide, over 180°'), 'what the slot takes',
    );
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
    // It measures once it is asked to, and not before.
    $hover = fn () => (new WebDriverActions(Screen::driver()))->moveToElement(Screen::find('[data-testid=turned]'), -70, 20)->perform();
    $hover();
    expect(Screen::driver()->findElements(WebDriverBy::cssSelector('[data-testid=under]')))->toBe([]);
    Screen::named('button', 'Sizes')->click();
    Screen::until(fn (): bool => str_contains(Screen::text('[data-testid=cut-at]'), 'at '), 'how far it is cut');
    $hover();
    Screen::until(fn (): bool => str_contains(Screen::text('[data-testid=under]'), 'below the top of the stock'), 'the depth under the pointer');
    Screen::driver()->executeScript('URL.createObjectURL = (blob) => { window.kept = blob.size; return "blob:none"; }');
    Screen::named('button', 'STL')->click();
    expect(Screen::until(fn () => Screen::driver()->executeScript('return window.kept ?? null'), 'the solid'))->toBeGreaterThan(10_000);
    $slot = $picture();
    // Further along the run there is less of it.
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::HOME);
    Screen::until(fn (): bool => $picture() !== $slot, 'the stock before it is cut');
    Screen::alt('s');
    Screen::alt('d');
    Screen::find('canvas[aria-label^="Plan"]');
});

it('cuts the stock open, measures it, and lays it beside the drawing sizes', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1935')->click();
    Screen::settle();
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::END);
    Screen::alt('d');
    Screen::find('[data-testid=turned] canvas');
    Screen::alt('s');
    Screen::named('button', 'Section')->click();
    Screen::named('button', 'Along Y')->click();
    $corners = fn (): int => (int) Screen::find('[aria-label="Section through the stock"]')->getAttribute('data-corners');
    Screen::until(fn (): bool => $corners() >= 2, 'a section');
    // Two clicks on the stock cut it between them.
    foreach ([[-20, 0], [30, 10]] as [$x, $y]) {
        (new WebDriverActions(Screen::driver()))->moveToElement(Screen::find('[data-testid=turned]'), $x, $y)->click()->perform();
    }
    Screen::until(fn (): bool => ! in_array(Screen::find('[aria-label="Section to X"]')->getAttribute('value'), ['', '0.0'], true), 'where the clicks were');
    Screen::named('button', 'Sizes')->click();
    foreach (['X' => '-31', 'Y' => '0'] as $axis => $value) {
        Screen::find("[aria-label='Measure at {$axis}']")->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.$value.WebDriverKeys::ENTER);
    }
    Screen::until(fn (): bool => str_contains(Screen::text('[data-testid=measured]'), '44.000 mm ±0.100'), 'the pocket beside its drawing');
    expect(Screen::text('[data-testid=measured]'))->toContain('Rectangular pocket (Pocket)')->toContain('30.000 mm');
    Screen::named('button', 'Compare')->click();
    Screen::until(fn (): bool => str_contains(Screen::text('[data-testid=gouged]'), '3.000 mm gouged'), 'the face that is too low');
    expect(Screen::text('[data-testid=left]'))->toBe('no material left')
        ->and(Screen::text('[aria-label="Against the drawing sizes"]'))->toContain('Cord slot')->toContain('within');
});

it('takes drawing sizes into the setup, and says what is missing', function (): void {
    Screen::signIn();
    Screen::visit('/setups/7');
    Screen::named('button', 'Add a hole')->click();
    Screen::until(fn (): bool => Screen::driver()->findElements(WebDriverBy::cssSelector('[id="target.features.2.at.0"]')) !== [], 'the fields of the hole');
    Screen::find('[id="target.features.2.at.0"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'40'.WebDriverKeys::ENTER);
    Screen::see('All changes saved.');
    Screen::find('[aria-label="Name of feature 3"]')->sendKeys('Pin hole'.WebDriverKeys::TAB);
    Screen::see('All changes saved.');
    Screen::find('[id="grip.depth"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'2'.WebDriverKeys::ENTER);
    Screen::see('All changes saved.');
    Screen::visit('/programs/7');
    Screen::settle();
    Screen::see('Pin hole is missing at X 40.000 mm Y 0.000 mm.');
    Screen::see('which is shallow');
    Screen::named('a', 'Go to the clamping')->click();
    Screen::until(fn (): bool => Screen::driver()->switchTo()->activeElement()->getAttribute('id') === 'grip', 'the clamping of the setup');
});

it('works out the cut of a program that takes long, once nobody types', function (): void {
    $passes = implode("\n", array_map(fn (int $n): string => sprintf('X%d. Z%.3f', $n % 2 === 0 ? -95 : 95, 1.9 - 0.01 * $n), range(1, 400)));
    Screen::signIn();
    Screen::driver()->executeScript(
        "localStorage.setItem('oak-draft:1:7', JSON.stringify({ text: arguments[0], base: 1, at: '2026-03-02T08:00:00Z' }))",
        ["G21 G17 G40 G49 G80 G90 G94\nT1 M6\nS3200 M3\nG54 G0 X-95. Y0.\nG43 H1 Z40.\nZ4.\nG1 Z1.9 F800.\n{$passes}\nG0 Z40.\nM30\n"],
    );
    Screen::visit('/programs/7');
    Screen::settle();
    Screen::see('The cut is not simulated yet');
    expect(Screen::text())->toContain('Simulate all');
    Screen::work();
    Screen::until(fn (): bool => ! str_contains(Screen::text(), 'The cut is not simulated yet'), 'the cut', 90);
});

it('turns the part as it is cut, and takes a solid from a file as the stock of the next setup', function (): void {
    Screen::signIn();
    Screen::named('a', 'O1820')->click();
    Screen::settle();
    Screen::alt('d');
    Screen::find('[data-testid=turned] canvas');
    Screen::alt('s');
    Screen::notSee('Cutting the stock…');
    // In the middle of the run another side is up than at its start.
    $picture = fn (): string => md5((string) Screen::find('[data-testid=turned]')->takeElementScreenshot());
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::END);
    usleep(900_000);
    $end = $picture();
    // Each side that is cut can be looked at by itself.
    $side = static function (string $name): void {
        Screen::find('[aria-label="Side of the part"]')->findElement(WebDriverBy::xpath('..'))->click();
        Screen::until(fn () => Screen::driver()->findElement(WebDriverBy::xpath("//li[normalize-space(.)='{$name}']")), $name)->click();
        usleep(600_000);
    };
    $side('A180');
    expect($picture())->not->toBe($end);
    $side('facing the tool');
    Screen::find('[data-testid=strip]')->sendKeys(WebDriverKeys::HOME);
    Screen::until(fn (): bool => $picture() !== $end, 'the side the run begins with');
    Screen::named('button', 'Sizes')->click();
    foreach (['X' => '30', 'Y' => '0'] as $axis => $value) {
        Screen::find("[aria-label='Measure at {$axis}']")->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.$value.WebDriverKeys::ENTER);
    }
    Screen::see('Rectangular boss');

    $file = sys_get_temp_dir().'/oak-blank.stl';
    file_put_contents($file, StlFile::of(HeightField::box(Box::of([-60, -35, -30], [60, 35, 4]), 10.0), 'blank'));
    Screen::visit('/setups/7');
    Screen::find('[aria-label="Stock"] input[aria-label="Solid (STL)"]')->sendKeys($file);
    Screen::see('oak-blank.stl, in its own coordinates from G54.');
    Screen::see('All changes saved.');
    file_put_contents($file, 'no solid at all');
    Screen::find('[aria-label="Stock"] input[aria-label="Solid (STL)"]')->sendKeys($file);
    Screen::see('This is not an STL file: it is too short.');
    Screen::visit('/programs/7');
    Screen::settle();
    // Four on top instead of two: the first pass takes more.
    Screen::alt('g');
    Screen::find('[aria-label="Line, block number, tool, program or words to go to"]')->sendKeys('15'.WebDriverKeys::ENTER);
    Screen::until(fn (): bool => str_contains(Screen::text('[aria-label="State at the cursor"]'), '2.5 mm deep'), 'what is taken of the solid');
});
