<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;

/** A question about a text of a program, from somebody who may see the program. */
class ProgramText extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('view', $this->route('program')) ?? false;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return self::textRules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::textMessages();
    }

    /** @return array<string, list<string>> */
    public static function textRules(): array
    {
        return ['text' => ['present', 'string', 'max:'.(int) config('oak.largest_program')]];
    }

    /** @return array<string, string> */
    public static function textMessages(): array
    {
        return ['text.max' => 'A program may be '.intdiv((int) config('oak.largest_program'), 1024 * 1024).' MB at most.'];
    }

    public function text(): string
    {
        return $this->string('text')->value();
    }

    /** Units the person wants to see everything in; null for those of the setup and of the program. */
    public function units(): ?Units
    {
        $user = $this->user();

        return $user instanceof User ? $user->displayUnits() : null;
    }

    public function program(): Program
    {
        return Program::fromText($this->text());
    }
}
