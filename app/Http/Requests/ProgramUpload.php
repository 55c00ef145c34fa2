<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Shop\IncomingFiles;
use App\Shop\ShopProblem;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** Programs brought in as files: one as `file`, or many, or zips of them, as `files`. */
class ProgramUpload extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $file = ['file', 'max:'.intdiv(self::limit(), 1024)];

        return ['file' => ['required_without:files', ...$file], 'files' => ['array', 'max:'.IncomingFiles::MOST], 'files.*' => $file];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = intdiv(self::limit(), 1024 * 1024).' MB';
        $words = [
            'max' => "The file is larger than {$most}, the limit for a program. Nothing was saved.",
            'uploaded' => "The file did not arrive whole; it may be larger than {$most}, the limit for a program. Nothing was saved.",
        ];

        return [
            'file.required_without' => 'Choose a program file first.', 'files.max' => 'These are more than '.IncomingFiles::MOST.' files. Nothing was saved.',
            'file.max' => $words['max'], 'file.uploaded' => $words['uploaded'], 'files.*.max' => $words['max'], 'files.*.uploaded' => $words['uploaded'],
        ];
    }

    /**
     * @return list<array{name: string, text: string, isConverted: bool}>
     *
     * @throws ValidationException where one of them cannot be taken
     */
    public function programs(): array
    {
        /** @var list<UploadedFile> $files */
        $files = array_values(array_filter([$this->file('file'), ...array_values((array) $this->file('files'))]));
        try {
            return IncomingFiles::programs($files);
        } catch (ShopProblem $problem) {
            throw ValidationException::withMessages(['file' => $problem->getMessage()]);
        }
    }

    private static function limit(): int
    {
        return (int) config('oak.largest_program');
    }
}
