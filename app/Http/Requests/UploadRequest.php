<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A file that comes with a form. */
final class UploadRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:' . 1024 * config()->integer('dripel.upload_megabytes')]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.max' => (string) __('errors.file_too_large', ['megabytes' => config()->integer('dripel.upload_megabytes')]),
            'file.uploaded' => (string) __('errors.upload_failed'),
            'file.file' => (string) __('errors.upload_failed'),
        ];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }
}
