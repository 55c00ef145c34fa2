<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\CribTool;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use App\Shop\Copies;
use App\Shop\Revising;
use App\TouchOff\TouchingOff;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Auth;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\TouchOff\Subject;

/** What has gone on in the demo shop: a full tool crib, a job begun again, a reading interrupted, changes with their reasons. */
class ShopHistorySeeder extends Seeder
{
    public function run(Copies $copies, Revising $revising, TouchingOff $touching): void
    {
        $this->fillCrib();
        [$lead, $machinist] = [
            User::where('email', 'lead@fernhollow.example')->firstOrFail(), User::where('email', 'machinist@fernhollow.example')->firstOrFail(),
        ];
        Auth::login($machinist);

        // The hub once more, for another dial: nothing is touched off yet, and the first reading was interrupted.
        $again = $copies->ofPart(Part::where('name', 'Hand hub')->firstOrFail(), $machinist);
        $again->update(['name' => 'Hand hub, north dial', 'drawing_number' => 'FCW-1307']);
        $touching->begin($again->setups()->firstOrFail(), Subject::length(2), $machinist);

        $old = $copies->ofPart(Part::where('name', 'Winding arbor')->firstOrFail(), $lead);
        $old->update(['name' => 'Winding arbor, before the pins', 'archived_at' => now()]);

        $carrier = Program::where('name', 'O1608')->with('latest')->firstOrFail();
        $revising->revise($carrier, 2, rtrim($carrier->latest->text)."\n(ONE LINE FOR THE NEXT BATCH)\n", $machinist, 'Note for the next batch');

        $hub = Setup::whereHas('programs', static fn ($programs) => $programs->where('name', 'O1305'))->orderBy('id')->firstOrFail();
        $touching->adjust($hub, Subject::length(3), 0.01, 'pocket 0.01 too deep');
        $touching->adjust($hub->refresh(), Subject::length(3), -0.005, 'half of it back after the second part');
        Auth::logout();
    }

    private function fillCrib(): void
    {
        foreach (Setup::orderBy('id')->get() as $setup) {
            /** @var array{units?: string, tools?: list<array<string, mixed>>} $document */
            $document = json_decode((string) json_encode($setup->document), true);
            foreach ($document['tools'] ?? [] as $tool) {
                $definition = CribTool::converted(array_diff_key($tool, ['number' => 0]), Units::from($document['units'] ?? 'mm'), Units::Millimetre);
                CribTool::firstOrCreate(['name' => $definition['name']], ['kind' => $definition['kind'], 'definition' => $definition]);
            }
        }
    }
}
