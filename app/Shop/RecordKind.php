<?php

declare(strict_types=1);

namespace App\Shop;

use App\Models\CribTool;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** The records that can be deleted and taken back out of the bin. */
enum RecordKind: string
{
    case Part = 'part';
    case Setup = 'setup';
    case Program = 'program';
    case Machine = 'machine';
    case Tool = 'tool';

    /** @return class-string<Part|Setup|Program|Machine|CribTool> */
    public function model(): string
    {
        return match ($this) {
            self::Part => Part::class,
            self::Setup => Setup::class,
            self::Program => Program::class,
            self::Machine => Machine::class,
            self::Tool => CribTool::class,
        };
    }

    public static function of(Model $record): self
    {
        foreach (self::cases() as $kind) {
            if ($record instanceof ($kind->model())) {
                return $kind;
            }
        }

        throw new \LogicException($record::class.' is never deleted.');
    }

    /** @return Builder<Part>|Builder<Setup>|Builder<Program>|Builder<Machine>|Builder<CribTool> those in the bin */
    public function binned(): Builder
    {
        return match ($this) {
            self::Part => Part::onlyTrashed(),
            self::Setup => Setup::onlyTrashed(),
            self::Program => Program::onlyTrashed(),
            self::Machine => Machine::onlyTrashed(),
            self::Tool => CribTool::onlyTrashed(),
        };
    }
}
