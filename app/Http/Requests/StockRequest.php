<?php

declare(strict_types=1);

namespace App\Http\Requests;

class StockRequest extends CheckRequest
{
    public function rules(): array
    {
        return parent::rules() + ['row' => ['nullable', 'integer', 'min:0']];
    }
}
