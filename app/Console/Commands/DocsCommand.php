<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Docs\CheckList;
use App\Docs\Examples;
use App\Docs\OperationList;
use Illuminate\Console\Command;

class DocsCommand extends Command
{
    protected $signature = 'oak:docs';

    protected $description = 'Makes the parts of docs/ that are made from the code';

    public function handle(): int
    {
        file_put_contents(base_path('docs/checks.md'), CheckList::markdown());
        file_put_contents(base_path('docs/sheets.md'), OperationList::markdown());
        foreach (Examples::files() as $name => $text) {
            file_put_contents(base_path("docs/examples/{$name}"), $text);
        }

        return self::SUCCESS;
    }
}
