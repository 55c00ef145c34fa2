<?php

declare(strict_types=1);

// Put before a run of tests, with pcov: writes which lines of core/ it ran, by file, to where OAK_COVERED says.

\pcov\start();
register_shutdown_function(static function (): void {
    \pcov\stop();
    $ran = array_map(static fn (array $lines): array => array_keys(array_filter($lines, static fn (int $times): bool => $times > 0)), \pcov\collect());
    file_put_contents((string) getenv('OAK_COVERED'), json_encode(array_filter($ran), JSON_THROW_ON_ERROR));
});
