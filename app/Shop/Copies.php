<?php

declare(strict_types=1);

namespace App\Shop;

use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Copies of records: the latest texts, without their past, their proofs and the trust in their offsets. */
final readonly class Copies
{
    public function __construct(private Revising $revising)
    {
    }

    /** With all its setups and programs. */
    public function ofPart(Part $part, User $by): Part
    {
        return DB::transaction(function () use ($part, $by): Part {
            $copy = Part::create([...$part->only('drawing_number', 'material', 'units'), 'name' => self::freeName($part->name, Part::pluck('name')->all())]);
            foreach ($part->setups()->get() as $setup) {
                $this->ofSetup($setup, $copy, $setup->operation, $by);
            }

            return $copy;
        });
    }

    /** With its programs. Its offsets are those of another clamping: each is to be touched off before it counts. */
    public function ofSetup(Setup $setup, Part $to, int $operation, User $by): Setup
    {
        return DB::transaction(function () use ($setup, $to, $operation, $by): Setup {
            $document = OffsetTrust::copied($setup->document, $setup->title());
            $copy = $to->setups()->create([...$setup->only('machine_id', 'name'), 'operation' => $operation, 'document' => $document]);
            foreach ($setup->programs()->with('latest')->get() as $program) {
                $this->ofProgram($program, $copy, $by);
            }

            return $copy;
        });
    }

    public function ofProgram(Program $program, Setup $to, User $by): Program
    {
        return DB::transaction(function () use ($program, $to, $by): Program {
            $name = self::freeName($program->name, $to->programs()->pluck('name')->all());
            $reason = "Copied from {$program->name} revision {$program->latest->number}";

            return $this->revising->begin($to, $name, $program->latest->text, $by, $reason, $program->latest->sheet);
        });
    }

    /**
     * A name with “copy” and, where that is taken, a number; the name itself where it is free.
     *
     * @param  array<array-key, mixed>  $taken
     */
    private static function freeName(string $name, array $taken): string
    {
        for ($n = 0, $free = $name; in_array($free, $taken, true); $n++) {
            $free = mb_strimwidth($name, 0, 70).' copy'.($n === 0 ? '' : ' '.($n + 1));
        }

        return $free;
    }
}
