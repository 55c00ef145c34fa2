<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Program;

/** A text to be checked: as it stands in the editor, or, where it is saved, by the number of its revision. */
class CheckRequest extends ProgramText
{
    public function rules(): array
    {
        return $this->has('revision') ? ['revision' => ['integer']] : parent::rules();
    }

    public function text(): string
    {
        /** @var Program $program */
        $program = $this->route('program');

        return $this->has('revision') ? $program->revisions()->where('number', $this->integer('revision'))->firstOrFail()->text : parent::text();
    }
}
