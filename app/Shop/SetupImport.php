<?php

declare(strict_types=1);

namespace App\Shop;

use App\Checking\MachineDifference;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Setup;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;

/** A setup file brought in as a new setup of a part, for the shop's machine of its name. */
final readonly class SetupImport
{
    public function __construct(private SetupFile $files)
    {
    }

    /**
     * @return array{Setup, list<string>} and a sentence for each field that nothing reads
     *
     * @throws ValidationException naming what is wrong with the file; then nothing is stored
     */
    public function take(Request $request, Part $part): array
    {
        $most = intdiv((int) config('oak.largest_setup'), 1024);
        $request->validate(
            ['file' => ['required', 'file', 'max:'.$most]],
            ['file.required' => 'Choose a setup file first.', 'file.max' => "A setup file may be {$most} kB at most."],
        );
        /** @var UploadedFile $upload */
        $upload = $request->file('file');
        $json = (string) file_get_contents($upload->getRealPath());
        try {
            $core = $this->files->read($json);
        } catch (SetupFileError $e) {
            throw ValidationException::withMessages(['file' => 'This setup file cannot be used. '.$e->getMessage().' Nothing was saved.']);
        }
        /** @var object $document */
        $document = json_decode($json, false);
        unset($document->machine);
        if ($core->lowered !== [] && ! Gate::allows('lower', new Setup)) {
            throw ValidationException::withMessages(
                ['file' => 'This setup file lowers cautions to notes. Only a lead may import such a file. Nothing was saved.'],
            );
        }
        $machine = Machine::where('name', $core->machine->name)->first();
        if ($machine === null) {
            throw ValidationException::withMessages(['file' => "The shop has no machine called “{$core->machine->name}”. Nothing was saved."]);
        }
        $differences = $request->boolean('shopMachine') ? [] : MachineDifference::of(
            $core->machine, $this->files->read(Setup::join((object) ['format' => 'oak-setup/1', 'units' => $core->units->value], $machine))->machine,
            $core->units,
        );
        if ($differences !== []) {
            throw ValidationException::withMessages(
                [
                    'machine' => "{$machine->name} differs between this file and the shop: ".implode('; ', $differences)
                        .'. Nothing was saved. Import it for the shop’s machine?',
                ],
            );
        }
        try {
            $this->files->read(Setup::join($document, $machine));
        } catch (SetupFileError $e) {
            throw ValidationException::withMessages(
                ['file' => "This setup file does not fit {$machine->name} as the shop has it. ".$e->getMessage().' Nothing was saved.'],
            );
        }

        return [$part->setups()->create([
            'machine_id' => $machine->id,
            'operation' => (int) $part->setups()->max('operation') + 10,
            'name' => pathinfo($upload->getClientOriginalName(), PATHINFO_FILENAME),
            'document' => $document,
        ]), $this->files->unread($json)];
    }
}
