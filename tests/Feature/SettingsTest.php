<?php

declare(strict_types=1);

use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/** Of PHP, beside the way `./oak` runs it. */
const PHP_SETTINGS = [
    'no opcache' => ['-d', 'opcache.enable_cli=0'],
    'opcache, compiler left out' => ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=disable'],
    'the compiler asked for' => ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M'],
    'few figures' => [
        '-d', 'opcache.enable_cli=1', '-d', 'precision=6', '-d', 'serialize_precision=8', '-d', 'date.timezone=Asia/Tokyo', '-d', 'zend.enable_gc=0',
    ],
];

it('comes to the very same answers whatever PHP is set to', function (): void {
    $running = [];
    foreach (PHP_SETTINGS as $name => $settings) {
        $running[$name] = new Process([(new PhpExecutableFinder)->find(), '-d', 'memory_limit=1G', ...$settings, __DIR__.'/answers.php'], timeout: 600);
        $running[$name]->start();
    }
    $answers = array_map(function (Process $process): string {
        $process->wait();

        return $process->getErrorOutput().$process->getOutput();
    }, $running);
    expect(substr_count($answers['no opcache'], "\n"))->toBeGreaterThan(200)->and(array_unique(array_values($answers)))->toHaveCount(1);
});
