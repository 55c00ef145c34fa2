<?php

declare(strict_types=1);

use Tests\Browser\Screen;
use Tests\Core\Demo;

/** A file on this computer, as somebody would choose it. */
function fileWith(string $name, string $content): string
{
    $folder = sys_get_temp_dir().'/oak-'.bin2hex(random_bytes(4));
    mkdir($folder);
    file_put_contents("{$folder}/{$name}", $content);

    return "{$folder}/{$name}";
}

it('brings a program in from a file and opens it on the bench', function (): void {
    Screen::signIn();
    Screen::named('a', 'Vice on 40 parallels')->click();
    Screen::see('Import a program');
    Screen::find('[aria-label=Verdicts] input[type=file]')->sendKeys(fileWith('O1399.nc', str_replace('O1305', 'O1399', Demo::text('1305'))));
    Screen::see('Before you run');
    Screen::settle();
    Screen::see('O1399');
    Screen::see('Clear — 1 note');
});

it('refuses what is no program, says why, and stores nothing', function (): void {
    Screen::signIn();
    Screen::named('a', 'Vice on 40 parallels')->click();
    Screen::see('Import a program');
    Screen::find('[aria-label=Verdicts] input[type=file]')->sendKeys(fileWith('picture.nc', "\x89PNG\r\n\x1a\n\0\0\0"));
    Screen::see('“picture.nc” is not a text file: it has bytes that no program has. Nothing was saved.');
    Screen::find('[aria-label=Verdicts] input[type=file]')->sendKeys(fileWith('huge.nc', str_repeat('G1 X1. Y2. Z3.  ', 3_200_000)));
    Screen::see('huge.nc is larger than 48 MB, the largest file allowed. Nothing was sent.');
    Screen::visit('/');
    Screen::see(Demo::JOBS.' programs, 7 stopped');
});

it('brings in a setup file, and names the field that is wrong with it', function (): void {
    Screen::signIn();
    Screen::find('input[type=file]')->sendKeys(fileWith('second side.json', str_replace('"kind":"face-mill"', '"kind":"saw"', Demo::file('1410'))));
    Screen::see('tools.0.kind: Must be one of');
    Screen::find('input[type=file]')->sendKeys(fileWith('second side.json', Demo::file('1410')));
    Screen::see('May it run?');
    Screen::see('No program yet: write one, or import a file.');
    Screen::see('second side');
});

it('shows a learner the programs and offers them no way to bring any in', function (): void {
    Screen::signIn('learner');
    Screen::notSee('Import a setup');
    Screen::named('a', 'O1305')->click();
    Screen::see('Before you run');
    Screen::settle();
    Screen::notSee('Save');
});
