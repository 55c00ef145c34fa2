<?php

declare(strict_types=1);

use Tests\Mutation\Sample;

// php sample.php ROOM COUNT TESTS…: see ./oak mutate. What stands before the script on its command line is given on by OAK_PHP.

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$room, $count] = [$argv[1], (int) $argv[2]];
$temporary = sys_get_temp_dir().'/oak-mutate-'.getmypid();
mkdir($temporary);
$sample = new Sample(explode("\n", (string) getenv('OAK_PHP')), $temporary);
$sample->cover(array_slice($argv, 3));
$share = $sample->plant($room, $count, (int) (getenv('OAK_SEED') ?: 1));
array_map(unlink(...), glob($temporary.'/*') ?: []);
rmdir($temporary);
exit($share >= 0.85 ? 0 : 1);
