<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Unique;

/** Rules that many forms share, with their words. */
final class Worded
{
    public const LONGEST_NAME = 80;

    /** @return list<string|Unique> */
    public static function name(?Unique $unique = null): array
    {
        return array_values(array_filter(['required', 'string', 'max:'.self::LONGEST_NAME, $unique]));
    }

    /**
     * What a form sends, checked; what is wrong is told with its field.
     *
     * @param  array<string, mixed>  $rules
     * @param  array<string, string>  $words
     * @return array<string, mixed>
     */
    public static function fields(Request $request, array $rules, array $words = []): array
    {
        /** @var array<string, mixed> */
        return $request->validate($rules, $words + [
            'name.required' => 'Enter a name.',
            'name.max' => 'A name may be '.self::LONGEST_NAME.' characters long.',
            'operation.required' => 'Enter an operation number, such as 10.',
            'operation.integer' => 'An operation number is a whole number, such as 10.',
            'operation.min' => 'An operation number is 1 or more.',
            'operation.max' => 'An operation number is 9999 at most.',
            'machine.required' => 'Choose a machine.',
            'machine.exists' => 'This machine is not in the list any more.',
            'part.exists' => 'This part is not in the list any more.',
            'setup.exists' => 'This setup is not in the list any more.',
        ]);
    }
}
