<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Screen;

/**
 * What axe-core finds serious or worse on the screen as it stands.
 *
 * @return list<string> rule, and the element it is about
 */
function seriousBarriers(): array
{
    $driver = Screen::driver();
    $driver->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
    $result = $driver->executeAsyncScript(
        <<<'JS'
            const done = arguments[0];
            const told = (v) => ({ id: v.id, impact: v.impact, nodes: v.nodes.map((n) => n.html.slice(0, 160)) });
            axe.run(document, { resultTypes: ["violations"] }).then(
                (result) => done(result.violations.map(told)),
                (error) => done([{ id: String(error), impact: "critical", nodes: [] }]),
            );
            JS,
    );
    $barriers = [];
    foreach ((array) $result as $violation) {
        if (in_array($violation['impact'], ['serious', 'critical'], true)) {
            $barriers[] = $violation['id'].': '.implode(' | ', array_slice($violation['nodes'], 0, 3));
        }
    }

    return $barriers;
}

it('keeps nobody out', function (string $look): void {
    Screen::visit('/sign-in');
    Screen::driver()->executeScript("localStorage.setItem('oak-look', '{$look}')");
    Screen::visit('/sign-in');
    Screen::see('Sign in');
    expect(seriousBarriers())->toBe([]);

    Screen::signIn();
    expect(seriousBarriers())->toBe([]);
    if ($look === 'dark') {
        Screen::named('button', 'Settings')->click();
        Screen::named('label', 'dark')->click();
        Screen::until(fn (): bool => Screen::driver()->executeScript('return document.documentElement.style.colorScheme') === 'dark', 'the dark screen');
        expect(seriousBarriers())->toBe([]);
        Screen::named('button', 'Close')->click();
    }

    Screen::named('a', 'O1210')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::alt('n');
    expect(seriousBarriers())->toBe([]);

    foreach (['h' => 'Stop at the end of each block', 'o' => 'What happens first', 'b' => 'Does it read?'] as $key => $seen) {
        Screen::alt($key);
        Screen::see($seen);
        expect(seriousBarriers())->toBe([]);
    }
    foreach (['Zero', 'Show', 'Measure', '3D', 'Go to'] as $opens) {
        Screen::named('button', $opens)->click();
        expect(seriousBarriers())->toBe([]);
    }
    Screen::press(WebDriverKeys::ESCAPE);
    Screen::named('button', 'Cut stock')->click();
    foreach (['Section', 'Along X', 'Sizes', 'Compare'] as $opens) {
        Screen::named('button', $opens)->click();
        usleep(500_000);
        expect(seriousBarriers())->toBe([]);
    }

    // A program written from a sheet: its questions, its tools and its header.
    Screen::visit('/programs/9');
    Screen::settle();
    foreach (['Holes', 'Tools', 'Header'] as $part) {
        $button = ['Holes' => '(//ol[@aria-label="Operations"]//button)[6]',
            'Tools' => '(//ol[@aria-label="Operations"]//button)[2]'][$part] ?? '//ol//button[1]';
        Screen::driver()->findElement(Facebook\WebDriver\WebDriverBy::xpath($button))->click();
        usleep(400_000);
        expect(seriousBarriers())->toBe([]);
    }

    Screen::visit('/programs/2');
    Screen::settle();
    Screen::named('a', 'One vice')->click();
    Screen::see('Work offsets');
    expect(seriousBarriers())->toBe([]);

    Screen::room('Controls');
    Screen::see('Machines with this control');
    expect(seriousBarriers())->toBe([]);
    Screen::visit('/');
    Screen::named('a', 'O1711')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::named('button', 'O8200called')->click();
    expect(seriousBarriers())->toBe([]);
    Screen::named('button', 'O1711')->click();
    Screen::alt('e');
    Screen::see('Nothing happens on this line.');
    expect(seriousBarriers())->toBe([]);
    Screen::visit('/programs/1/machine');
    Screen::see('Hold points');
    expect(seriousBarriers())->toBe([]);
    Screen::visit('/programs/1/compare');
    Screen::see('the same');
    expect(seriousBarriers())->toBe([]);
})->with(['light', 'dark']);

it('can be worked from the keyboard: to a program, to its finding, mended, saved', function (): void {
    Screen::signIn();
    // Tab to the program's link and open it.
    for ($i = 0; $i < 150; $i++) {
        Screen::press(WebDriverKeys::TAB);
        if (Screen::driver()->switchTo()->activeElement()->getText() === 'O1210') {
            break;
        }
    }
    Screen::press(WebDriverKeys::ENTER);
    Screen::see('Before you run');
    Screen::settle();
    Screen::alt('n');
    Screen::until(fn (): bool => Screen::text('.cm-activeLine') === 'G1 Z-40. F180.', 'the line of the finding');
    Screen::alt('p');
    Screen::see('Clear — 1 note');
    Screen::press(WebDriverKeys::CONTROL, 's');
    Screen::press(WebDriverKeys::NULL);
    Screen::see('Save as revision 2');
    Screen::press('Point found'.WebDriverKeys::ENTER);
    Screen::notSee('not saved');
    expect(Screen::text('[data-testid=revision]'))->toContain('rev 2');
});

it('keeps nobody out of the shop’s other rooms', function (string $path, string $seen, string $look): void {
    Screen::visit('/sign-in');
    Screen::driver()->executeScript("localStorage.setItem('oak-look', '{$look}')");
    Screen::signIn();
    Screen::visit($path);
    Screen::see($seen);
    expect(seriousBarriers())->toBe([]);
})->with([
    ['/machines', 'machine coordinates, mm'], ['/tools', 'Download CSV'], ['/people', 'T. Sapling'], ['/account', 'Signed in on'],
    ['/bin', 'Nothing is in the bin.'],
    ['/setups/1/touching-off', 'Every offset in use is trusted.'], ['/setups/1', 'May it run?'],
])->with(['light', 'dark']);

it('keeps nobody out who has forgotten a password, or opens a form', function (): void {
    Screen::visit('/forgotten-password');
    Screen::see('Send the letter');
    expect(seriousBarriers())->toBe([]);
    Screen::emptyShop();
    Screen::visit('/first-lead');
    Screen::see('The first lead');
    expect(seriousBarriers())->toBe([]);
});

it('keeps nobody out of a form of the parts', function (): void {
    Screen::signIn();
    Screen::named('button', 'New part')->click();
    Screen::see('Drawing number');
    expect(seriousBarriers())->toBe([]);
    Screen::press(WebDriverKeys::ESCAPE);
    Screen::find('[aria-label="More for Hand hub"]')->click();
    Screen::see('Copy with its setups');
    expect(seriousBarriers())->toBe([]);
});
