<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** One place or two on the stock to measure at, in the units the person has set. */
class MeasureRequest extends StockRequest
{
    public function rules(): array
    {
        return parent::rules() + [
            'at' => ['required', 'array', 'min:1', 'max:2'], 'at.*' => ['array', 'size:2'], 'at.*.*' => ['numeric', 'between:-100000,100000'],
        ];
    }
}
