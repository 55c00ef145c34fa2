<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Checking\ProgramVerdict;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Setup;
use Illuminate\Support\Facades\DB;

/**
 * The one way a setup's document is written: read anew inside the transaction, so that nothing stored meanwhile is put back,
 * given a new version, and written into the logbook. The verdicts of its programs are worked out afterwards, by the queue.
 */
final readonly class SetupChange
{
    public function __construct(private ProgramVerdict $verdicts)
    {
    }

    /**
     * Puts a document in the place of the one of a version.
     *
     * @return Setup|null as it stands now; null where somebody else has stored another meanwhile
     */
    public function replace(Setup $setup, int $version, object $document, Machine $machine): ?Setup
    {
        return DB::transaction(function () use ($setup, $version, $document, $machine): ?Setup {
            $now = self::locked($setup);
            if ($now->version !== $version) {
                return null;
            }
            $fields = Difference::ofSetups($now->document, $document);
            if ($now->machine_id !== $machine->id) {
                $fields[] = ['machine', $now->machine->name, $machine->name];
            }

            return $this->store($now, ['document' => $document, 'machine_id' => $machine->id], $fields);
        });
    }

    /**
     * Changes one thing of the document as it stands at that moment.
     *
     * @param  callable(object): object  $change
     * @param  string|null  $why  it is changed, for the logbook
     */
    public function touch(Setup $setup, callable $change, ?string $why = null): Setup
    {
        return DB::transaction(function () use ($setup, $change, $why): Setup {
            $now = self::locked($setup);
            $document = $change($now->document);

            return $this->store($now, ['document' => $document], Difference::ofSetups($now->document, $document), $why);
        });
    }

    /**
     * The same of a machine, for all of its setups.
     *
     * @param  callable(object): object  $change
     * @param  int|null  $profile  the shop's profile its control reads by from now on; 0 for the one its definition names
     */
    public function touchMachine(Machine $machine, callable $change, ?int $profile = null): void
    {
        DB::transaction(function () use ($machine, $change, $profile): void {
            /** @var Machine $now */
            $now = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $definition = $change($now->definition);
            LogEntry::note(Kind::Machine, $now->name, Difference::between($now->definition, $definition));
            $now->update(['definition' => $definition, 'name' => $definition->name ?? $now->name] + ($profile === null ? [] : [
                'profile_id' => $profile === 0 ? null : $profile,
            ]));
            // Whoever has a setup of the machine open sees a new version, so that nothing is written over.
            foreach ($now->setups()->get() as $setup) {
                $setup->increment('version');
                $this->verdicts->refresh(...$setup->programs()->get());
            }
        });
    }

    private static function locked(Setup $setup): Setup
    {
        return Setup::query()->with(['machine', 'part'])->lockForUpdate()->findOrFail($setup->id);
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  list<array{string, string|null, string|null}>  $fields
     */
    private function store(Setup $setup, array $columns, array $fields, ?string $why = null): Setup
    {
        $setup->update([...$columns, 'version' => $setup->version + 1]);
        LogEntry::note(Kind::Setup, $setup->title(), $fields, $setup, why: $why);
        $this->verdicts->refresh(...$setup->programs()->get());

        return $setup->unsetRelations();
    }
}
