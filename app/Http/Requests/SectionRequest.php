<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A line in plan to cut the stock along, in the units the person has set. */
class SectionRequest extends StockRequest
{
    public function rules(): array
    {
        return parent::rules() + [
            'from' => ['required', 'array', 'size:2'], 'from.*' => ['numeric', 'between:-100000,100000'],
            'to' => ['required', 'array', 'size:2', 'different:from'], 'to.*' => ['numeric', 'between:-100000,100000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + [
            'to.different' => 'A section needs two places: where it begins and where it ends.', 'from.*' => 'Give X and Y of where the section begins.',
            'to.*' => 'Give X and Y of where the section ends.',
        ];
    }
}
