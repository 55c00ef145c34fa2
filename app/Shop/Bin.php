<?php

declare(strict_types=1);

namespace App\Shop;

use App\Checking\ProgramVerdict;
use App\Logbook\Kind;
use App\Models\CribTool;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Where deleted records lie until they are restored or deleted for good. A part takes its setups along, a setup its programs;
 * whatever went in together comes out together.
 */
final readonly class Bin
{
    public function __construct(private ProgramVerdict $verdicts)
    {
    }

    /** @throws ShopProblem where others need it */
    public function delete(Part|Setup|Program|Machine|CribTool $record): void
    {
        DB::transaction(static function () use ($record): void {
            if ($record instanceof Machine) {
                self::refuseInUse($record);
            }
            $at = now();
            foreach ([$record, ...self::below($record)] as $each) {
                $each->newQuery()->whereKey($each->getKey())->update(['deleted_at' => $at]);
            }
            LogEntry::note(self::entryKind($record), self::title($record), [['deleted', null, 'to the bin']], self::setupOf($record));
        });
    }

    /** @throws ShopProblem where what it belongs to is in the bin itself */
    public function restore(Part|Setup|Program|Machine|CribTool $record): void
    {
        DB::transaction(function () use ($record): void {
            $needs = match (true) {
                $record instanceof Setup => [$record->part()->withTrashed()->first(), $record->machine()->withTrashed()->first()],
                $record instanceof Program => [$record->setup()->withTrashed()->first()],
                default => [],
            };
            foreach ($needs as $need) {
                if ($need?->trashed() === true) {
                    throw new ShopProblem(self::title($need).' is in the bin too. Restore that first.');
                }
            }
            $together = [$record, ...self::below($record, $record->deleted_at?->toDateTimeString())];
            foreach ($together as $each) {
                $each->newQuery()->withTrashed()->whereKey($each->getKey())->update(['deleted_at' => null]);
            }
            LogEntry::note(self::entryKind($record), self::title($record), [['restored', 'in the bin', null]], self::setupOf($record));
            $this->verdicts->refresh(...array_filter($together, static fn (object $each): bool => $each instanceof Program));
        });
    }

    /** Deletes a record and all that belongs to it for good. */
    public function empty(Part|Setup|Program|Machine|CribTool $record): void
    {
        DB::transaction(static function () use ($record): void {
            if ($record instanceof Machine) {
                self::refuseInUse($record);
            }
            $title = self::title($record);
            $record->forceDelete();
            LogEntry::note(self::entryKind($record), $title, [['deleted for good', null, null]]);
        });
    }

    /** @return list<array{kind: string, id: int, title: string, deletedAt: string}> what was deleted by itself, last first */
    public function contents(): array
    {
        $rows = [];
        foreach (RecordKind::cases() as $kind) {
            foreach ($kind->binned()->get() as $record) {
                if (! self::wentWithItsOwner($record)) {
                    $rows[] = [
                        'kind' => $kind->value, 'id' => $record->id, 'title' => self::title($record),
                        'deletedAt' => (string) $record->deleted_at?->toIso8601String(),
                    ];
                }
            }
        }
        usort($rows, static fn (array $a, array $b): int => $b['deletedAt'] <=> $a['deletedAt']);

        return $rows;
    }

    private static function wentWithItsOwner(Part|Setup|Program|Machine|CribTool $record): bool
    {
        $owner = match (true) {
            $record instanceof Setup => $record->part()->withTrashed()->first(),
            $record instanceof Program => $record->setup()->withTrashed()->first(),
            default => null,
        };

        return $owner?->deleted_at !== null && $owner->deleted_at->toDateTimeString() === $record->deleted_at?->toDateTimeString();
    }

    /** @return list<Setup|Program> those that go with a record; with a time, those that went at that time */
    private static function below(Part|Setup|Program|Machine|CribTool $record, ?string $deletedAt = null): array
    {
        $setups = match (true) {
            $record instanceof Part => $record->setups()->withTrashed()->get(),
            $record instanceof Setup => new Collection([$record]),
            default => new Collection,
        };
        $programs = Program::withTrashed()->whereIn('setup_id', $setups->modelKeys())->get();
        $went = static fn (Setup|Program $each): bool => $each->deleted_at?->toDateTimeString() === $deletedAt;

        return array_values([...$setups->filter(static fn (Setup $setup): bool => ! $setup->is($record) && $went($setup)), ...$programs->filter($went)]);
    }

    private static function refuseInUse(Machine $machine): void
    {
        $setups = $machine->setups()->withTrashed()->with(['part' => static fn ($part) => $part->withTrashed(), 'machine'])->limit(4)->get();
        if ($setups->isNotEmpty()) {
            $names = $setups->take(3)->map(static fn (Setup $setup): string => $setup->title().($setup->trashed() ? ' (in the bin)' : ''))->join('; ');

            throw new ShopProblem("{$machine->name} is used by {$names}".($setups->count() > 3 ? ' and others' : '').'. Give these another machine first.');
        }
    }

    private static function entryKind(Part|Setup|Program|Machine|CribTool $record): Kind
    {
        return match (true) {
            $record instanceof Part => Kind::Part,
            $record instanceof Setup => Kind::Setup,
            $record instanceof Program => Kind::Program,
            $record instanceof Machine => Kind::Machine,
            $record instanceof CribTool => Kind::Tool,
        };
    }

    private static function setupOf(Part|Setup|Program|Machine|CribTool $record): ?Setup
    {
        return match (true) {
            $record instanceof Setup => $record,
            $record instanceof Program => $record->setup()->withTrashed()->first(),
            default => null,
        };
    }

    private static function title(Part|Setup|Program|Machine|CribTool $record): string
    {
        if ($record instanceof Setup) {
            return $record->part()->withTrashed()->firstOrFail()->name.", op {$record->operation} {$record->name}";
        }
        if ($record instanceof Program) {
            return $record->name.' of '.self::title($record->setup()->withTrashed()->firstOrFail());
        }

        return $record->name;
    }
}
