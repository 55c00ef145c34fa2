<?php

declare(strict_types=1);

/** Arrows point one way: app -> core, and within the core Language <- Control <- Interpreter -> Trace <- the rest. */
arch('the core names no framework and nothing of the application')
    ->expect('OakTrace\Core')
    ->not->toUse(['Illuminate', 'Laravel', 'Inertia', 'App', 'Symfony', 'Database']);

arch('the core reads no files, no clock, no chance')
    ->expect('OakTrace\Core')
    ->not->toUse(['file_get_contents', 'fopen', 'file_put_contents', 'fwrite', 'time', 'microtime', 'date', 'rand', 'mt_rand', 'random_int', 'shuffle', 'dd', 'dump', 'var_dump', 'echo', 'exit']);

arch('the language knows nothing of controls')
    ->expect('OakTrace\Core\Language')
    ->toOnlyUse([]);

arch('a control profile is read, it does not read')
    ->expect('OakTrace\Core\Control')
    ->not->toUse(['OakTrace\Core\Interpreter', 'OakTrace\Core\Trace', 'OakTrace\Core\Checks', 'OakTrace\Core\Cycles']);

arch('reading does not judge')
    ->expect('OakTrace\Core\Interpreter')
    ->not->toUse(['OakTrace\Core\Checks', 'OakTrace\Core\Timing', 'OakTrace\Core\Formats', 'OakTrace\Core\Transform']);

arch('the trace knows nobody who uses it')
    ->expect('OakTrace\Core\Trace')
    ->not->toUse(['OakTrace\Core\Interpreter', 'OakTrace\Core\Checks', 'OakTrace\Core\Timing', 'OakTrace\Core\Formats']);

arch('those who use the trace do not read programs')
    ->expect(['OakTrace\Core\Checks', 'OakTrace\Core\Timing'])
    ->not->toUse(['OakTrace\Core\Interpreter', 'OakTrace\Core\Cycles', 'OakTrace\Core\Formats']);

arch('the stock is cut by the trace alone')
    ->expect('OakTrace\Core\Stock')
    ->not->toUse(['OakTrace\Core\Interpreter', 'OakTrace\Core\Checks', 'OakTrace\Core\Formats', 'OakTrace\Core\Language']);

arch('names say what a thing is')
    ->expect(['OakTrace\Core', 'App'])
    ->not->toHaveSuffix('Manager')
    ->not->toHaveSuffix('Helper')
    ->not->toHaveSuffix('Util')
    ->not->toHaveSuffix('Processor');

arch('every file is strict')->expect(['OakTrace\Core', 'App'])->toUseStrictTypes();

arch('a calculator knows its formula and nothing else')
    ->expect('OakTrace\Core\Reckoner')
    ->toOnlyUse([]);

arch('loads are reckoned of what is cut, and judged elsewhere')
    ->expect('OakTrace\Core\Load')
    ->not->toUse(['OakTrace\Core\Interpreter', 'OakTrace\Core\Checks', 'OakTrace\Core\Formats', 'OakTrace\Core\Language', 'OakTrace\Core\Stock']);
