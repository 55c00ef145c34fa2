<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** A program brought in as a file: text, and no larger than the limit. */
class ProgramUpload extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.intdiv(self::limit(), 1024)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = intdiv(self::limit(), 1024 * 1024).' MB';

        return [
            'file.required' => 'Choose a program file first.',
            'file.max' => "The file is larger than {$most}, the limit for a program. Nothing was saved.",
            'file.uploaded' => "The file did not arrive whole; it may be larger than {$most}, the limit for a program. Nothing was saved.",
        ];
    }

    public function programName(): string
    {
        $name = pathinfo($this->uploaded()->getClientOriginalName(), PATHINFO_FILENAME);

        return mb_strimwidth($name === '' ? 'Program' : $name, 0, 80);
    }

    /** @throws ValidationException where the file is not text */
    public function text(): string
    {
        $text = (string) file_get_contents($this->uploaded()->getRealPath());
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', $text) === 1) {
            throw ValidationException::withMessages(['file' => 'This is not a text file: it has bytes that no program has. Nothing was saved.']);
        }

        // Older editors write their own letters in comments; the codes themselves are plain ASCII either way.
        return $this->isConverted() ? (string) mb_convert_encoding($text, 'UTF-8', 'Windows-1252') : $text;
    }

    /** Whether the file was written in the letters of older editors, and is stored in today's. */
    public function isConverted(): bool
    {
        return ! mb_check_encoding((string) file_get_contents($this->uploaded()->getRealPath()), 'UTF-8');
    }

    private function uploaded(): UploadedFile
    {
        /** @var UploadedFile */
        return $this->file('file');
    }

    private static function limit(): int
    {
        return (int) config('oak.largest_program');
    }
}
